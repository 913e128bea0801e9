import { sidesOfJoint } from '../joints/jointId';
import type { Piece } from '../joints/pieces';
import { memoizeLast } from '../measure/memoizeLast';
import type { CoatedClass } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import type { Method } from '../method/resolveMethod';
import { methodOn } from '../method/roomCoats';
import type { Room } from '../room/schema';
import type { Finished } from './finished';

/** How much of one class is sanded in the end: mm of joint, fasteners by count, mm² of surface. */
export interface ToSand {
  readonly all: number;
  readonly left: number;
  readonly pieces: readonly Piece[];
  /** The pieces that are left. */
  readonly open: readonly Piece[];
}

/**
 * Returns what of a room is sanded in the end, by class, and what of it is left; see `amountsToSand`, which says the same of a tally.
 *
 * @param pieces of the room
 */
export const leftToSand = memoizeLast(
  (pieces: readonly Piece[], method: Method, finish: Room['finish'], { sandedPieces }: Finished) => {
    const found = new Map<CoatedClass, { all: number; left: number; pieces: Piece[]; open: Piece[] }>();
    for (const piece of pieces) {
      const coats = coatsFor(piece.class, methodOn(piece.faces, method, finish));
      if (coats.length === 0 || coats.some(({ trimmed }) => trimmed)) continue;
      const isSkimmed = coatsFor('surface', methodOn([piece.face], method, finish)).length > 0;
      if (isSkimmed && piece.class !== 'surface') continue;
      const own = found.get(piece.class) ?? { all: 0, left: 0, pieces: [], open: [] };
      found.set(piece.class, own);
      const amount = piece.amount / sidesOfJoint(piece.id);
      own.all += amount;
      own.pieces.push(piece);
      if (sandedPieces.has(piece.id)) continue;
      own.left += amount;
      own.open.push(piece);
    }
    return found as ReadonlyMap<CoatedClass, ToSand>;
  },
);
