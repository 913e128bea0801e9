import type { Piece } from '../joints/pieces';
import type { Acceptance } from '../log/roomState';
import { memoizeLast } from '../measure/memoizeLast';
import type { Method } from '../method/resolveMethod';

/** How a face was found last, before it was taped; undefined while nobody said. */
export const acceptanceOf = (acceptances: readonly Acceptance[], face: string): Acceptance | undefined =>
  acceptances.findLast(({ faces }) => faces?.includes(face) ?? true);

const NONE: ReadonlySet<string> = new Set();

/**
 * The faces, by id, whose tape waits: those that the lead held, and where the method asks for acceptance those of which nobody
 * has said that they are good.
 */
export const heldFaces = memoizeLast(
  (
    pieces: readonly Piece[],
    acceptances: readonly Acceptance[],
    { acceptance }: Pick<Method['all'], 'acceptance'>,
  ): ReadonlySet<string> => {
    if (acceptance === 'none' && acceptances.length === 0) return NONE;
    const held = new Set<string>();
    for (const { face } of pieces) {
      const found = acceptanceOf(acceptances, face)?.found;
      if (found === 'held' || (found === undefined && acceptance === 'walk')) held.add(face);
    }
    return held.size === 0 ? NONE : held;
  },
);

/** Of held faces those on which something waits: what is taped already waits for nobody. */
export const waitingFaces = memoizeLast(
  (stretches: readonly { readonly held: boolean; readonly pieces: readonly Piece[] }[], held: ReadonlySet<string>) => {
    if (held.size === 0) return held;
    const waiting = stretches.filter((stretch) => stretch.held).flatMap(({ pieces }) => pieces);
    return new Set(waiting.flatMap(({ faces }) => faces.filter((face) => held.has(face))));
  },
);

/** Whether some piece lies on a held face, or its tape would. */
export const isHeld = ({ faces }: Pick<Piece, 'faces'>, held: ReadonlySet<string>): boolean =>
  held.size > 0 && faces.some((face) => held.has(face));
