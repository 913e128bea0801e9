import { amountOf, type Piece } from '../joints/pieces';
import type { Mark, Sealing } from '../log/roomState';
import { memoizeLast } from '../measure/memoizeLast';

/** What of a room is sealed. */
export interface Sealed {
  /** The last sealing of each face that is painted. */
  readonly faces: ReadonlyMap<string, Sealing>;
  /** When the last of it was; undefined while some painted face is not sealed. */
  readonly whole: Mark | undefined;
}

/** Returns the faces of a room that are sealed: only what is painted is. */
export const sealedOf = memoizeLast((sealings: readonly Sealing[], pieces: readonly Piece[]): Sealed => {
  if (sealings.length === 0) return NOTHING_SEALED;
  const painted = paintedFaces(pieces);
  const faces = new Map<string, Sealing>();
  for (const face of painted) {
    const own = sealings.findLast((sealing) => sealing.faces?.includes(face) ?? true);
    if (own) faces.set(face, own);
  }
  // A room without paint is sealed by saying so.
  const last = faces.size === painted.length ? sealings.at(-1) : undefined;
  return { faces, whole: last && { at: last.at, who: last.who } };
});

const NOTHING_SEALED: Sealed = { faces: new Map(), whole: undefined };

/** Returns the faces that will be painted: not those under tile or behind cabinets. */
export const paintedFaces = (pieces: readonly Pick<Piece, 'class' | 'face'>[]): readonly string[] =>
  pieces.flatMap(({ class: kind, face }) => (kind === 'surface' ? [face] : []));

/** Returns the part of the painted surface that is sealed, 0–1; by face where a list of them is given. */
export function sealedShare(
  { faces }: Pick<Sealed, 'faces'>,
  pieces: readonly Piece[],
  only?: readonly string[],
): number {
  const painted = pieces.filter((piece) => piece.class === 'surface');
  const own = painted.filter(({ face }) => faces.has(face) && (only?.includes(face) ?? true));
  return painted.length > 0 ? amountOf(own) / amountOf(painted) : 1;
}
