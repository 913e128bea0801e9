import type { Piece } from '../joints/pieces';
import type { CoatEntry } from '../log/entry';
import { memoizeLast } from '../measure/memoizeLast';
import { type Coat, type CoatId, SETTING_RECOAT_FACTOR } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import type { Method } from '../method/resolveMethod';
import type { Room } from '../room/schema';
import { type Alike, alikePieces } from './alikePieces';
import { isHeld } from './heldFaces';
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
  readonly coats: readonly ({ readonly coat: Coat } & CoatProgress)[];
  /** The other sides of their joints, by number. */
  readonly beside: readonly number[];
  /** What they run over, by number: flats over butts, angles and beads over both. */
  readonly across: readonly number[];
}

/** What was put on in a room, beside what its method asks for. */
export interface AppliedCoats {
  readonly coats: ReadonlyMap<CoatId, CoatProgress>;
  /** What is on beyond what is asked for now, or has no place any more, as it was logged. */
  readonly more: readonly CoatEntry[];
  /** The same piece by piece, those alike together; none where nothing is on and nothing is held. */
  readonly stretches: readonly Stretch[];
}

const NOTHING_HELD: ReadonlySet<string> = new Set();

export const NOTHING_APPLIED: AppliedCoats = { coats: new Map(), more: [], stretches: [] };

/** One coat on one piece: what it was logged as, how much of the piece is covered, and by which entries. */
interface Layer {
  readonly key: string;
  share: number;
  readonly entries: CoatEntry[];
}

/** A share, whole where next to nothing is missing: amounts are kept in tenths of a mm. */
export const wholeIfNearly = (share: number): number => (share > 0.999 ? 1 : share);

/**
 * Lays what was put on beside what is asked for, piece by piece. Tape counts as tape; every other coat counts by its order
 * after the tape, not by its name: whoever changes the method, the level or the order of sides loses nothing that is on the
 * wall, and is asked only for what is missing.
 *
 * @param pieces of the room, see `piecesOf`
 * @param applied the coats that were logged in the room, in the order in which they were put on
 * @param held the faces whose tape waits, see `heldFaces`
 */
export function appliedCoats(
  pieces: readonly Piece[],
  method: Method,
  applied: readonly CoatEntry[],
  finish?: Room['finish'],
  held: ReadonlySet<string> = NOTHING_HELD,
): AppliedCoats {
  if (applied.length === 0 && held.size === 0) return NOTHING_APPLIED;
  const groups = alikePieces(pieces, applied, method, finish, held).map((alike): Group => ({ alike, layers: [] }));
  for (const [index, entry] of applied.entries()) putOn(entry, index, groups);
  const sums = new Map<CoatId, { covered: number; whole: number; readonly entries: Set<CoatEntry> }>();
  const placed = new Set<CoatEntry>();
  const stretches = groups.map(({ alike, layers }): Stretch => {
    const { piece, amount, method: own } = alike;
    const ceilingFirst = isCeilingFirst(piece, method, finish);
    const asked = coatsFor(piece.class, own).filter(({ side }) => liesOn(piece, side, ceilingFirst));
    const tape = layers.filter(({ key }) => key === 'tape');
    const after = layers.filter(({ key }) => key !== 'tape');
    let order = 0;
    const coats = asked.map((coat) => {
      const layer = coat.key === 'tape' ? tape[0] : after[order++];
      const sum = sums.get(coat.id) ?? { covered: 0, whole: 0, entries: new Set() };
      sum.whole += amount;
      sum.covered += amount * (layer?.share ?? 0);
      for (const entry of layer?.entries ?? []) {
        sum.entries.add(entry);
        placed.add(entry);
      }
      sums.set(coat.id, sum);
      return { coat, share: layer?.share ?? 0, applications: [...(layer?.entries ?? [])] };
    });
    // What is on beyond what is asked for lies on the last coat, and dries with it.
    const last = coats.at(-1);
    for (const { entries } of [...tape.slice(1), ...after.slice(order)])
      for (const entry of entries) {
        last?.applications.push(entry);
        sums.get(last?.coat.id ?? '')?.entries.add(entry);
      }
    return {
      class: piece.class,
      pieces: alike.pieces,
      amount,
      held: asked.length > 0 && layers.length === 0 && isHeld(piece, held),
      coats,
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
  ): AppliedCoats => appliedCoats(pieces, method, applied, finish, held),
);

interface Group {
  readonly alike: Alike;
  /** What is on them, in the order in which it was begun. */
  readonly layers: Layer[];
}

/** Drying mud is under no other coat sooner, whatever the air. Common practice, no source. */
const SOONEST_RECOAT_MS = 3 * 3_600_000;

/**
 * Puts a coat on what it was logged for. Where some of that has it already and some not, the rest was meant. Where all has
 * it, it is the same coat once more (two people said so), unless the first could be coated again by then.
 */
function putOn(entry: CoatEntry, index: number, groups: readonly Group[]): void {
  const { key } = entry.payload;
  const on = groups.filter(({ alike }) => alike.parts.has(index));
  const lastOf = ({ layers }: Group) => layers.findLast((layer) => layer.key === key);
  const open = on.filter((group) => (lastOf(group)?.share ?? 0) < 1);
  const again = open.length === 0 && on.every((group) => isAnother(lastOf(group), entry));
  for (const group of open.length > 0 ? open : on) {
    let layer = lastOf(group);
    if (!layer || again) {
      layer = { key, share: 0, entries: [] };
      group.layers.push(layer);
    }
    const share = layer.share + (group.alike.parts.get(index) ?? 0);
    layer.share = wholeIfNearly(share);
    layer.entries.push(entry);
  }
}

function isAnother(layer: Layer | undefined, { at }: CoatEntry): boolean {
  const last = layer?.entries.at(-1);
  if (!last) return false;
  const { mud } = last.payload;
  const wait = mud.kind === 'setting' ? mud.minutes * SETTING_RECOAT_FACTOR * 60_000 : SOONEST_RECOAT_MS;
  return Date.parse(at) - Date.parse(last.at) >= wait;
}
