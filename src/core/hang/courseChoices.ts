import type { Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { HangPlan } from '../room/resolveHang';
import type { Board, JointPrices } from './board';
import { cheapestButts } from './buttSets';
import { type CostParts, NO_COST, type SplitRanking, wholeCost } from './cost';
import type { Course } from './courses';
import { finishedAcross, type Strip, stretchesOf } from './strip';

/** One way to break a course into boards. */
export interface Choice {
  /** Where butts stand, in order along the course; mm. */
  readonly butts: readonly number[];
  readonly pieces: readonly Span[];
  /** What it costs in the ranks after the stagger, see `wholeCost`; in the ranks before it all choices cost the same. */
  readonly after: number;
}

/** The ways to break a course, and what each costs. */
export interface CourseChoices {
  readonly choices: readonly Choice[];
  readonly partsOf: (choice: Choice) => CostParts;
}

/** A butt nearer than this to the side of an opening may crack over its corner: common practice, no source. */
const CORNER_CLEARANCE_MM = 150;
/** Where doors split a course, more combinations of butts than this are not compared. */
const MOST_CHOICES = 120;
/** A rip narrower than half a sheet still takes half of one. */
const LEAST_SHEET = 0.5;

/**
 * The ways to break a course into boards that may be part of the best layout. Courses depend on each other in the
 * stagger of their butts only, so a way that loses in a rank before it can never win.
 *
 * @param alone whether no other course may lie here: a single way then needs no cost
 */
export function courseChoices(
  strip: Strip,
  course: Course,
  plan: HangPlan,
  prices: JointPrices,
  { ranking, before, after }: SplitRanking,
  alone = true,
): CourseChoices {
  const longest = Math.max(...course.stock.lengths);
  const buttAt = cachedButtCost(strip, course, prices);
  const breadth = course.t1 - course.t0;
  const costs = {
    butt: (at: number) => wholeCost(before, buttAt(at)),
    piece: ranking[0] === 'work' ? () => 0 : (length: number) => wholeCost(before, pieceCost(course, breadth, length)),
  };
  // Upright boards run with the framing; their butts land on blocking, taken at the same spacing.
  let ways: readonly Omit<Choice, 'after'>[] = [{ butts: [], pieces: [] }];
  for (const stretch of stretchesOf(strip, course)) {
    // A single board breaks nothing; only where waste comes first may two short ones do better.
    const single = stretch.to - stretch.from <= longest + TOLERANCE_MM && ranking[0] !== 'waste';
    const sets = single ? [[]] : cheapestButts(stretch, longest, plan.framing, costs);
    ways = withStretch(ways, sets, stretch);
  }
  const partsOf = ({ butts, pieces }: Omit<Choice, 'after'>): CostParts => {
    const parts = { ...NO_COST };
    for (const at of butts) {
      const { work, corners } = buttAt(at);
      parts.work += work;
      parts.corners += corners;
    }
    for (const { from, to } of pieces) {
      const { sheets, waste } = pieceCost(course, breadth, to - from);
      parts.sheets += sheets;
      parts.waste += waste;
    }
    return parts;
  };
  const choices = ways.map(
    (way): Choice => ({
      butts: way.butts,
      pieces: way.pieces,
      after: alone && ways.length === 1 ? 0 : wholeCost(after, partsOf(way)),
    }),
  );
  return { choices, partsOf };
}

/** Each way so far with each way to break the next stretch. */
function withStretch(
  ways: readonly Omit<Choice, 'after'>[],
  sets: readonly (readonly number[])[],
  stretch: Span,
): readonly Omit<Choice, 'after'>[] {
  const longer: Omit<Choice, 'after'>[] = [];
  for (const way of ways) {
    for (const butts of sets) {
      if (longer.length === MOST_CHOICES) return longer;
      longer.push({ butts: [...way.butts, ...butts], pieces: [...way.pieces, ...piecesOf(stretch, butts)] });
    }
  }
  return longer;
}

/**
 * The boards of a course from its pieces.
 *
 * @param isBacked whether the butt at a place is hung over a backer
 * @param isBevelled whether its paper edges were cut back
 */
export function boardsOf(
  pieces: readonly Span[],
  { long }: Pick<Strip, 'long'>,
  course: Course,
  index: number,
  isBacked: (at: number) => boolean,
  isBevelled: (at: number) => boolean = () => false,
): readonly Board[] {
  return pieces.map(({ from, to }) => {
    const board: Board = {
      course: index,
      u0: long === 'u' ? from : course.t0,
      u1: long === 'u' ? to : course.t1,
      v0: long === 'u' ? course.t0 : from,
      v1: long === 'u' ? course.t1 : to,
      long,
      backed: isBacked(to),
      lowEdge: course.lowEdge,
      highEdge: course.highEdge,
      stock: course.stock,
    };
    return isBevelled(to) ? { ...board, bevelled: true } : board;
  });
}

/** A stretch between its butts. */
export function piecesOf({ from, to }: Span, butts: readonly number[]): readonly Span[] {
  const pieces: Span[] = [];
  let start = from;
  for (const butt of butts) {
    pieces.push({ from: start, to: butt });
    start = butt;
  }
  pieces.push({ from: start, to });
  return pieces;
}

/** The shortest sheet that a piece can be cut from. */
function stockLength({ stock }: Course, length: number): number {
  return stock.lengths.find((candidate) => candidate >= length - TOLERANCE_MM) ?? Math.max(...stock.lengths);
}

/** What a board of a course takes of sheets, and what is left of them. */
function pieceCost(course: Course, breadth: number, length: number): CostParts {
  return {
    work: 0,
    corners: 0,
    stagger: 0,
    sheets: Math.max(breadth / course.stock.width, LEAST_SHEET),
    waste: course.stock.width * stockLength(course, length) - breadth * length,
  };
}

/** Many choices share their butts; each place is looked at once. */
function cachedButtCost(strip: Strip, course: Course, prices: JointPrices): (at: number) => CostParts {
  if (strip.plain) {
    const anywhere = { ...NO_COST, work: prices.butt * finishedAcross(strip, course, 0) };
    return () => anywhere;
  }
  const known = new Map<number, CostParts>();
  return (at) => {
    let cost = known.get(at);
    if (!cost) {
      const work = prices.butt * finishedAcross(strip, course, at);
      cost = { work, corners: cornersUnder(strip, course, at), stagger: 0, sheets: 0, waste: 0 };
      known.set(at, cost);
    }
    return cost;
  };
}

function cornersUnder(strip: Strip, { t0, t1 }: Course, at: number): number {
  let corners = 0;
  for (const { s, t } of strip.holes) {
    if (Math.min(t.to, t1) - Math.max(t.from, t0) <= TOLERANCE_MM) continue;
    if (Math.abs(s.from - at) < CORNER_CLEARANCE_MM) corners += 1;
    if (Math.abs(s.to - at) < CORNER_CLEARANCE_MM) corners += 1;
  }
  return corners;
}
