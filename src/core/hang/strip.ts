import type { Face } from '../house/face';
import { type Span, subtractSpans } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { Course } from './courses';

/** A face seen along its courses: `s` runs with the boards, `t` across them; mm. */
export interface Strip {
  readonly long: 'u' | 'v';
  readonly length: number;
  readonly holes: readonly { readonly s: Span; readonly t: Span }[];
}

export function stripOf(face: Face, long: 'u' | 'v'): Strip {
  const holes = face.holes.map(({ u0, u1, v0, v1 }) => {
    const u = { from: u0, to: u1 };
    const v = { from: v0, to: v1 };
    return long === 'u' ? { s: u, t: v } : { s: v, t: u };
  });
  return { long, length: long === 'u' ? face.width : face.height, holes };
}

/** The stretches of a course that openings of its full breadth leave. */
export function stretchesOf(strip: Strip, { t0, t1 }: Course): readonly Span[] {
  const through = strip.holes.filter(({ t }) => t.from <= t0 + TOLERANCE_MM && t.to >= t1 - TOLERANCE_MM);
  return subtractSpans(
    { from: 0, to: strip.length },
    through.map(({ s }) => s),
  );
}

/** Whether a coordinate lies within a span or on its ends. */
export const touches = ({ from, to }: Span, at: number): boolean =>
  at >= from - TOLERANCE_MM && at <= to + TOLERANCE_MM;
