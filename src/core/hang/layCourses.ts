import type { HangPlan } from '../house/resolveHang';
import { totalLength } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { Board, JointPrices } from './board';
import { addParts, type CostParts, NO_COST, RANKINGS, type RankedCost, rankedCost, wholeCost } from './cost';
import { boardsOf, type Choice, type CourseChoices, courseChoices } from './courseChoices';
import type { Course } from './courses';
import { alongAt, type Strip } from './strip';

/** Butts of neighbouring courses keep this many bays of framing between them: common practice, no source. */
const STAGGER_BAYS = 2;

/** The cheapest way to hang the courses so far that ends in a certain choice. */
interface Step {
  /** In the stagger and the ranks after it: all in which ways to hang the same courses can differ. */
  readonly cost: number;
  readonly choice: Choice;
  readonly before: Step | undefined;
}

/**
 * The cheapest butts for given courses. Stagger couples each course with the next, so this is a layered shortest path
 * over each course's choices; costs are ranked by the aim of the plan.
 */
export function layCourses(
  strip: Strip,
  courses: readonly Course[],
  plan: HangPlan,
  prices: JointPrices,
): { readonly cost: RankedCost; readonly boards: readonly Board[] } {
  const ranking = RANKINGS[plan.aim];
  const least = STAGGER_BAYS * plan.framing - TOLERANCE_MM;
  const perStagger = wholeCost(ranking.slice(ranking.indexOf('stagger')), { ...NO_COST, stagger: 1 });
  const perCourse: CourseChoices[] = [];
  let steps: readonly Step[] = [];
  for (const [index, course] of courses.entries()) {
    const known = strip.plain ? courses.findIndex((other, at) => at < index && isAlike(other, course)) : -1;
    const found = perCourse[known] ?? courseChoices(strip, course, plan, prices, ranking);
    perCourse.push(found);
    const before = steps;
    const lowest = before.reduce((low, { cost }) => Math.min(low, cost), Infinity);
    steps = found.choices.map((choice) => stepTo(choice, before, lowest, least, perStagger));
  }
  const best = steps.reduce((a, b) => (b.cost < a.cost ? b : a));
  const chosen = choicesUpTo(best);
  const boards: Board[] = [];
  let parts: CostParts = { ...NO_COST, work: seamWork(strip, courses, prices) };
  for (const [index, course] of courses.entries()) {
    const choice = chosen[index];
    if (!choice) continue;
    boards.push(...boardsOf(choice.pieces, strip, course, index, plan.backed));
    parts = addParts(parts, perCourse[index]?.partsOf(choice) ?? NO_COST);
    parts = { ...parts, stagger: parts.stagger + tooClose(chosen[index - 1]?.butts ?? [], choice.butts, least) };
  }
  return { cost: rankedCost(ranking, parts), boards };
}

/** Where neither opening nor slope tells them apart, courses of one stock and breadth have the same choices. */
const isAlike = (a: Course, b: Course): boolean =>
  a.stock.width === b.stock.width && Math.abs(a.t1 - a.t0 - (b.t1 - b.t0)) <= TOLERANCE_MM;

/** @param lowest the least that any of the steps costs: nothing after one that is reached at it can be better */
function stepTo(choice: Choice, steps: readonly Step[], lowest: number, least: number, perStagger: number): Step {
  let before: Step | undefined;
  let cost = 0;
  for (const step of steps) {
    const reached = step.cost + perStagger * tooClose(step.choice.butts, choice.butts, least);
    if (before && reached >= cost) continue;
    before = step;
    cost = reached;
    if (cost === lowest) break;
  }
  return { cost: cost + choice.after, choice, before };
}

function choicesUpTo(last: Step): readonly Choice[] {
  const choices: Choice[] = [];
  for (let step: Step | undefined = last; step; step = step.before) choices.push(step.choice);
  return choices.reverse();
}

function seamWork(strip: Strip, courses: readonly Course[], prices: JointPrices): number {
  return courses.slice(1).reduce((work, course, index) => {
    const tapers = [courses[index]?.highEdge, course.lowEdge].filter((edge) => edge === 'tapered').length;
    const price = tapers === 2 ? prices.flat : tapers === 1 ? prices.mixed : prices.butt;
    return work + price * totalLength(alongAt(strip, course.t0));
  }, 0);
}

// Plain loops: this runs for every pair of choices of neighbouring courses.
function tooClose(above: readonly number[], below: readonly number[], least: number): number {
  let count = 0;
  for (const at of below) {
    for (const other of above) {
      if (Math.abs(other - at) < least) count += 1;
    }
  }
  return count;
}
