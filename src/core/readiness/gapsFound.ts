import type { Piece } from '../joints/pieces';
import type { OpenItem, RoomState } from '../log/stateOf';
import { isPrefilled } from '../method/defects';
import { acceptanceOf } from '../standing/heldFaces';

/**
 * What is to be pre-filled by what was found, mm: the open gaps with their lengths, once every face of the room was looked at.
 * Undefined where nobody looked at some face: then it is guessed.
 */
export function gapsFound(
  { acceptances, items }: Pick<RoomState, 'acceptances' | 'items'>,
  pieces: readonly Piece[],
): number | undefined {
  if (acceptances.length === 0) return undefined;
  const faces = new Set(pieces.map(({ face }) => face));
  for (const face of faces) if (!acceptanceOf(acceptances, face)) return undefined;
  return items.filter(isGap).reduce((sum, { length = 0 }) => sum + length, 0);
}

/** A gap or a broken corner that is not filled, of which somebody said how long it is. */
export const isGap = ({ closed, defect, length }: OpenItem): boolean =>
  !closed && isPrefilled(defect) && length !== undefined;
