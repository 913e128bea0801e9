import type { HangPlan } from '../house/resolveHang';
import { overlapOf, type Span, subtractSpans, totalLength } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { Board, JointPrices } from './board';
import { buttSets } from './buttSets';
import { type CostParts, NO_COST, type RankedCost, type Ranking, rankedCost } from './cost';
import type { Course } from './courses';
import { type Strip, stretchesOf, touches } from './strip';

/** One way to break a course into boards. */
export interface Choice {
  /** Where butts stand, in order along the course; mm. */
  readonly butts: readonly number[];
  readonly pieces: readonly Span[];
  readonly cost: RankedCost;
}

/** A butt nearer than this to the side of an opening may crack over its corner: common practice, no source. */
const CORNER_CLEARANCE_MM = 150;
/** Where doors split a course, more combinations of butts than this are not compared. */
const MOST_CHOICES = 400;
/** A rip narrower than half a sheet still takes half of one. */
const LEAST_SHEET = 0.5;

/** Every way to break a course into as few boards as it takes, with what each costs. */
export function courseChoices(
  strip: Strip,
  course: Course,
  plan: HangPlan,
  prices: JointPrices,
  ranking: Ranking,
): readonly Choice[] {
  const longest = Math.max(...course.stock.lengths);
  const costAt = rememberedButtCost(strip, course, prices);
  // Upright boards run with the framing; their butts land on blocking, taken at the same spacing.
  let choices: readonly Omit<Choice, 'cost'>[] = [{ butts: [], pieces: [] }];
  for (const stretch of stretchesOf(strip, course)) {
    const sets = buttSets(stretch, longest, plan.framing).map((butts) => ({ butts, pieces: piecesOf(stretch, butts) }));
    choices = choices
      .flatMap((choice) =>
        sets.map(({ butts, pieces }) => ({
          butts: [...choice.butts, ...butts],
          pieces: [...choice.pieces, ...pieces],
        })),
      )
      .slice(0, MOST_CHOICES);
  }
  return choices.map((choice) => ({ ...choice, cost: rankedCost(ranking, costOf(choice, course, costAt)) }));
}

/** The boards of a chosen course. */
export function boardsOf({ pieces }: Choice, strip: Strip, course: Course, index: number): readonly Board[] {
  return pieces.map(({ from, to }) => ({
    course: index,
    u0: strip.long === 'u' ? from : course.t0,
    u1: strip.long === 'u' ? to : course.t1,
    v0: strip.long === 'u' ? course.t0 : from,
    v1: strip.long === 'u' ? course.t1 : to,
    long: strip.long,
    lowEdge: course.lowEdge,
    highEdge: course.highEdge,
    stock: { width: course.stock.width, length: stockLength(course, to - from) },
  }));
}

function piecesOf({ from, to }: Span, butts: readonly number[]): readonly Span[] {
  const stops = [from, ...butts, to];
  return stops.slice(1).map((stop, index) => ({ from: stops[index] ?? from, to: stop }));
}

/** The shortest sheet that a piece can be cut from. */
function stockLength({ stock }: Course, length: number): number {
  return stock.lengths.find((candidate) => candidate >= length - TOLERANCE_MM) ?? Math.max(...stock.lengths);
}

function costOf(
  { butts, pieces }: Omit<Choice, 'cost'>,
  course: Course,
  costAt: (at: number) => Pick<CostParts, 'work' | 'corners'>,
): CostParts {
  const breadth = course.t1 - course.t0;
  let [work, corners, waste] = [0, 0, 0];
  for (const at of butts) {
    const cost = costAt(at);
    work += cost.work;
    corners += cost.corners;
  }
  for (const { from, to } of pieces) {
    waste += course.stock.width * stockLength(course, to - from) - breadth * (to - from);
  }
  const sheets = pieces.length * Math.max(breadth / course.stock.width, LEAST_SHEET);
  return { ...NO_COST, work, corners, sheets, waste };
}

/** Many choices share their butts; each place is looked at once. */
function rememberedButtCost(strip: Strip, course: Course, prices: JointPrices) {
  const known = new Map<number, Pick<CostParts, 'work' | 'corners'>>();
  return (at: number) => {
    let cost = known.get(at);
    if (!cost) {
      cost = { work: prices.butt * buttLength(strip, course, at), corners: cornersUnder(strip, course, at) };
      known.set(at, cost);
    }
    return cost;
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
