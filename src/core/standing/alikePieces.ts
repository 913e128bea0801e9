import { jointOf, placeOf } from '../joints/jointId';
import type { Piece } from '../joints/pieces';
import type { CoatEntry } from '../log/entry';
import type { Touched } from '../log/roomState';
import type { Method } from '../method/resolveMethod';
import { methodOn } from '../method/roomCoats';
import type { Room } from '../room/schema';
import type { PieceMarks } from './appliedCoats';
import { isHeld } from './heldFaces';
import { isCeilingFirst, liesOn } from './liesOn';

/** That an entry, by its number, covers a part of a piece, 0–1, over what covered it before; the last one comes first. */
export interface Cover {
  readonly entry: number;
  readonly part: number;
  readonly below: Cover | undefined;
}

/** Pieces that no entry, no coat and no neighbour tells apart. */
export interface Alike {
  /** One of them, for all that they have in common. */
  readonly piece: Piece;
  readonly pieces: readonly Piece[];
  readonly amount: number;
  readonly method: Method;
  readonly covered: Cover | undefined;
  /** The last touch check on what lies on top of them. */
  readonly touched: Touched | undefined;
  /** The other sides of their joints, and what lies across them, by number. */
  readonly beside: readonly number[];
  readonly across: readonly number[];
}

/**
 * Gathers the pieces of a room so that each of a group stands as the others do: of one class, on the same side, by the same
 * method, with the same coats, under the same entries, held or not, to be mended or not, touched alike, and so what lies beside and across
 * them.
 */
export function alikePieces(
  pieces: readonly Piece[],
  applied: readonly CoatEntry[],
  method: Method,
  finish: Room['finish'],
  { held, toMend, touched, more }: PieceMarks,
): readonly Alike[] {
  const covers = coversOf(pieces, applied, method, finish);
  const byJoint = new Map<string, number[]>();
  for (const [index, piece] of pieces.entries()) push(byJoint, jointOf(piece.id), index);
  const numbers = new Map(pieces.map(({ id }, index) => [id, index]));
  const besides = pieces.map((piece, index) =>
    (byJoint.get(jointOf(piece.id)) ?? []).filter((other) => other !== index),
  );
  const acrosses = pieces.map(({ crosses }) => crosses.flatMap((id) => numbers.get(id) ?? []));

  const touches = pieces.map((piece, index) => lastTouchOn(piece, covers[index], applied, touched));

  const [number, coverNumber] = [numbering<string>(), numbering<Cover | undefined>()];
  const base = pieces.map((piece, index) => {
    const { left, first, ceilingFirst } = piece.lies ?? {};
    const { level } = methodOn(piece.faces, method, finish);
    const under = coverNumber(covers[index]);
    const waits = `${isHeld(piece, held)} ${toMend.has(piece.id)} ${touches[index]} ${JSON.stringify(more.get(piece.id)?.coat)}`;
    return number(`${piece.class} ${level} ${left} ${first} ${ceilingFirst} ${waits} ${under}`);
  });
  const among = (others: readonly number[]) => [...new Set(others.map((other) => base[other]))].sort().join(' ');
  const groupOf = numbering<string>();
  const own = pieces.map((_piece, index) =>
    groupOf(`${base[index]} / ${among(besides[index] ?? [])} / ${among(acrosses[index] ?? [])}`),
  );
  const groups: { readonly first: number; readonly members: Piece[]; amount: number }[] = [];
  for (const [index, piece] of pieces.entries()) {
    const group = groups[own[index] ?? -1];
    if (!group) groups.push({ first: index, members: [piece], amount: piece.amount });
    else {
      group.members.push(piece);
      group.amount += piece.amount;
    }
  }
  const [beside, across] = [besides, acrosses].map((others) => {
    const sets = groups.map(() => new Set<number>());
    for (const [index, some] of others.entries())
      for (const other of some) sets[own[index] ?? -1]?.add(own[other] ?? -1);
    return sets.map((set) => [...set]);
  });
  return groups.map(({ first, members, amount }, group) => {
    const piece = pieces[first] as Piece;
    return {
      piece,
      pieces: members,
      amount,
      method: methodOn(piece.faces, method, finish),
      covered: covers[first],
      touched: touched[touches[first] ?? -1],
      beside: beside?.[group] ?? [],
      across: across?.[group] ?? [],
    };
  });
}

/** The number of the last touch check on a piece since its last coat went on; -1 where nobody touched that. */
function lastTouchOn(
  { id, class: kind }: Piece,
  cover: Cover | undefined,
  applied: readonly CoatEntry[],
  touched: readonly Touched[],
): number {
  const top = cover && applied[cover.entry];
  if (!top) return -1;
  const since = Date.parse(top.at);
  return touched.findLastIndex(
    (touch) =>
      Date.parse(touch.at) > since &&
      (touch.class === undefined || touch.class === kind) &&
      (touch.pieces?.includes(id) ?? true),
  );
}

/**
 * For each piece, which entries cover which part of it; what is under the same entries has the same object. An entry that says
 * on what it lay lies there still; of a piece that is longer than it was then, it covers what there was. What of that is gone,
 * because the room was measured anew and its boards lie otherwise, is on what lies in the same place now, as far as there is no more
 * of it. An entry that does not say it, as one that was not recorded yet, is on all that it may mean. Nothing is on boards that are new
 * since.
 */
function coversOf(
  pieces: readonly Piece[],
  applied: readonly CoatEntry[],
  method: Method,
  finish: Room['finish'],
): readonly (Cover | undefined)[] {
  const covers: (Cover | undefined)[] = pieces.map(() => undefined);
  const byClass = new Map<string, number[]>();
  for (const [index, piece] of pieces.entries()) push(byClass, piece.class, index);
  const meant = meaning(pieces, byClass, method, finish);
  for (const [entry, { payload, gone: goneFaces }] of applied.entries()) {
    const over = layer(entry);
    const cover = (index: number, part: number) => {
      if (goneFaces && isOnGone(pieces[index] as Piece, goneFaces)) return;
      covers[index] = over(covers[index], part);
    };
    const { class: kind, part, on } = payload;
    if (!on && !payload.pieces) {
      for (const index of meant(payload)) cover(index, part);
      continue;
    }
    const own = (byClass.get(kind) ?? []).map((index) => ({ index, piece: pieces[index] as Piece }));
    if (!on) {
      const named = new Map(payload.pieces?.map(({ id, amount }) => [id, amount]));
      for (const { index, piece } of own)
        if (named.has(piece.id)) cover(index, Math.min(1, (named.get(piece.id) ?? piece.amount) / piece.amount));
      continue;
    }
    const left = new Map(on.map((covered) => [covered.id, covered]));
    const fresh = own.filter(({ index, piece }) => {
      const covered = left.get(piece.id);
      if (!covered) return true;
      const whole = payload.pieces && covered.of > 0 ? covered.amount / covered.of : part;
      cover(index, whole * stillCovered(covered.of, piece.amount));
      left.delete(piece.id);
      return false;
    });
    if (left.size === 0 || fresh.length === 0) continue;
    const gone = new Map<string, number>();
    for (const { id, amount } of left.values()) gone.set(placeOf(id), (gone.get(placeOf(id)) ?? 0) + amount);
    for (const [place, amount] of gone) {
      const there = fresh.filter(({ piece }) => placeOf(piece.id) === place);
      const whole = there.reduce((sum, { piece }) => sum + piece.amount, 0);
      const known = payload.pieces ? Math.min(1, amount / whole) : part * stillCovered(amount / part, whole);
      for (const { index } of there) cover(index, known);
    }
  }
  return covers;
}

/** Whether a piece lies on boards that were taken away, or the tape of its joint did. */
export const isOnGone = ({ faces }: Pick<Piece, 'faces'>, gone: readonly string[]): boolean =>
  faces.some((face) => gone.includes(face));

/** Who measures again finds a joint a little longer or shorter. Common practice, no source. */
const MEASURED_ANEW = 1.02;

/** The part of something that lies under what covered it when there was so much of it: less than all where it grew. */
const stillCovered = (then: number, now: number): number => (now > then * MEASURED_ANEW ? then / now : 1);

/** Lays one entry over what there is: the same part over the same is the same. */
function layer(entry: number): (below: Cover | undefined, part: number) => Cover {
  const known = new Map<Cover | undefined, Cover[]>();
  let last: Cover | undefined;
  return (below, part) => {
    // What lies side by side mostly has the same under it.
    if (last && last.below === below && last.part === part) return last;
    const over = known.get(below) ?? [];
    known.set(below, over);
    last = over.find((own) => own.part === part);
    if (!last) {
      last = { entry, part, below };
      over.push(last);
    }
    return last;
  };
}

/** The pieces, by number, that an entry means which names none; what is meant by the same words is looked for once. */
function meaning(
  pieces: readonly Piece[],
  byClass: ReadonlyMap<string, readonly number[]>,
  method: Method,
  finish: Room['finish'],
): (said: CoatEntry['payload']) => readonly number[] {
  const known = new Map<string, readonly number[]>();
  return ({ class: kind, side, faces }) => {
    const words = `${kind} ${side} ${faces?.join(' ')}`;
    const before = known.get(words);
    if (before) return before;
    const meant = (byClass.get(kind) ?? []).filter((index) => {
      const piece = pieces[index] as Piece;
      return (!faces || faces.includes(piece.face)) && liesOn(piece, side, isCeilingFirst(piece, method, finish));
    });
    known.set(words, meant);
    return meant;
  };
}

function push<Key>(lists: Map<Key, number[]>, key: Key, value: number): void {
  const list = lists.get(key);
  if (list) list.push(value);
  else lists.set(key, [value]);
}

/** Gives each value a number, the same one to the same value. */
function numbering<Value>(): (value: Value) => number {
  const known = new Map<Value, number>();
  return (value) => {
    const number = known.get(value) ?? known.size;
    known.set(value, number);
    return number;
  };
}
