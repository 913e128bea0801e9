import type { Face } from '../house/faces/face';
import { overlaps, type Span, subtractSpans } from '../measure/span';
import { MM_PER_INCH, TOLERANCE_MM } from '../measure/unit';
import type { Point } from '../measure/vector';

/** Tape runs this far past a line of tile, trim or cabinets into it. Common practice, no source. House file, convention 7. */
const PAST_THE_LINE_MM = 2 * MM_PER_INCH;

/** The stretches of a line on a face that are hidden: those that are still taped, and all of them; mm from its start. */
export interface Hidden {
  readonly all: readonly Span[];
  readonly taped: readonly Span[];
}

const NOTHING: Hidden = { all: [], taped: [] };

/** What zones hide of a straight line on a face. */
export function hiddenOn(face: Face, from: Point, to: Point): Hidden {
  if (face.covers.length === 0) return NOTHING;
  const spans = face.covers.flatMap((cover) => {
    const span = withinBox(from, to, {
      u0: cover.u0 + (cover.u0 > TOLERANCE_MM ? PAST_THE_LINE_MM : 0),
      u1: cover.u1 - (cover.u1 < face.width - TOLERANCE_MM ? PAST_THE_LINE_MM : 0),
      v0: cover.v0 + (cover.v0 > TOLERANCE_MM ? PAST_THE_LINE_MM : 0),
      v1: cover.v1 - (cover.v1 < face.height - TOLERANCE_MM ? PAST_THE_LINE_MM : 0),
    });
    return span ? [{ ...span, taped: cover.cover === 'cabinet' }] : [];
  });
  const bare = spans.filter(({ taped }) => !taped);
  return {
    all: spans,
    taped: spans.filter(({ taped }) => taped).flatMap((span) => subtractSpans(span, bare)),
  };
}

/** What is hidden where two faces meet: only what both sides hide. */
export const hiddenOnBoth = (a: Hidden, b: Hidden): Hidden => {
  if (a.all.length === 0 || b.all.length === 0) return NOTHING;
  const all = overlaps(a.all, b.all);
  return { all, taped: [...overlaps(a.taped, b.all), ...overlaps(a.all, b.taped)] };
};

/** A line's pieces: what is finished, and what is taped only. */
export function piecesBeside(whole: Span, hidden: Hidden): readonly (Span & { readonly tapedOnly: boolean })[] {
  if (hidden.all.length === 0) return [{ from: whole.from, to: whole.to, tapedOnly: false }];
  const finished = subtractSpans(whole, hidden.all);
  const untaped = subtractSpans(whole, hidden.taped);
  const bare = subtractSpans(whole, [...finished, ...untaped]);
  return [
    ...finished.map(({ from, to }) => ({ from, to, tapedOnly: false })),
    ...bare.map(({ from, to }) => ({ from, to, tapedOnly: true })),
  ];
}

/** The stretch of a line inside an upright box, rim included; mm from the line's start. */
function withinBox(
  from: Point,
  to: Point,
  box: { readonly u0: number; readonly u1: number; readonly v0: number; readonly v1: number },
): Span | undefined {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  let [start, end] = [0, length];
  for (const [axis, low, high] of [
    [0, box.u0, box.u1],
    [1, box.v0, box.v1],
  ] as const) {
    const slope = (to[axis] - from[axis]) / length;
    if (Math.abs(slope) < 1e-9) {
      if (from[axis] < low - TOLERANCE_MM || from[axis] > high + TOLERANCE_MM) return undefined;
      continue;
    }
    const stops = [(low - from[axis]) / slope, (high - from[axis]) / slope];
    start = Math.max(start, Math.min(...stops));
    end = Math.min(end, Math.max(...stops));
  }
  return end - start > TOLERANCE_MM ? { from: start, to: end } : undefined;
}
