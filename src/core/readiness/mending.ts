import { USUAL_THICKNESS_MM } from '../air/dryingHours';
import { liesOf } from '../drying/wetMud';
import { jointOf } from '../joints/jointId';
import { amountOf, type Piece } from '../joints/pieces';
import type { OpenItem } from '../log/roomState';
import { sealedArea } from '../materials/loadList';
import { memoizeLast } from '../measure/memoizeLast';
import type { CoatedClass } from '../method/coat';
import { DEFECTS } from '../method/defects';
import { findingOf } from '../section/knifeCheck';
import type { Mend } from '../work/mend';
import { cutBackHours, MEND_MINUTES } from '../work/usualRates';
import { isGap } from './prefillOf';
import type { RoomCoating, RoomRecord, RoomTakeOff } from './roomParts';

type Wrong = Pick<
  RoomTakeOff & RoomCoating & RoomRecord,
  'state' | 'pieces' | 'tally' | 'coats' | 'method' | 'applied' | 'prefill' | 'held' | 'sealed'
>;

/** A joint that a knife check found too high to float is cut back before anything goes over it. */
const isCutBack = ({ knife }: OpenItem): boolean => knife !== undefined && findingOf(knife).cutBack;
/** What somebody covered all the same holds up nothing any more. */
const isMendedNow = (item: OpenItem): boolean =>
  !item.covered && ((item.defect !== undefined && DEFECTS[item.defect].mend === 'now') || isCutBack(item));

/** What is open in a room and is neither left to the pre-fill that is to come, nor to the hanger. */
const ownItems = (items: readonly OpenItem[], prefills: boolean, held: ReadonlySet<string>): readonly OpenItem[] =>
  items.filter((item) => {
    if (item.closed || (prefills && isGap(item))) return false;
    // What was found before tape is the hanger's for as long as its face waits for him.
    return item.after > 0 || item.face === undefined || !held.has(item.face);
  });

const isPrefilledFirst = ({ state, prefill }: Pick<Wrong, 'state' | 'prefill'>): boolean =>
  prefill.found !== undefined && state.applied.length === 0;
const itemsOf = (room: Wrong): readonly OpenItem[] => ownItems(room.state.items, isPrefilledFirst(room), room.held);

/**
 * The pieces, by id, on which something must not be covered: until it is mended nothing goes over them, of an angle on neither side.
 * The other pieces of their class do not wait for it.
 *
 * @param held the faces whose tape waits, see `heldFaces`
 */
export const piecesToMend = (
  room: Pick<Wrong, 'state' | 'pieces' | 'prefill'>,
  held: ReadonlySet<string>,
): ReadonlySet<string> => cachedToMend(room.state.items, room.pieces, isPrefilledFirst(room), held);

const NO_PIECES: ReadonlySet<string> = new Set();
/** The same set for as long as nothing of it changed: what is worked out from it is remembered by it. */
const cachedToMend = memoizeLast(
  (items: readonly OpenItem[], pieces: readonly Piece[], prefills: boolean, held: ReadonlySet<string>) => {
    const wrong = ownItems(items, prefills, held).filter(isMendedNow);
    if (wrong.length === 0) return NO_PIECES;
    return new Set(wrong.flatMap((item) => lyingUnder(item, pieces)).map(({ id }) => id));
  },
);

/** The pieces of the joint on which something lies; none where it names none: the next screw does not wait for one that popped. */
function lyingUnder({ piece }: OpenItem, pieces: readonly Piece[]): readonly Piece[] {
  if (piece === undefined) return [];
  const joint = jointOf(piece);
  return pieces.filter(({ id, class: kind }) => kind !== 'fasteners' && kind !== 'surface' && jointOf(id) === joint);
}

/**
 * What is wrong with a room and is mended by itself: what must not be covered, and what no coat to come takes along any more. What
 * has no name waits for the coats too. What sealing mends is left to it while that is to come, as gaps are to the pre-fill.
 */
export function dueItems(room: Wrong): readonly OpenItem[] {
  const open = itemsOf(room);
  if (open.length === 0) return [];
  const classOf = classesOf(room);
  const isOn = (kind: CoatedClass | undefined) =>
    room.coats.every(
      (coat) => (kind !== undefined && coat.class !== kind) || (room.applied.coats.get(coat.id)?.share ?? 0) >= 1,
    );
  const isSealed = room.sealed.whole !== undefined || sealedArea(room.tally, room.coats, room.method) === 0;
  return open.filter((item) => {
    const mend = item.defect === undefined ? 'next' : DEFECTS[item.defect].mend;
    return isMendedNow(item) || ((mend !== 'seal' || isSealed) && isOn(classOf(item)));
  });
}

/** What is mended before coats on some classes: what must not be covered and lies on one of them, or names no piece. */
export function mendedBefore(room: Wrong, kinds: readonly CoatedClass[]): readonly OpenItem[] {
  const classOf = classesOf(room);
  return itemsOf(room).filter((item) => {
    const kind = classOf(item);
    return isMendedNow(item) && (kind === undefined || kinds.includes(kind));
  });
}

/**
 * Returns the open items that a coat on some pieces would cover before they are fixed. An item that names no piece lies anywhere on
 * its face, or in its room, where its kind occurs.
 *
 * @param kind of the coat
 * @param on the pieces that it covers
 */
export function itemsUnder(room: Wrong, kind: CoatedClass, on: readonly Piece[]): readonly OpenItem[] {
  const pieces = new Set(on.map(({ id }) => id));
  const faces = new Set(on.map(({ face }) => face));
  const isUnder = (item: OpenItem): boolean => {
    if (item.piece === undefined)
      return (
        (item.defect === undefined || (DEFECTS[item.defect].on?.includes(kind) ?? true)) &&
        (item.face === undefined || faces.has(item.face))
      );
    return pieces.has(item.piece) || lyingUnder(item, room.pieces).some(({ id }) => pieces.has(id));
  };
  // A gap is under the tape, whether the pre-fill was to take it or not.
  return ownItems(room.state.items, false, room.held).filter((item) => isMendedNow(item) && isUnder(item));
}

/** The same as work: how long it takes, what it lies on and what it leaves wet. */
export function mendsIn(room: Wrong): readonly Mend[] {
  const due = dueItems(room);
  if (due.length === 0) return [];
  const classOf = classesOf(room);
  return due.map((item): Mend => {
    const { defect } = item;
    const kind = classOf(item);
    const own = room.pieces.filter((piece) => piece.class === kind);
    const dry = defect === undefined || DEFECTS[defect].dry === true;
    const under = lyingUnder(item, own);
    return {
      hours: isCutBack(item) ? cutBackHours(amountOf(under)) : MEND_MINUTES[defect ?? 'unnamed'] / 60,
      class: kind,
      share: kind ? amountOf(under) / amountOf(own) : 0,
      first: isMendedNow(item),
      mud: dry
        ? undefined
        : {
            mud: { kind: 'drying' },
            thickness: USUAL_THICKNESS_MM,
            substrate: 'mud',
            ...(kind ? { lies: liesOf({ class: kind }) } : {}),
          },
    };
  });
}

/** On which class something lies, by its piece; undefined where it names none. */
export function classesOf({ pieces }: Pick<RoomTakeOff, 'pieces'>): (item: OpenItem) => CoatedClass | undefined {
  const classes = new Map(pieces.map((piece) => [piece.id, piece.class]));
  return ({ piece }) => (piece === undefined ? undefined : classes.get(piece));
}
