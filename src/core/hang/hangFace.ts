import type { Face } from '../house/face';
import type { HangPlan } from '../house/resolveHang';
import { overlapOf, type Span, subtractSpans, totalLength } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import { type Board, type JointPrices, usualJointPrices } from './board';
import { buttSets } from './buttSets';
import { addCosts, compareCosts, type RankedCost } from './cost';
import { type Course, courseLayouts } from './courses';

/** The ways a face may be hung; the cheapest wins, the first named where they cost the same. */
export interface FaceHanging {
  readonly long: readonly ('u' | 'v')[];
  /** Whether the first full board may also lie at the far side. */
  readonly searchStart: boolean;
}

/** A butt nearer than this to the side of an opening may crack over its corner: common practice, no source. */
const CORNER_CLEARANCE_MM = 150;
/** Butts of neighbouring courses keep this many bays of framing between them: common practice, no source. */
const STAGGER_BAYS = 2;
/** Where doors split a course, more combinations of butts than this are not compared. */
const MOST_CHOICES = 400;

/**
 * Hangs boards on one face so that finishing costs least; see `layCourses` for the search. A face narrower than a board
 * takes one strip lengthwise whatever was asked.
 *
 * @returns the boards, course by course
 * @example hangFace(wall20ft, plan, { long: ['u'], searchStart: false })  // two courses with one butt each
 */
export function hangFace(
  face: Face,
  plan: HangPlan,
  hanging: FaceHanging,
  prices: JointPrices = usualJointPrices,
): readonly Board[] {
  const widest = Math.max(...plan.boards.map(({ width }) => width));
  const narrow = Math.min(face.width, face.height) < widest - TOLERANCE_MM;
  const directions: readonly ('u' | 'v')[] = narrow ? [face.width >= face.height ? 'u' : 'v'] : hanging.long;
  let best: { readonly cost: RankedCost; readonly boards: readonly Board[] } | undefined;
  for (const long of directions) {
    for (const startHigh of hanging.searchStart ? [false, true] : [false]) {
      for (const courses of courseLayouts(long === 'u' ? face.height : face.width, plan.boards, startHigh)) {
        const laid = layCourses(new Strip(face, long), courses, plan, prices);
        if (!best || compareCosts(laid.cost, best.cost) < 0) best = laid;
      }
    }
  }
  if (!best) throw new RangeError('a face takes at least one course');
  return best.boards;
}

/** A face seen along its courses: `s` runs with the boards, `t` across them. */
class Strip {
  readonly length: number;
  readonly holes: readonly { readonly s: Span; readonly t: Span }[];

  constructor(
    face: Face,
    readonly long: 'u' | 'v',
  ) {
    this.length = long === 'u' ? face.width : face.height;
    this.holes = face.holes.map(({ u0, u1, v0, v1 }) => {
      const u = { from: u0, to: u1 };
      const v = { from: v0, to: v1 };
      return long === 'u' ? { s: u, t: v } : { s: v, t: u };
    });
  }

  /** The stretches of a course that openings of its full breadth leave. */
  stretches({ t0, t1 }: Course): readonly Span[] {
    const through = this.holes.filter(({ t }) => t.from <= t0 + TOLERANCE_MM && t.to >= t1 - TOLERANCE_MM);
    return subtractSpans(
      { from: 0, to: this.length },
      through.map(({ s }) => s),
    );
  }
}

interface Choice {
  readonly butts: readonly number[];
  readonly boards: readonly Board[];
  readonly cost: RankedCost;
}

/**
 * The cheapest butts for given courses: a layered shortest path over each course's sets of butts. Costs are ranked by
 * the aim: finishing work, then butts over the corners of openings, then poor stagger, then sheets, then waste.
 */
function layCourses(
  strip: Strip,
  courses: readonly Course[],
  plan: HangPlan,
  prices: JointPrices,
): { readonly cost: RankedCost; readonly boards: readonly Board[] } {
  const rank = ranking(plan.aim);
  let paths: readonly {
    readonly cost: RankedCost;
    readonly last: readonly number[];
    readonly boards: readonly Board[];
  }[] = [
    {
      cost: rank({ work: seamWork(strip, courses, prices), corners: 0, stagger: 0, sheets: 0, waste: 0 }),
      last: [],
      boards: [],
    },
  ];
  courses.forEach((course, index) => {
    const choices = choicesFor(strip, course, index, plan, prices, rank);
    paths = choices.map((choice) => {
      let best: (typeof paths)[number] | undefined;
      for (const path of paths) {
        const stagger = tooClose(path.last, choice.butts, STAGGER_BAYS * plan.framing);
        const cost = addCosts(
          path.cost,
          addCosts(choice.cost, rank({ work: 0, corners: 0, stagger, sheets: 0, waste: 0 })),
        );
        if (!best || compareCosts(cost, best.cost) < 0)
          best = { cost, last: choice.butts, boards: [...path.boards, ...choice.boards] };
      }
      if (!best) throw new RangeError('every course follows another');
      return best;
    });
  });
  return paths.reduce((a, b) => (compareCosts(b.cost, a.cost) < 0 ? b : a));
}

interface CostParts {
  readonly work: number;
  readonly corners: number;
  readonly stagger: number;
  readonly sheets: number;
  readonly waste: number;
}

function ranking(aim: HangPlan['aim']): (parts: CostParts) => RankedCost {
  const rest = ({ work, corners, stagger, sheets, waste }: CostParts) => ({
    joints: [work, corners, stagger, sheets, waste],
    boards: [sheets, work, corners, stagger, waste],
    waste: [waste, work, corners, stagger, sheets],
  });
  return (parts) => rest(parts)[aim];
}

function seamWork(strip: Strip, courses: readonly Course[], prices: JointPrices): number {
  return courses.slice(1).reduce((work, course, index) => {
    const tapers = [courses[index]?.highEdge, course.lowEdge].filter((edge) => edge === 'tapered').length;
    const price = tapers === 2 ? prices.flat : tapers === 1 ? prices.mixed : prices.butt;
    const cuts = strip.holes.filter(({ t }) => touches(t, course.t0)).map(({ s }) => s);
    return work + price * totalLength(subtractSpans({ from: 0, to: strip.length }, cuts));
  }, 0);
}

const touches = ({ from, to }: Span, at: number): boolean => at >= from - TOLERANCE_MM && at <= to + TOLERANCE_MM;

function choicesFor(
  strip: Strip,
  course: Course,
  index: number,
  plan: HangPlan,
  prices: JointPrices,
  rank: (parts: CostParts) => RankedCost,
): readonly Choice[] {
  const longest = Math.max(...course.stock.lengths);
  const breadth = course.t1 - course.t0;
  // Upright boards run with the framing; their butts land on blocking, taken at the same spacing.
  const perStretch = strip
    .stretches(course)
    .map((stretch) => buttSets(stretch, longest, plan.framing).map((butts) => ({ stretch, butts })));
  const combined = perStretch.reduce<
    readonly (readonly { readonly stretch: Span; readonly butts: readonly number[] }[])[]
  >((sets, options) => sets.flatMap((set) => options.map((option) => [...set, option])).slice(0, MOST_CHOICES), [[]]);
  return combined.map((set) => {
    const butts = set.flatMap((part) => part.butts);
    const boards = set.flatMap(({ stretch, butts: inside }) => {
      const ends = [stretch.from, ...inside, stretch.to];
      return ends.slice(1).map((to, end) => boardOf(strip.long, course, index, { from: ends[end] ?? 0, to }));
    });
    const work = butts.reduce((sum, at) => sum + prices.butt * buttLength(strip, course, at), 0);
    const corners = butts.reduce((sum, at) => sum + cornersUnder(strip, course, at), 0);
    const waste = boards.reduce(
      (sum, { stock, u0, u1, v0, v1 }) => sum + stock.width * stock.length - (u1 - u0) * (v1 - v0),
      0,
    );
    return {
      butts,
      boards,
      cost: rank({
        work,
        corners,
        stagger: 0,
        sheets: boards.length * Math.max(breadth / course.stock.width, 0.5),
        waste,
      }),
    };
  });
}

function boardOf(long: 'u' | 'v', course: Course, index: number, { from, to }: Span): Board {
  const length =
    course.stock.lengths.find((candidate) => candidate >= to - from - TOLERANCE_MM) ??
    Math.max(...course.stock.lengths);
  const place =
    long === 'u'
      ? { u0: from, u1: to, v0: course.t0, v1: course.t1 }
      : { u0: course.t0, u1: course.t1, v0: from, v1: to };
  return {
    course: index,
    ...place,
    long,
    lowEdge: course.lowEdge,
    highEdge: course.highEdge,
    stock: { width: course.stock.width, length },
  };
}

function buttLength(strip: Strip, { t0, t1 }: Course, at: number): number {
  const cuts = strip.holes.filter(({ s }) => touches(s, at)).map(({ t }) => t);
  return totalLength(subtractSpans({ from: t0, to: t1 }, cuts));
}

function cornersUnder(strip: Strip, { t0, t1 }: Course, at: number): number {
  return strip.holes.reduce((sum, { s, t }) => {
    const besides = [s.from, s.to].filter((side) => Math.abs(side - at) < CORNER_CLEARANCE_MM).length;
    return sum + (besides > 0 && overlapOf(t, { from: t0, to: t1 }) ? besides : 0);
  }, 0);
}

function tooClose(above: readonly number[], below: readonly number[], least: number): number {
  return below.reduce(
    (sum, at) => sum + above.filter((other) => Math.abs(other - at) < least - TOLERANCE_MM).length,
    0,
  );
}
