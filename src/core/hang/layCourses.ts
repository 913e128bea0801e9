import type { HangPlan } from '../house/resolveHang';
import { totalLength } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { Board, JointPrices } from './board';
import { addCosts, compareCosts, NO_COST, RANKINGS, type RankedCost, rankedCost } from './cost';
import { boardsOf, type Choice, courseChoices } from './courseChoices';
import type { Course } from './courses';
import { alongAt, isPlain, type Strip } from './strip';

/** Butts of neighbouring courses keep this many bays of framing between them: common practice, no source. */
const STAGGER_BAYS = 2;

/** The cheapest way to hang the courses so far that ends in a certain choice. */
interface Step {
  readonly cost: RankedCost;
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
  const least = STAGGER_BAYS * plan.framing;
  const start = rankedCost(ranking, { ...NO_COST, work: seamWork(strip, courses, prices) });
  let steps: readonly Step[] = [];
  const plain = isPlain(strip);
  // Where neither opening nor slope tells them apart, courses of one stock and breadth have the same choices.
  const known = new Map<string, readonly Choice[]>();
  for (const course of courses) {
    const before = steps;
    const key = `${course.stock.width} ${Math.round(course.t1 - course.t0)} ${plain ? '' : course.t0}`;
    const choices = known.get(key) ?? courseChoices(strip, course, plan, prices, ranking);
    known.set(key, choices);
    steps = choices.map((choice) => stepTo(choice, before, start, least, ranking.indexOf('stagger')));
  }
  const best = steps.reduce((a, b) => (compareCosts(b.cost, a.cost) < 0 ? b : a));
  const chosen = choicesUpTo(best);
  const boards = courses.flatMap((course, index) => {
    const choice = chosen[index];
    return choice ? boardsOf(choice.pieces, strip, course, index, plan.backed) : [];
  });
  return { cost: best.cost, boards };
}

function stepTo(choice: Choice, steps: readonly Step[], start: RankedCost, least: number, staggerRank: number): Step {
  let before: Step | undefined;
  let cost = start;
  for (const step of steps) {
    const stagger = tooClose(step.choice.butts, choice.butts, least);
    const reached = stagger === 0 ? step.cost : withMore(step.cost, staggerRank, stagger);
    if (before && compareCosts(reached, cost) >= 0) continue;
    before = step;
    cost = reached;
  }
  return { cost: addCosts(cost, choice.cost), choice, before };
}

const withMore = (cost: RankedCost, rank: number, more: number): RankedCost =>
  cost.map((part, index) => (index === rank ? part + more : part));

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
      if (Math.abs(other - at) < least - TOLERANCE_MM) count += 1;
    }
  }
  return count;
}
