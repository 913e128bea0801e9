import type { Piece } from '@/core/joints/pieces';

/**
 * A piece of a flat that lies on the face its id ends with.
 *
 * @param amount mm
 */
export const flatPiece = (id: string, amount: number, more: Partial<Piece> = {}): Piece => {
  const face = id.split('@')[1] ?? '';
  return { id, class: 'flat', face, faces: [face], amount, crosses: [], lies: undefined, ...more };
};
