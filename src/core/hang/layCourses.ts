import { TOLERANCE_MM } from '../measure/unit';
import type { HangPlan } from '../room/resolveHang';
import type { Board, JointPrices } from './board';
import {
  addParts,
  type CostParts,
  compareCosts,
  NO_COST,
  RANKINGS,
  type RankedCost,
  rankedCost,
  SPLIT_RANKINGS,
} from './cost';
import { boardsOf, type Choice, type CourseChoices, courseChoices } from './courseChoices';
import type { Course, CourseNet } from './courses';
import { finishedAlong, type Strip } from './strip';

/** Butts of neighbouring courses keep this many bays of framing between them: common practice, no source. */
const STAGGER_BAYS = 2;
/** More ways to one line are not followed, the cheapest are. */
const MOST_STEPS = 240;

/** A way to hang boards: what it costs, and the boards themselves, which only the best way has to make. */
export interface Hanging {
  readonly cost: RankedCost;
  readonly boards: () => readonly Board[];
}

/** One course of a net with the ways to break it, the price of its seam to the course before, and what it costs with it. */
interface Laid {
  readonly course: Course;
  readonly to: number;
  readonly ways: CourseChoices;
  readonly seam: number;
  readonly parts: CostParts;
}

/** The cheapest way to hang the courses so far that ends in a certain choice. */
interface Step {
  /** In the stagger and the ranks after it: what is before them does not depend on the choices. */
  readonly cost: number;
  readonly laid: Laid;
  readonly choice: Choice;
  readonly before: Step | undefined;
}

/**
 * The cheapest courses of a net with the cheapest butts in them. Stagger couples a course with its neighbour and nothing
 * else does: so the net is first thinned out to the ways that cost least in the ranks before the stagger, and then a
 * layered shortest path over each course's choices finds the least of those.
 */
export function layCourses(strip: Strip, net: CourseNet, plan: HangPlan, prices: JointPrices): Hanging {
  const { alone, perStagger } = SPLIT_RANKINGS[plan.aim];
  const least = STAGGER_BAYS * plan.framing - TOLERANCE_MM;
  const thin = thinned(laidCourses(strip, net, plan, prices), (parts) => rankedCost(alone, parts));

  const reached: Step[][] = net.lines.map(() => []);
  thin.forEach((courses, line) => {
    const before = (reached[line] ?? []).sort((a, b) => a.cost - b.cost).slice(0, MOST_STEPS);
    // No cheapest way leads to this line.
    if (line > 0 && before.length === 0) return;
    for (const laid of courses)
      for (const choice of laid.ways.choices) reached[laid.to]?.push(stepTo(choice, laid, before, least, perStagger));
  });
  const ends = reached.at(-1) ?? [];
  const [first] = ends;
  if (!first) throw new RangeError('a face takes at least one course');
  return hangingOf(
    ends.reduce((a, b) => (b.cost < a.cost ? b : a), first),
    strip,
    plan,
    least,
  );
}

/** Every course of a net with the ways to break it. */
function laidCourses(
  strip: Strip,
  { lines, from }: CourseNet,
  plan: HangPlan,
  prices: JointPrices,
): readonly (readonly Laid[])[] {
  const alone = from.every((courses) => courses.length <= 1);
  const known: { readonly course: Course; readonly ways: CourseChoices }[] = [];
  const waysOf = (course: Course): CourseChoices => {
    // Where neither opening, slope nor zone tells them apart, courses of one stock and breadth have the same choices.
    const alike = strip.plain ? known.find((other) => isAlike(other.course, course)) : undefined;
    if (alike) return alike.ways;
    const ways = courseChoices(strip, course, plan, prices, SPLIT_RANKINGS[plan.aim], alone);
    known.push({ course, ways });
    return ways;
  };
  return from.map((courses, line) => {
    // Between two courses of a net lie two tapered edges.
    const seam = line === 0 || courses.length === 0 ? 0 : prices.flat * finishedAlong(strip, lines[line] ?? 0);
    return courses.map(({ course, to }) => {
      const ways = waysOf(course);
      const [any] = ways.choices;
      // Where no other course may lie, nothing is chosen by what this one costs.
      if (!any || alone) return { course, to, ways, seam, parts: NO_COST };
      const parts = ways.partsOf(any);
      return { course, to, ways, seam, parts: { ...parts, work: parts.work + seam } };
    });
  });
}

const isAlike = (a: Course, b: Course): boolean =>
  a.stock.width === b.stock.width && Math.abs(a.t1 - a.t0 - (b.t1 - b.t0)) <= TOLERANCE_MM;

/** The courses that are part of a way from the first line to the last that costs least, in the ranks that are looked at. */
function thinned(
  net: readonly (readonly Laid[])[],
  rank: (parts: CostParts) => RankedCost,
): readonly (readonly Laid[])[] {
  if (net.every((courses) => courses.length <= 1)) return net;
  const last = net.length - 1;
  const rest: (CostParts | undefined)[] = net.map((_, line) => (line === last ? NO_COST : undefined));
  const through = ({ to, parts }: Laid): CostParts | undefined => {
    const onward = rest[to];
    return onward && addParts(parts, onward);
  };
  for (let line = last - 1; line >= 0; line -= 1) {
    for (const laid of net[line] ?? []) {
      const cost = through(laid);
      const best = rest[line];
      if (cost && (!best || compareCosts(rank(cost), rank(best)) < 0)) rest[line] = cost;
    }
  }
  return net.map((courses, line) => {
    const best = rest[line];
    return courses.filter((laid) => {
      const cost = through(laid);
      return cost && best && compareCosts(rank(cost), rank(best)) <= 0;
    });
  });
}

/** @param steps the ways to the line where the course begins, cheapest first */
function stepTo(choice: Choice, laid: Laid, steps: readonly Step[], least: number, perStagger: number): Step {
  let before: Step | undefined;
  let cost = 0;
  for (const step of steps) {
    // Those that follow cost as much by themselves.
    if (before && step.cost >= cost) break;
    const reached = step.cost + perStagger * tooClose(step.choice.butts, choice.butts, least);
    if (before && reached >= cost) continue;
    before = step;
    cost = reached;
  }
  return { cost: cost + choice.after, laid, choice, before };
}

/** What the way that ends in a step costs, and its boards. */
function hangingOf(last: Step, strip: Strip, plan: HangPlan, least: number): Hanging {
  let parts: CostParts = NO_COST;
  const steps: Step[] = [];
  for (let step: Step | undefined = last; step; step = step.before) {
    const { laid, choice, before } = step;
    const { work, corners, sheets, waste } = laid.ways.partsOf(choice);
    const stagger = before ? tooClose(before.choice.butts, choice.butts, least) : 0;
    parts = addParts(parts, { work: work + laid.seam, corners, stagger, sheets, waste });
    steps.push(step);
  }
  return {
    cost: rankedCost(RANKINGS[plan.aim], parts),
    boards: () =>
      steps
        .toReversed()
        .flatMap(({ laid, choice }, index) => boardsOf(choice.pieces, strip, laid.course, index, () => plan.backed)),
  };
}

/** How many butts of two courses are nearer than `least` to each other. */
function tooClose(above: readonly number[], below: readonly number[], least: number): number {
  let count = 0;
  let first = 0;
  // Plain loops over two lists in order: this runs for every pair of choices of neighbouring courses.
  for (const at of below) {
    while (first < above.length && (above[first] ?? 0) <= at - least) first += 1;
    for (let index = first; index < above.length && (above[index] ?? 0) < at + least; index += 1) count += 1;
  }
  return count;
}
