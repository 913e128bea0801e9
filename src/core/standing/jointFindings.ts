import { isAcross } from '../joints/classTraits';
import type { Piece } from '../joints/pieces';
import type { OpenItem } from '../log/roomState';
import { memoizeLast } from '../measure/memoizeLast';
import { type JointsWithMore, NO_MORE } from '../method/extraCoat';
import { findingOf } from '../section/knifeCheck';

/**
 * Returns what knife checks ask of single joints: one coat more and its mud, or mud that the last coat takes along. The last reading on a
 * joint counts. What was fixed without a coat asks for nothing, nor does a joint that is cut back.
 *
 * @param pieces of the room: a finding on a joint that is gone asks for nothing
 */
export const jointFindings = memoizeLast((items: readonly OpenItem[], pieces: readonly Piece[]): JointsWithMore => {
  const read = items.filter(({ knife, piece, closed }) => knife && piece && (!closed || closed.coated));
  if (read.length === 0) return NO_MORE;
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const found = new Map(
    read.flatMap(({ knife, piece: id = '' }) => {
      const piece = byId.get(id);
      const finding = knife && findingOf(knife);
      if (!piece || !finding || finding.cutBack || finding.extraMud <= 0 || !isAcross(piece.class)) return [];
      const litres = (finding.extraMud * piece.amount) / 1000;
      return [
        [
          id,
          { coat: finding.extraCoat ? { width: finding.width, thickest: finding.thickest } : undefined, litres },
        ] as const,
      ];
    }),
  );
  return found.size === 0 ? NO_MORE : found;
});
