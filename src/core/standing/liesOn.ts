import type { Piece } from '../joints/pieces';
import type { Side } from '../method/coat';
import { choicesFor, type Method } from '../method/resolveMethod';
import { methodOn } from '../method/roomCoats';
import type { Room } from '../room/schema';

/**
 * Whether a piece is what a school calls this side, or part of a whole joint; where ceilings come first, theirs is the first
 * side.
 */
export function liesOn({ lies }: Pick<Piece, 'lies'>, side: Side | undefined, ceilingFirst: boolean): boolean {
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

/** Whether the ceiling's sides are the first ones where a piece lies. */
export const isCeilingFirst = (piece: Piece, method: Method, finish: Room['finish']): boolean =>
  choicesFor(methodOn(piece.faces, method, finish), piece.class).order === 'ceilingSides';
