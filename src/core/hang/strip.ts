import type { Face } from '../house/faces/face';
import { type Axis, chordsAt, reachIn } from '../measure/chords';
import { boxOf, isUprightBox } from '../measure/polygon';
import { lengthWithin, type Span } from '../measure/span';
import type { Loop, Point } from '../measure/vector';
import type { Course } from './courses';

/** A face seen along its courses: `s` runs with the boards, `t` across them; mm. */
export interface Strip {
  readonly long: Axis;
  /** What is boarded, as (s, t). */
  readonly loops: readonly Loop[];
  /** How far it reaches across the courses. */
  readonly breadth: Span;
  /** Whether the face is nothing but an upright rectangle. */
  readonly plain: boolean;
  /** The boxes around openings, whose corners butts keep away from. */
  readonly holes: readonly { readonly s: Span; readonly t: Span }[];
}

/** A mirrored face is seen from its far end, so that it is hung as the mirror image of the other one. */
export function stripOf(face: Face, long: Axis): Strip {
  const flip = (u: number) => (face.mirrored ? face.width - u : u);
  const loops = long === 'u' && !face.mirrored ? face.loops : turnedLoops(face, long, flip);
  const holes = face.holes.map(({ u0, u1, v0, v1 }) => {
    const u = { from: Math.min(flip(u0), flip(u1)), to: Math.max(flip(u0), flip(u1)) };
    const v = { from: v0, to: v1 };
    return long === 'u' ? { s: u, t: v } : { s: v, t: u };
  });
  const box = boxOf(loops);
  return { long, loops, breadth: { from: box.v0, to: box.v1 }, plain: isUprightBox(loops), holes };
}

function turnedLoops(face: Face, long: Axis, flip: (u: number) => number): readonly Loop[] {
  return face.loops.map((loop): Loop => {
    const placed = loop.map(([u, v]): Point => (long === 'u' ? [flip(u), v] : [v, flip(u)]));
    // A turn or a flip alone would change the way round; both together would not.
    return (long === 'v') !== face.mirrored ? placed.reverse() : placed;
  });
}

/** The stretches of a course that hang together, whatever openings and slopes leave. */
export const stretchesOf = ({ loops }: Strip, { t0, t1 }: Course): readonly Span[] => reachIn(loops, 'v', t0, t1);

/** How much board lies on both sides of a line across a course; mm. */
export const boardAcross = ({ plain, loops }: Strip, { t0, t1 }: Course, s: number): number =>
  plain ? t1 - t0 : lengthWithin(chordsAt(loops, 'u', s), t0, t1);

/** Where board lies on both sides of a line along the courses. */
export const alongAt = ({ loops }: Strip, t: number): readonly Span[] => chordsAt(loops, 'v', t);
