import type { Piece } from '../joints/pieces';
import type { Coat, CoatId } from '../method/coat';
import { coatsFor } from '../method/coatsFor';
import { type JointsWithMore, NO_MORE, withExtraCoat } from '../method/extraCoat';
import type { Method } from '../method/resolveMethod';
import { methodOn } from '../method/roomCoats';
import type { Room } from '../room/schema';
import { isCeilingFirst, liesOn } from './liesOn';

/**
 * The pieces of a room that are to get each of its coats: those of its class that lie on its side, on faces whose level asks
 * for it.
 *
 * @param pieces of the room, see `piecesOf`
 * @param more what single joints get beyond their class
 */
export function coatPieces(
  pieces: readonly Piece[],
  method: Method,
  finish: Room['finish'],
  more: JointsWithMore = NO_MORE,
): ReadonlyMap<CoatId, readonly Piece[]> {
  const asked = new Map<string, readonly Coat[]>();
  const found = new Map<CoatId, Piece[]>();
  for (const piece of pieces) {
    const own = methodOn(piece.faces, method, finish);
    const key = `${piece.class} ${own.level}`;
    const coats = asked.get(key) ?? coatsFor(piece.class, own);
    asked.set(key, coats);
    const ceilingFirst = isCeilingFirst(piece, method, finish);
    for (const { id, side } of withExtraCoat(coats, more.get(piece.id))) {
      if (!liesOn(piece, side, ceilingFirst)) continue;
      const known = found.get(id);
      if (known) known.push(piece);
      else found.set(id, [piece]);
    }
  }
  return found;
}
