import type { Room } from '../house/schema';
import type { Piece } from '../joints/pieces';
import { type CoatEntry, shareOf } from '../log/entry';
import { type CoatId, SETTING_RECOAT_FACTOR, type Side } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import { choicesFor, type Method } from '../method/resolveMethod';
import { methodOn } from '../method/roomCoats';

/**
 * How far one coat that the method asks for is: what was put on for it, oldest first, and the share that it covers, 0–1. What
 * was put on beyond the last coat is among its applications, for it dries there.
 */
export interface CoatProgress {
  readonly share: number;
  readonly applications: readonly CoatEntry[];
}

/** What was put on in a room, beside what its method asks for. */
export interface AppliedCoats {
  readonly coats: ReadonlyMap<CoatId, CoatProgress>;
  /** What is on beyond what is asked for now, or has no place any more, as it was logged. */
  readonly more: readonly CoatEntry[];
}

export const NOTHING_APPLIED: AppliedCoats = { coats: new Map(), more: [] };

/** One coat on one piece: what it was logged as, how much of the piece is covered, and by which entries. */
interface Layer {
  readonly key: string;
  share: number;
  readonly entries: CoatEntry[];
}

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
): AppliedCoats {
  if (applied.length === 0) return NOTHING_APPLIED;
  const groups = alikeTogether(pieces, applied, method, finish);
  for (const entry of applied) putOn(entry, groups);
  const sums = new Map<CoatId, { covered: number; whole: number; readonly entries: Set<CoatEntry> }>();
  const placed = new Set<CoatEntry>();
  for (const { piece, method: own, ceilingFirst, layers } of groups) {
    const asked = coatsFor(piece.class, own).filter(({ side }) => liesOn(piece, side, ceilingFirst));
    const tape = layers.filter(({ key }) => key === 'tape');
    const after = layers.filter(({ key }) => key !== 'tape');
    let order = 0;
    for (const coat of asked) {
      const layer = coat.key === 'tape' ? tape[0] : after[order++];
      const sum = sums.get(coat.id) ?? { covered: 0, whole: 0, entries: new Set() };
      sum.whole += piece.amount;
      sum.covered += piece.amount * (layer?.share ?? 0);
      for (const entry of layer?.entries ?? []) {
        sum.entries.add(entry);
        placed.add(entry);
      }
      sums.set(coat.id, sum);
    }
    // What is on beyond what is asked for lies on the last coat, and dries with it.
    const last = sums.get(asked.at(-1)?.id ?? '');
    for (const { entries } of [...tape.slice(1), ...after.slice(order)])
      for (const entry of entries) last?.entries.add(entry);
  }
  const coats = new Map<CoatId, CoatProgress>();
  for (const [id, { covered, whole, entries }] of sums) {
    if (entries.size === 0) continue;
    const share = whole > 0 ? covered / whole : 0;
    coats.set(id, { share: share > 0.999 ? 1 : share, applications: applied.filter((entry) => entries.has(entry)) });
  }
  return { coats, more: applied.filter((entry) => !placed.has(entry)) };
}

type Asked = Parameters<typeof appliedCoats>;
const knownFor = new WeakMap<readonly CoatEntry[], { readonly asked: Asked; readonly coats: AppliedCoats }>();

/** `appliedCoats`, for a room of which nothing changed since it was asked last: not one piece, choice or entry. */
export function knownCoats(...asked: Asked): AppliedCoats {
  const [, , applied] = asked;
  const known = knownFor.get(applied);
  if (known?.asked.every((part, index) => part === asked[index])) return known.coats;
  const coats = appliedCoats(...asked);
  knownFor.set(applied, { asked, coats });
  return coats;
}

/** Pieces that no entry and no coat tells apart, as one; what is on them, in the order in which it was begun. */
interface Group {
  readonly piece: Piece;
  readonly method: Method;
  readonly ceilingFirst: boolean;
  readonly layers: Layer[];
}

/** Pieces of one class, on the same side, by the same method, and on the same face where some entry names it. */
function alikeTogether(
  pieces: readonly Piece[],
  applied: readonly CoatEntry[],
  method: Method,
  finish: Room['finish'],
): readonly Group[] {
  const named = new Set(applied.flatMap(({ payload: { faces } }) => faces ?? []));
  const groups = new Map<string, Group>();
  for (const piece of pieces) {
    const { lies } = piece;
    const own = methodOn(piece.faces, method, finish);
    const face = named.has(piece.face) ? piece.face : '';
    const key = `${piece.class} ${own.level} ${lies?.left} ${lies?.first} ${lies?.ceilingFirst} ${face}`;
    const group = groups.get(key);
    const ceilingFirst = choicesFor(own, piece.class).order === 'ceilingSides';
    const whole = group ? { ...group.piece, amount: group.piece.amount + piece.amount } : piece;
    groups.set(key, { piece: whole, method: own, ceilingFirst, layers: [] });
  }
  return [...groups.values()];
}

/** Drying mud is under no other coat sooner, whatever the air. Common practice, no source. */
const SOONEST_RECOAT_MS = 3 * 3_600_000;

/**
 * Puts a coat on what it was logged for. Where some of that has it already and some not, the rest was meant. Where all has
 * it, it is the same coat once more (two people said so), unless the first could be coated again by then.
 */
function putOn(entry: CoatEntry, groups: readonly Group[]): void {
  const { class: kind, key, side, share, faces } = entry.payload;
  const on = groups.filter(
    ({ piece, ceilingFirst }) =>
      kind === piece.class && liesOn(piece, side, ceilingFirst) && (!faces || faces.includes(piece.face)),
  );
  const lastOf = ({ layers }: Group) => layers.findLast((layer) => layer.key === key);
  const open = on.filter((group) => (lastOf(group)?.share ?? 0) < 1);
  const again = open.length === 0 && on.every((group) => isAnother(lastOf(group), entry));
  for (const group of open.length > 0 ? open : on) {
    let layer = lastOf(group);
    if (!layer || again) {
      layer = { key, share: 0, entries: [] };
      group.layers.push(layer);
    }
    layer.share = Math.min(1, layer.share + shareOf(share));
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

/**
 * Whether a piece is what a school calls this side, or part of a whole joint; where ceilings come first, theirs is the first
 * side.
 */
function liesOn({ lies }: Piece, side: Side | undefined, ceilingFirst: boolean): boolean {
  if (!lies || side === undefined) return true;
  switch (side) {
    case 'left':
      return lies.left;
    case 'right':
      return !lies.left;
    case 'first':
      return ceilingFirst ? lies.ceilingFirst : lies.first;
    case 'second':
      return !(ceilingFirst ? lies.ceilingFirst : lies.first);
  }
}
