import { wetWhenSanded } from '../inspect/sandable';
import { type NotSigned, whyNotHandedOver, whyNotSigned } from '../inspect/signOff';
import { isAngle } from '../joints/classTraits';
import type { Piece } from '../joints/pieces';
import type { CoatEntry, NewEntry } from '../log/entry';
import type { CoatedClass, CoatKey } from '../method/coat';
import { isCentered } from '../method/smallWork';
import type { RoomNow } from '../readiness/whatNow';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { isOnGone } from '../standing/alikePieces';
import { paintedFaces } from '../standing/sealed';
import type { Moved } from '../stock/stock';
import { fixFirst } from './fixFirst';
import { wetSameCoat } from './wetSameCoat';

/** Why an entry is not recorded, as a code with what it is about. */
export type EntryRefusal =
  | { readonly why: 'overCounted' }
  | { readonly why: 'alreadyFixed'; readonly who: readonly string[] }
  | { readonly why: 'wet'; readonly class: CoatedClass }
  | { readonly why: 'notSigned'; readonly not: NotSigned }
  | { readonly why: 'notFinished'; readonly now: RoomNow }
  | { readonly why: 'noSuchJoint' }
  | { readonly why: 'nothingOn'; readonly at: number }
  /** Only what is painted is sealed. */
  | { readonly why: 'nothingToSeal' }
  /** Only boxed butts are centered, after they were boxed. */
  | { readonly why: 'nothingToCenter' }
  /** A knife is laid across joints in one plane. */
  | { readonly why: 'noKnife'; readonly class: CoatedClass }
  /** Asks for `covers`: these must be fixed before the coat goes over them. */
  | { readonly why: 'fixFirst'; readonly items: readonly string[] }
  /** Asks for `repeat`: the same coat logged again, or the next one. */
  | { readonly why: 'sameCoat'; readonly class: CoatedClass; readonly key: CoatKey; readonly until: number };

/** The kinds of entries for which `refusalOf` has a rule. */
export const RULED_KINDS: ReadonlySet<NewEntry['kind']> = new Set([
  'checked',
  'sanded',
  'handedOver',
  'itemClosed',
  'touched',
  'item',
  'sealed',
  'centered',
  'coat',
  'stock',
]);

/** A pail holds a little more than it says. */
const COUNT_SLACK = 1.05;

/**
 * Returns why an entry is refused by what is known of its house: nothing wet is sanded, nothing unfinished is signed off or handed
 * over, nothing is counted that never came, and a coat that is wet is not taken for the next one.
 *
 * @param room that the entry is about, as it stands; undefined for entries about the house
 * @param moves what was delivered, thrown away, counted and used so far
 */
export function refusalOf(
  entry: NewEntry,
  room: RoomSnapshot | undefined,
  moves: readonly Moved[],
): EntryRefusal | undefined {
  const at = Date.parse(entry.at);
  if (entry.kind === 'stock') return overCounted(entry, moves);
  if (!room) return undefined;
  switch (entry.kind) {
    case 'itemClosed': {
      const closed = room.state.items.find(({ id }) => id === entry.payload.item)?.closed;
      return closed && { why: 'alreadyFixed', who: closed.who };
    }
    case 'sanded': {
      const { classes, faces } = entry.payload;
      const wet = wetWhenSanded(room, { classes, faces }, at);
      return wet && { why: 'wet', class: wet };
    }
    case 'checked': {
      const not = whyNotSigned(room, entry.payload.faces, entry.payload.level, at);
      return not && { why: 'notSigned', not };
    }
    case 'handedOver': {
      const now = whyNotHandedOver(room);
      return now && { why: 'notFinished', now };
    }
    case 'touched':
      return untouchable(entry, room);
    case 'item':
      return unreadable(entry, room);
    case 'sealed': {
      const painted = new Set(paintedFaces(room.pieces));
      return (entry.payload.faces ?? []).every((face) => painted.has(face)) ? undefined : { why: 'nothingToSeal' };
    }
    case 'centered':
      return isBoxedBy(at, entry.payload.round, room) ? undefined : { why: 'nothingToCenter' };
    case 'coat':
      return wetSameCoat(entry, room) ?? fixFirst(entry, room);
    default:
      return undefined;
  }
}

function overCounted(
  { payload }: Extract<NewEntry, { kind: 'stock' }>,
  moves: readonly Moved[],
): EntryRefusal | undefined {
  if (payload.what !== 'counted') return undefined;
  const came = moves.reduce(
    (sum, { kind, good, amount }) => (kind === 'delivered' && good === payload.good ? sum + amount : sum),
    0,
  );
  return payload.amount > came * COUNT_SLACK ? { why: 'overCounted' } : undefined;
}

/** Whether butts that are boxed in a round, and centered, were on at an instant. */
const isBoxedBy = (at: number, round: CoatKey, { coats, method, applied }: RoomSnapshot): boolean =>
  coats.some(
    (coat) =>
      coat.round === round &&
      isCentered(coat, method) &&
      applied.coats.get(coat.id)?.applications.some((on) => Date.parse(on.at) <= at),
  );

/** A touch check is made on a coat: on joints that are there, after it went on. */
function untouchable(
  { at, payload }: Extract<NewEntry, { kind: 'touched' }>,
  { pieces, state }: RoomSnapshot,
): EntryRefusal | undefined {
  const named = payload.pieces && new Set(payload.pieces);
  const targets = pieces.filter(
    ({ id, class: kind }) => (named?.has(id) ?? true) && (payload.class === undefined || payload.class === kind),
  );
  if (named && targets.length < named.size) return { why: 'noSuchJoint' };
  const instant = Date.parse(at);
  const isOn = state.applied.some((coat) => Date.parse(coat.at) < instant && isOnSome(coat, targets));
  return isOn ? undefined : { why: 'nothingOn', at: instant };
}

/** A knife is laid across a coat of a joint that is there; an inside angle is judged by its edges and its corner. */
function unreadable(
  { at, payload }: Extract<NewEntry, { kind: 'item' }>,
  { pieces, state }: RoomSnapshot,
): EntryRefusal | undefined {
  if (!payload.knife) return undefined;
  const piece = pieces.find(({ id }) => id === payload.piece);
  if (!piece) return { why: 'noSuchJoint' };
  if (isAngle(piece.class)) return { why: 'noKnife', class: piece.class };
  const instant = Date.parse(at);
  const isOn = state.applied.some((coat) => Date.parse(coat.at) <= instant && isOnSome(coat, [piece]));
  return isOn ? undefined : { why: 'nothingOn', at: instant };
}

/** Whether a coat lies on one of some pieces, by what was found out when it was recorded. */
function isOnSome({ payload: { class: kind, on }, gone = [] }: CoatEntry, pieces: readonly Piece[]): boolean {
  const ids = on && new Set(on.map(({ id }) => id));
  return pieces.some((piece) => (ids?.has(piece.id) ?? piece.class === kind) && !isOnGone(piece, gone));
}
