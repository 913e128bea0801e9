import type { Piece } from '../joints/pieces';
import type { Side } from '../method/coat';

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
