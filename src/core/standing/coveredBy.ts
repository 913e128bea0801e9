import { isAccessory } from '../joints/classTraits';
import { sidesOfJoint } from '../joints/jointId';
import type { Piece } from '../joints/pieces';
import type { Covered, NewEntry, PutOn } from '../log/entry';
import type { Side } from '../method/coat';
import { coatNamed } from '../method/coatNamed';
import { coatsFor } from '../method/coatsFor';
import type { Method } from '../method/resolveMethod';
import type { Problem } from '../room/problem';
import type { Room } from '../room/schema';
import { isCeilingFirst, liesOn } from './liesOn';

type CoatSaid = Extract<NewEntry, { kind: 'coat' }>['payload'];

/** Somebody who measured a joint may have measured it a little longer than it is. */
const SLACK = 1.01;

/**
 * The pieces of a room that a coat lies on, and how much of each it covers: what is kept with the entry, and stays true when
 * the room or the method changes.
 *
 * @param pieces of the room as it is now, see `piecesOf`
 * @returns what is covered, or what of the entry names something that is not there; its path is within the entry
 */
export function coveredBy(
  { class: kind, side, part, pieces: named, faces }: CoatSaid,
  pieces: readonly Piece[],
  method: Method,
  finish?: Room['finish'],
): { readonly ok: true; readonly on: readonly Covered[] } | { readonly ok: false; readonly problem: Problem } {
  if (!named) {
    const on = pieces.filter(
      (piece) =>
        piece.class === kind &&
        (!faces || faces.includes(piece.face)) &&
        liesOn(piece, side, isCeilingFirst(piece, method, finish)),
    );
    return { ok: true, on: on.map((piece) => covered(piece, piece.amount * part)) };
  }
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const on: Covered[] = [];
  for (const [index, { id, amount }] of named.entries()) {
    const refused = (path: string, reason: string) => ({
      ok: false as const,
      problem: { path: `payload.pieces[${index}].${path}`, reason },
    });
    const piece = byId.get(id);
    if (!piece) return refused('id', `the room has no piece "${id}"`);
    if (piece.class !== kind) return refused('id', `is of another class (${piece.class})`);
    if (!liesOn(piece, side, isCeilingFirst(piece, method, finish)))
      return refused('id', `is not of the side "${side}"`);
    if ((amount ?? 0) > piece.amount * SLACK)
      return refused('amount', `is more than the piece has (${rounded(piece, piece.amount)})`);
    on.push(covered(piece, Math.min(piece.amount, amount ?? piece.amount)));
  }
  return { ok: true, on };
}

/** With what a coat is put on by a method: what its coat of that name takes, else what its last one does. */
export function putOnBy(said: Pick<CoatSaid, 'class' | 'key' | 'side' | 'mud'>, method: Method): PutOn {
  const { class: kind, key, mud } = said;
  const coats = coatsFor(kind, method);
  const coat = coatNamed(coats, said) ?? coats.at(-1);
  const product = mud.kind === 'setting' ? 'setting' : (coat?.mud ?? 'all-purpose');
  const isTaped = key === 'tape' && !isAccessory(kind) && kind !== 'surface';
  return { product, ...(isTaped ? { tape: coat?.tape ?? 'paper' } : {}) };
}

/**
 * Returns how much a coat covered: mm of joint, fasteners by count, mm² of surface. A coat that lies on both sides of a joint counts
 * half on each, so that walls and ceiling logged one after the other come to the joint's length; a coat by side counts whole.
 *
 * @example amountCovered({ on: [{ id: 'c0~w0#0@w0', amount: 3000, of: 3000 }], side: undefined })  // 1500
 */
export const amountCovered = ({
  on = [],
  side,
}: {
  readonly on?: readonly Covered[] | undefined;
  readonly side?: Side | undefined;
}): number => on.reduce((sum, { id, amount }) => sum + amount / (side === undefined ? sidesOfJoint(id) : 1), 0);

const covered = (piece: Piece, amount: number): Covered => ({
  id: piece.id,
  amount: rounded(piece, amount),
  of: rounded(piece, piece.amount),
});

/** Tenths of mm of a joint, whole mm² of a surface; of fasteners also parts, where a part of them was meant. */
const rounded = ({ class: kind }: Piece, amount: number): number =>
  kind === 'surface' ? Math.round(amount) : Math.round(amount * 10) / 10;
