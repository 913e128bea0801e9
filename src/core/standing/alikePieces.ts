import { jointOf, placeOf } from '../joints/jointId';
import type { Piece } from '../joints/pieces';
import type { CoatEntry } from '../log/entry';
import type { Method } from '../method/resolveMethod';
import { methodOn } from '../method/roomCoats';
import type { Room } from '../room/schema';
import { isHeld } from './heldFaces';
import { isCeilingFirst, liesOn } from './liesOn';

/** Pieces that no entry, no coat and no neighbour tells apart. */
export interface Alike {
  /** One of them, for all that they have in common. */
  readonly piece: Piece;
  readonly pieces: readonly Piece[];
  readonly amount: number;
  readonly method: Method;
  /** The part of each that an entry covers, 0–1, by the number of the entry. */
  readonly parts: ReadonlyMap<number, number>;
  /** The other sides of their joints, and what they run over, by number. */
  readonly beside: readonly number[];
  readonly across: readonly number[];
}

/**
 * Gathers the pieces of a room so that each of a group stands as the others do: of one class, on the same side, by the same
 * method, under the same entries, held or not, and so what lies beside them and what they run over.
 */
export function alikePieces(
  pieces: readonly Piece[],
  applied: readonly CoatEntry[],
  method: Method,
  finish: Room['finish'],
  held: ReadonlySet<string>,
): readonly Alike[] {
  const parts = partsOf(pieces, applied, method, finish);
  const byJoint = new Map<string, number[]>();
  for (const [index, piece] of pieces.entries()) push(byJoint, jointOf(piece.id), index);
  const numbers = new Map(pieces.map(({ id }, index) => [id, index]));
  const besides = pieces.map((piece, index) =>
    (byJoint.get(jointOf(piece.id)) ?? []).filter((other) => other !== index),
  );
  const acrosses = pieces.map(({ crosses }) => crosses.flatMap((id) => numbers.get(id) ?? []));

  const number = numbering();
  const base = pieces.map((piece, index) => {
    const { left, first, ceilingFirst } = piece.lies ?? {};
    const said = [...(parts[index] ?? [])].map(([entry, part]) => `${entry}:${part}`).join(' ');
    return number(
      `${piece.class} ${methodOn(piece.faces, method, finish).level} ${left} ${first} ${ceilingFirst} ${isHeld(piece, held)} ${said}`,
    );
  });
  const among = (others: readonly number[]) => [...new Set(others.map((other) => base[other]))].sort().join(' ');
  const groupOf = numbering();
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
      parts: parts[first] ?? new Map(),
      beside: beside?.[group] ?? [],
      across: across?.[group] ?? [],
    };
  });
}

/**
 * For each piece, which entries cover which part of it. An entry that says on what it lay lies there still. What of that is
 * gone, because the room was measured anew and its boards lie otherwise, is on what lies in the same place now: all of it where
 * the entry meant everything there, else as much as it was. An entry that does not say it, as one that was not recorded yet, is
 * on all that it may mean.
 */
function partsOf(
  pieces: readonly Piece[],
  applied: readonly CoatEntry[],
  method: Method,
  finish: Room['finish'],
): readonly ReadonlyMap<number, number>[] {
  const parts = pieces.map(() => new Map<number, number>());
  const byClass = new Map<string, number[]>();
  for (const [index, piece] of pieces.entries()) push(byClass, piece.class, index);
  const ofClass = (kind: string) =>
    (byClass.get(kind) ?? []).map((index) => ({ index, piece: pieces[index] as Piece, now: parts[index] }));
  for (const [number, { payload }] of applied.entries()) {
    const { class: kind, side, faces, part, on } = payload;
    const own = ofClass(kind);
    if (!on && payload.pieces) {
      const named = new Map(payload.pieces.map(({ id, amount }) => [id, amount]));
      for (const { piece, now } of own)
        if (named.has(piece.id)) now?.set(number, Math.min(1, (named.get(piece.id) ?? piece.amount) / piece.amount));
      continue;
    }
    if (!on) {
      for (const { piece, now } of own)
        if ((!faces || faces.includes(piece.face)) && liesOn(piece, side, isCeilingFirst(piece, method, finish)))
          now?.set(number, part);
      continue;
    }
    const left = new Map(on.map((covered) => [covered.id, covered]));
    const fresh = own.filter(({ piece, now }) => {
      const covered = left.get(piece.id);
      if (!covered) return true;
      now?.set(number, payload.pieces && covered.of > 0 ? covered.amount / covered.of : part);
      left.delete(piece.id);
      return false;
    });
    if (left.size === 0 || fresh.length === 0) continue;
    const gone = new Map<string, number>();
    for (const { id, amount } of left.values()) gone.set(placeOf(id), (gone.get(placeOf(id)) ?? 0) + amount);
    for (const [place, amount] of gone) {
      const there = fresh.filter(({ piece }) => placeOf(piece.id) === place);
      const whole = there.reduce((sum, { piece }) => sum + piece.amount, 0);
      for (const { now } of there) now?.set(number, payload.pieces ? Math.min(1, amount / whole) : part);
    }
  }
  return parts;
}

function push<Key>(lists: Map<Key, number[]>, key: Key, value: number): void {
  const list = lists.get(key);
  if (list) list.push(value);
  else lists.set(key, [value]);
}

/** Gives each text a number, the same one to the same text. */
function numbering(): (text: string) => number {
  const known = new Map<string, number>();
  return (text) => {
    const number = known.get(text) ?? known.size;
    known.set(text, number);
    return number;
  };
}
