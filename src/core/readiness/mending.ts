import { USUAL_THICKNESS_MM } from '../air/dryingHours';
import { liesOf } from '../drying/wetMud';
import type { OpenItem } from '../log/stateOf';
import type { CoatedClass } from '../method/coat';
import { DEFECTS } from '../method/defects';
import type { Mend } from '../work/mend';
import { MEND_MINUTES } from '../work/usualRates';
import { isGap } from './prefillOf';
import type { RoomSite } from './siteOf';

type Wrong = Pick<RoomSite, 'state' | 'pieces' | 'coats' | 'applied' | 'prefill' | 'held'>;

/**
 * What is wrong with a room and is mended by itself: what must not be covered, and what no coat to come takes along any more. What
 * has no name waits for the coats too. What sealing mends is left to it, and gaps to the pre-fill while that is to come.
 */
export function dueItems(room: Wrong): readonly OpenItem[] {
  const open = room.state.items.filter(({ closed }) => !closed);
  if (open.length === 0) return [];
  const classOf = classesOf(room);
  const isOn = (kind: CoatedClass | undefined) =>
    room.coats.every(
      (coat) => (kind !== undefined && coat.class !== kind) || (room.applied.coats.get(coat.id)?.share ?? 0) >= 1,
    );
  const prefills = room.prefill.found !== undefined && room.state.applied.length === 0;
  return open.filter((item) => {
    if (prefills && isGap(item)) return false;
    // What was found before tape is the hanger's for as long as its face waits for him.
    if (item.after === 0 && item.face !== undefined && room.held.has(item.face)) return false;
    const mend = item.defect === undefined ? 'next' : DEFECTS[item.defect].mend;
    return mend === 'now' || (mend === 'next' && isOn(classOf(item)));
  });
}

/** The same as work: how long it takes, what it lies on and what it leaves wet. */
export function mendsIn(room: Wrong): readonly Mend[] {
  const due = dueItems(room);
  if (due.length === 0) return [];
  const classOf = classesOf(room);
  return due.map((item): Mend => {
    const { defect } = item;
    const kind = classOf(item);
    const dry = defect === undefined || DEFECTS[defect].dry === true;
    return {
      hours: MEND_MINUTES[defect ?? 'unnamed'] / 60,
      class: kind,
      first: defect !== undefined && DEFECTS[defect].mend === 'now',
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
export function classesOf({ pieces }: Pick<RoomSite, 'pieces'>): (item: OpenItem) => CoatedClass | undefined {
  const classes = new Map(pieces.map((piece) => [piece.id, piece.class]));
  return ({ piece }) => (piece === undefined ? undefined : classes.get(piece));
}
