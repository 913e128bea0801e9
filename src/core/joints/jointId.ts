import type { Axis } from '../measure/chords';
import type { Point } from '../measure/vector';

const mm = (value: number): number => Math.round(value) || 0;

/** The id of a joint within a face: across which axis, at what height or width, from where; mm. */
export const seamId = (face: string, across: Axis, at: number, from: number): string =>
  `${face}#${across}${mm(at)}.${mm(from)}`;

/** The id of a joint between two faces, from its place on one of them: where along their line, or where on the face; mm. */
export function edgeId(a: string, b: string, place: number | Point): string {
  const edge = a < b ? `${a}~${b}` : `${b}~${a}`;
  return typeof place === 'number' ? `${edge}#${mm(place)}` : `${edge}#${mm(place[0])}.${mm(place[1])}`;
}

/** The id of a trim along a stretch of a free edge, which may have several; mm. */
export const trimId = (edge: string, [u, v]: Point): string => `${edge}.trim#${mm(u)}.${mm(v)}`;

/** The joint of a piece: `c0~w1#0` of `c0~w1#0@c0`. */
export const jointOf = (piece: string): string => piece.slice(0, piece.lastIndexOf('@'));

/**
 * Returns how many sides the joint of a piece has, each a piece of its own: two where two faces meet, one within a face.
 *
 * @example sidesOfJoint('c0~w1#0@c0')     // 2
 * @example sidesOfJoint('w0#v1219.0@w0')  // 1
 */
export const sidesOfJoint = (piece: string): 1 | 2 => (jointOf(piece).split('#')[0]?.includes('~') ? 2 : 1);

/**
 * What a piece lies along, but for its place there: the face of a seam, the two faces of an edge, and on which of them. What
 * was laid out anew, as when a wall became longer, is found again by it.
 *
 * @example placeOf('w0#v1219.0@w0')  // 'w0@w0'
 * @example placeOf('c0~w1#0@c0')     // 'c0~w1@c0'
 */
export const placeOf = (piece: string): string => piece.replace(/#.*(?=@)/, '');

/** Where a piece lies on its face: a seam at so much across it, from so far along, mm; an edge beside another face. */
export type PieceSpot =
  | { readonly kind: 'seam'; readonly across: Axis; readonly at: number; readonly from: number }
  | { readonly kind: 'edge'; readonly other: string };

/**
 * Where a piece lies, by its id; undefined for what lies all over its face, or along an edge that meets nothing.
 *
 * @example spotOf('w0#v1219.0@w0')  // { kind: 'seam', across: 'v', at: 1219, from: 0 }
 * @example spotOf('c0~w1#0@c0')     // { kind: 'edge', other: 'w1' }
 */
export function spotOf(piece: string): PieceSpot | undefined {
  const [, across, at, from] = /^[^~#]+#([uv])(-?\d+)\.(-?\d+)@/.exec(piece) ?? [];
  if (across === 'u' || across === 'v') return { kind: 'seam', across, at: Number(at), from: Number(from) };
  const [, one, two, own] = /^([^~#]+)~([^~#]+)#.*@(.+)$/.exec(piece) ?? [];
  if (one === undefined || two === undefined) return undefined;
  return { kind: 'edge', other: one === own ? two : one };
}
