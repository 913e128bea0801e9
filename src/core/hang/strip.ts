import { type Axis, chordsAt, reachIn } from '../measure/chords';
import { boxOf, isUprightBox } from '../measure/polygon';
import { lengthWithin, overlapOf, type Span, subtractSpans, totalLength } from '../measure/span';
import type { Loop, Point } from '../measure/vector';
import { hiddenOn } from '../room/faces/covered';
import type { Face } from '../room/faces/face';
import type { Course } from './courses';

/** A face seen along its courses: `s` runs with the boards, `t` across them; mm. */
export interface Strip {
  readonly long: Axis;
  /** What is boarded, as (s, t). */
  readonly loops: readonly Loop[];
  /** How far it reaches across the courses. */
  readonly breadth: Span;
  /** Its extent along the courses; mm. */
  readonly length: Span;
  /** Whether the face is nothing but an upright rectangle, finished all over: every place across it is like every other. */
  readonly plain: boolean;
  /** The boxes around openings, whose corners butts keep away from. */
  readonly holes: readonly { readonly s: Span; readonly t: Span }[];
  /** What zones hide of a straight line between two points (s, t); mm from its start. */
  readonly hidden: ((from: Point, to: Point) => readonly Span[]) | undefined;
  /** What was looked at before: every way to hang the strip asks for the same lines. */
  readonly known: KnownLines;
}

interface KnownLines {
  /** How much is finished along a line, by its `t`. */
  readonly along: Map<number, number>;
  /** Where joint is finished on a line across, by its `s`. */
  readonly across: Map<number, readonly Span[]>;
}

export const nothingKnown = (): KnownLines => ({ along: new Map(), across: new Map() });

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
  const onFace = ([s, t]: Point): Point => (long === 'u' ? [flip(s), t] : [flip(t), s]);
  const covered = face.covers.length > 0;
  return {
    long,
    loops,
    breadth: { from: box.v0, to: box.v1 },
    length: { from: box.u0, to: box.u1 },
    plain: !covered && isUprightBox(loops),
    holes,
    hidden: covered ? (from, to) => hiddenOn(face, onFace(from), onFace(to)).all : undefined,
    known: nothingKnown(),
  };
}

function turnedLoops(face: Face, long: Axis, flip: (u: number) => number): readonly Loop[] {
  return face.loops.map((loop): Loop => {
    const placed = loop.map(([u, v]): Point => (long === 'u' ? [flip(u), v] : [v, flip(u)]));
    // A turn or a flip alone would change the way round; both together would not.
    return (long === 'v') !== face.mirrored ? placed.reverse() : placed;
  });
}

/** The stretches of a course that hang together, whatever openings and slopes leave. */
export function stretchesOf({ plain, loops, breadth, length }: Strip, { t0, t1 }: Course): readonly Span[] {
  if (plain) return overlapOf({ from: t0, to: t1 }, breadth) ? [length] : [];
  return reachIn(loops, 'v', t0, t1);
}

/** How much joint would be finished on a line across a course: where board lies on both sides and no zone hides it; mm. */
export function finishedAcross(strip: Strip, { t0, t1 }: Course, s: number): number {
  if (strip.plain) return t1 - t0;
  let spans = strip.known.across.get(s);
  if (!spans) {
    spans = lookedAcross(strip, s);
    strip.known.across.set(s, spans);
  }
  return lengthWithin(spans, t0, t1);
}

function lookedAcross({ loops, breadth, hidden }: Strip, s: number): readonly Span[] {
  const boarded = chordsAt(loops, 'u', s);
  return hidden ? finished(boarded, breadth.from, hidden([s, breadth.from], [s, breadth.to])) : boarded;
}

/** The same on a line along the courses. */
export function finishedAlong(strip: Strip, t: number): number {
  let length = strip.known.along.get(t);
  if (length === undefined) {
    length = lookedAlong(strip, t);
    strip.known.along.set(t, length);
  }
  return length;
}

function lookedAlong({ loops, hidden }: Strip, t: number): number {
  const boarded = chordsAt(loops, 'v', t);
  const [first, last] = [boarded[0], boarded.at(-1)];
  if (!hidden || !first || !last) return totalLength(boarded);
  return totalLength(finished(boarded, first.from, hidden([first.from, t], [last.to, t])));
}

/** What of the boarded stretches of a line is not hidden; `hidden` is measured from the line's start. */
function finished(boarded: readonly Span[], start: number, hidden: readonly Span[]): readonly Span[] {
  const covered = hidden.map(({ from, to }) => ({ from: start + from, to: start + to }));
  return boarded.flatMap((span) => subtractSpans(span, covered));
}
