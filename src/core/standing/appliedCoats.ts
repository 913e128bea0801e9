import type { Piece } from '../joints/pieces';
import type { CoatEntry } from '../log/entry';
import type { Touched } from '../log/roomState';
import { memoizeLast } from '../measure/memoizeLast';
import type { Coat, CoatId } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import { type JointsWithMore, NO_MORE, withExtraCoat } from '../method/extraCoat';
import type { Method } from '../method/resolveMethod';
import type { Room } from '../room/schema';
import { alikePieces } from './alikePieces';
import { isHeld } from './heldFaces';
import { type Layer, layersOf, wholeIfNearly } from './layers';
import { isCeilingFirst, liesOn } from './liesOn';

/**
 * How far one coat that the method asks for is: what was put on for it, oldest first, and the share that it covers, 0–1. What
 * was put on beyond the last coat is among its applications, for it dries there.
 */
export interface CoatProgress {
  readonly share: number;
  readonly applications: readonly CoatEntry[];
}

/** Pieces of a class that nothing tells apart, with the coats that are asked for on them, in order. */
export interface Stretch {
  readonly class: Piece['class'];
  readonly pieces: readonly Piece[];
  /** Of all of them: mm, fasteners by count, mm² of surface. */
  readonly amount: number;
  /** They get coats of which nothing is on yet, and the faces on which they lie are held. */
  readonly held: boolean;
  /** Something on them is mended before anything goes over it. */
  readonly toMend: boolean;
  /** The last touch check on what lies on them now. */
  readonly touched: Touched | undefined;
  readonly coats: readonly ({ readonly coat: Coat } & CoatProgress)[];
  /** What is on them as it was logged, in order. */
  readonly layers: readonly Layer[];
  /** The other sides of their joints, by number. */
  readonly beside: readonly number[];
  /** What lies across them, by number: where a knife runs over one of both, the other has to be firm. */
  readonly across: readonly number[];
}

/** What was put on in a room, beside what its method asks for. */
export interface AppliedCoats {
  readonly coats: ReadonlyMap<CoatId, CoatProgress>;
  /** What is on beyond what is asked for now, or has no place any more, as it was logged. */
  readonly more: readonly CoatEntry[];
  /** The same piece by piece, those alike together; none where nothing is on, held or to be mended. */
  readonly stretches: readonly Stretch[];
}

/** What is known of pieces beside the coats on them. */
export interface PieceMarks {
  /** The faces whose tape waits, see `heldFaces`. */
  readonly held: ReadonlySet<string>;
  /** The pieces on which something must not be covered, see `piecesToMend`. */
  readonly toMend: ReadonlySet<string>;
  /** Touch checks in the order in which they were made. */
  readonly touched: readonly Touched[];
  /** What single joints get beyond their class, see `jointFindings`. */
  readonly more: JointsWithMore;
}

export const NO_MARKS: PieceMarks = { held: new Set(), toMend: new Set(), touched: [], more: NO_MORE };

export const NOTHING_APPLIED: AppliedCoats = { coats: new Map(), more: [], stretches: [] };

/**
 * Lays what was put on beside what is asked for, piece by piece. Tape counts as tape; every other coat counts by its order
 * after the tape, not by its name: whoever changes the method, the level or the order of sides loses nothing that is on the
 * wall, and is asked only for what is missing.
 *
 * @param pieces of the room, see `piecesOf`
 * @param applied the coats that were logged in the room, in the order in which they were put on
 */
export function appliedCoats(
  pieces: readonly Piece[],
  method: Method,
  applied: readonly CoatEntry[],
  finish?: Room['finish'],
  marks: PieceMarks = NO_MARKS,
): AppliedCoats {
  const { held, toMend, more } = marks;
  if (applied.length === 0 && held.size === 0 && toMend.size === 0) return NOTHING_APPLIED;
  const groups = alikePieces(pieces, applied, method, finish, marks);
  const layersUnder = layersOf(
    applied,
    groups.map(({ covered }) => covered),
  );
  const beside = laidBeside();
  const sums = new Map<CoatId, { covered: number; whole: number; readonly entries: Set<CoatEntry> }>();
  const placed = new Set<CoatEntry>();
  const summed = new Set<readonly LadderCoat[]>();
  const stretches = groups.map((alike): Stretch => {
    const { piece, amount, method: own } = alike;
    const layers = layersUnder.get(alike.covered) ?? [];
    const ceilingFirst = isCeilingFirst(piece, method, finish);
    const ladder = withExtraCoat(coatsFor(piece.class, own), more.get(piece.id));
    const asked = ladder.filter(({ side }) => liesOn(piece, side, ceilingFirst));
    const laid = beside(layers, asked);
    for (const { coat, share, applications, layer } of laid) {
      const sum = sums.get(coat.id) ?? { covered: 0, whole: 0, entries: new Set() };
      sums.set(coat.id, sum);
      sum.whole += amount;
      sum.covered += amount * share;
      if (summed.has(laid)) continue;
      for (const entry of applications) sum.entries.add(entry);
      for (const entry of layer?.entries ?? []) placed.add(entry);
    }
    summed.add(laid);
    return {
      class: piece.class,
      pieces: alike.pieces,
      amount,
      held: asked.length > 0 && layers.length === 0 && isHeld(piece, held),
      toMend: toMend.has(piece.id),
      touched: alike.touched,
      coats: laid,
      layers,
      beside: alike.beside,
      across: alike.across,
    };
  });
  const coats = new Map<CoatId, CoatProgress>();
  for (const [id, { covered, whole, entries }] of sums) {
    if (entries.size === 0) continue;
    const share = whole > 0 ? covered / whole : 0;
    coats.set(id, { share: wholeIfNearly(share), applications: applied.filter((entry) => entries.has(entry)) });
  }
  return { coats, more: applied.filter((entry) => !placed.has(entry)), stretches };
}

/** `appliedCoats`, for a room of which nothing changed since it was asked last: not one piece, choice or entry. */
export const cachedCoats = memoizeLast(
  (
    pieces: readonly Piece[],
    applied: readonly CoatEntry[],
    method: Method,
    finish: Room['finish'],
    held: ReadonlySet<string>,
    toMend: ReadonlySet<string>,
    touched: readonly Touched[],
    more: JointsWithMore,
  ): AppliedCoats => appliedCoats(pieces, method, applied, finish, { held, toMend, touched, more }),
);

/** A coat that is asked for, with what is on of it. */
interface LadderCoat extends CoatProgress {
  readonly coat: Coat;
  readonly layer: Layer | undefined;
}

/** Lays layers beside the coats that are asked for, once for those that are the same. */
function laidBeside(): (layers: readonly Layer[], asked: readonly Coat[]) => readonly LadderCoat[] {
  const known = new Map<readonly Layer[], (readonly LadderCoat[])[]>();
  return (layers, asked) => {
    const ladders = known.get(layers) ?? [];
    known.set(layers, ladders);
    const isIt = (ladder: readonly LadderCoat[]) =>
      ladder.length === asked.length && ladder.every(({ coat }, index) => coat === asked[index]);
    const before = ladders.find(isIt);
    if (before) return before;
    const ladder = ladderOf(layers, asked);
    ladders.push(ladder);
    return ladder;
  };
}

function ladderOf(layers: readonly Layer[], asked: readonly Coat[]): readonly LadderCoat[] {
  const tape = layers.filter(({ key }) => key === 'tape');
  const after = layers.filter(({ key }) => key !== 'tape');
  let order = 0;
  const on = asked.map((coat) => ({ coat, layer: coat.key === 'tape' ? tape[0] : after[order++] }));
  // What is on beyond what is asked for lies on the last coat, and dries with it.
  const more = [...tape.slice(1), ...after.slice(order)].flatMap(({ entries }) => entries);
  return on.map(({ coat, layer }, index) => ({
    coat,
    layer,
    share: layer?.share ?? 0,
    applications: [...(layer?.entries ?? []), ...(index === on.length - 1 ? more : [])],
  }));
}
