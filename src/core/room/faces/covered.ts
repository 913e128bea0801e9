import { type Box, rowsBeside, rowsOf } from '../../measure/boxes';
import { areaOfLoops, clipToAll } from '../../measure/polygon';
import { overlaps, type Span, subtractSpans } from '../../measure/span';
import { MM_PER_INCH, TOLERANCE_MM } from '../../measure/unit';
import type { Point } from '../../measure/vector';
import { COVERS } from '../kinds';
import type { Face } from './face';

/** Tape runs this far past a line of tile, trim or cabinets into it. Common practice, no source. House file, convention 7. */
const PAST_THE_LINE_MM = 2 * MM_PER_INCH;
/** Far enough beyond a face that no line of it lies within it. */
const BEYOND_MM = 10 * PAST_THE_LINE_MM;

/** The stretches of a line on a face that are hidden: those that are still taped, and all of them; mm from its start. */
export interface Hidden {
  readonly all: readonly Span[];
  readonly taped: readonly Span[];
}

const NOTHING: Hidden = { all: [], taped: [] };

/** What hides joints on a face: zones of one cover that touch are one, with the openings in and beside them. */
interface Screen {
  /** Behind cabinets joints are taped; behind tile and trim nothing is done. */
  readonly taped: boolean;
  readonly within: readonly Box[];
  /** What lies less than a tape's run from the line of the zone: joints are finished there. */
  readonly beside: readonly Box[];
}

const screensOf = new WeakMap<Face, readonly Screen[]>();

/** What zones hide of a straight line on a face. */
export function hiddenOn(face: Face, from: Point, to: Point): Hidden {
  if (face.covers.length === 0) return NOTHING;
  const spans = screens(face).flatMap(({ taped, within, beside }) => {
    const bare = beside.flatMap((box) => withinBox(from, to, box, -TOLERANCE_MM) ?? []);
    return within
      .flatMap((box) => withinBox(from, to, box, TOLERANCE_MM) ?? [])
      .flatMap((span) => subtractSpans(span, bare))
      .map((span) => ({ ...span, taped }));
  });
  const untaped = spans.filter(({ taped }) => !taped);
  return {
    all: spans,
    taped: spans.filter(({ taped }) => taped).flatMap((span) => subtractSpans(span, untaped)),
  };
}

function screens(face: Face): readonly Screen[] {
  const known = screensOf.get(face);
  if (known) return known;
  const made = COVERS.flatMap((cover): readonly Screen[] => {
    const own = face.covers.filter((zone) => zone.cover === cover);
    if (own.length === 0) return [];
    // A line at the rim of the face, or of an opening, is no line that tape could run past.
    const all = [...own, ...face.gaps].map((box) => widened(box, face));
    const frame = { u0: -BEYOND_MM, u1: face.width + BEYOND_MM, v0: -BEYOND_MM, v1: face.height + BEYOND_MM };
    return [
      {
        taped: cover === 'cabinet',
        within: rowsOf(own),
        beside: rowsBeside(all, frame).map((box) => grown(box, PAST_THE_LINE_MM)),
      },
    ];
  });
  screensOf.set(face, made);
  return made;
}

/** A box that reaches the rim of its face, as if it went on beyond it. */
const widened = ({ u0, u1, v0, v1 }: Box, { width, height }: Face): Box => ({
  u0: u0 <= TOLERANCE_MM ? -BEYOND_MM : u0,
  u1: u1 >= width - TOLERANCE_MM ? width + BEYOND_MM : u1,
  v0: v0 <= TOLERANCE_MM ? -BEYOND_MM : v0,
  v1: v1 >= height - TOLERANCE_MM ? height + BEYOND_MM : v1,
});

const grown = ({ u0, u1, v0, v1 }: Box, by: number): Box => ({ u0: u0 - by, u1: u1 + by, v0: v0 - by, v1: v1 + by });

/** How much board of a face lies behind tile, cabinets or trim, and is neither skimmed, sanded nor sealed; mm². */
export function coveredArea(face: Face): number {
  return rowsOf(face.covers).reduce(
    (sum, { u0, u1, v0, v1 }) =>
      sum +
      areaOfLoops(
        clipToAll(face.loops, [
          { normal: [1, 0], offset: u0 },
          { normal: [-1, 0], offset: -u1 },
          { normal: [0, 1], offset: v0 },
          { normal: [0, -1], offset: -v1 },
        ]),
      ),
    0,
  );
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

/**
 * The stretch of a line inside an upright box; mm from the line's start.
 *
 * @param rim how far beyond the rim still counts; below 0 the rim is left out
 */
function withinBox(from: Point, to: Point, box: Box, rim: number): Span | undefined {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  let [start, end] = [0, length];
  for (const [axis, low, high] of [
    [0, box.u0, box.u1],
    [1, box.v0, box.v1],
  ] as const) {
    const slope = (to[axis] - from[axis]) / length;
    if (Math.abs(slope) < 1e-9) {
      if (from[axis] < low - rim || from[axis] > high + rim) return undefined;
      continue;
    }
    const stops = [(low - from[axis]) / slope, (high - from[axis]) / slope];
    start = Math.max(start, Math.min(...stops));
    end = Math.min(end, Math.max(...stops));
  }
  return end - start > TOLERANCE_MM ? { from: start, to: end } : undefined;
}
