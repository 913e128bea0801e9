import { spotOf } from '../joints/jointId';
import type { Piece } from '../joints/pieces';
import type { CoatEntry } from '../log/entry';

/** Who measures a board again finds its joint within this, mm. Common practice, no source. */
const MEASURED_ANEW_MM = 50;

/**
 * Returns the faces on which something is on and whose seams or butts were moved, added or taken away by an edit, by id.
 *
 * @param before the pieces of the room, see `piecesOf`
 * @param after the same since the edit
 * @param applied what was put on in the room
 */
export function movedFaces(
  before: readonly Piece[],
  after: readonly Piece[],
  applied: readonly CoatEntry[],
): readonly string[] {
  if (applied.length === 0 || before === after) return [];
  const coated = new Set(
    applied.flatMap(({ payload: { on = [] }, gone = [] }) =>
      on.map(({ id }) => id.slice(id.lastIndexOf('@') + 1)).filter((face) => !gone.includes(face)),
    ),
  );
  const [then, now] = [seamsByFace(before), seamsByFace(after)];
  return [...coated].filter((face) => {
    const [was, is] = [then.get(face), now.get(face)];
    // A wall that is gone has no joints to start over.
    if (!is) return was !== undefined && after.some((piece) => piece.face === face);
    return !isCovered(was ?? [], is) || !isCovered(is, was ?? []);
  });
}

interface Seam {
  readonly across: string;
  readonly at: number;
  readonly from: number;
}

/** Whether each of some seams is where another one is. */
const isCovered = (some: readonly Seam[], others: readonly Seam[]): boolean =>
  some.every(({ across, at, from }) =>
    others.some(
      (other) =>
        other.across === across &&
        Math.abs(other.at - at) <= MEASURED_ANEW_MM &&
        Math.abs(other.from - from) <= MEASURED_ANEW_MM,
    ),
  );

/** Returns the seams and butts of each face. */
function seamsByFace(pieces: readonly Piece[]): ReadonlyMap<string, readonly Seam[]> {
  const seams = new Map<string, Seam[]>();
  for (const { id, face } of pieces) {
    const spot = spotOf(id);
    if (spot?.kind !== 'seam') continue;
    const own = seams.get(face) ?? [];
    own.push(spot);
    seams.set(face, own);
  }
  return seams;
}
