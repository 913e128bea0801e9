import { NEVER } from './calendar';
import { ABOUT_AS_URGENT, construct } from './construct';
import { improve, randomFrom, type Valued } from './improve';
import { type LowerBound, lowerBound } from './lowerBound';
import { Placing, placeAll, type Sequence, TeamCalendars, type Times } from './place';
import type { PlanProblem } from './problem';
import { tailsOf } from './tails';
import { compareWorth, type Former, worthOf } from './worth';

/** Who runs what when, and how close that is to the soonest possible. Minutes from the origin. */
export interface Plan {
  readonly sequence: Sequence;
  readonly times: Times;
  /** When the last job that can be run ends. */
  readonly finish: number;
  readonly bound: LowerBound;
}

export interface PlanOptions {
  readonly seed?: number;
  /** A plan that is there: the new one is worth no less, and moves no more of it than it must. */
  readonly former?: Former & Pick<Sequence, 'order'>;
  /** How many jobs may be placed in the search. */
  readonly effort?: number;
}

/** A search of so many placements takes a second or two. */
const USUAL_EFFORT = 450_000;
const PARTS = 20;
const LEAST_STEPS = 60;
const MOST_STEPS = 4000;
const STARTS = [0, 0.2];
/** Rather in the room where somebody is, or rather what is most urgent. */
const ALIKE = [ABOUT_AS_URGENT, 0];
const LARGE = 5000;

/**
 * Plans step by step: the first plan at once, then better ones until the effort is spent. The same problem and seed give the
 * same plans.
 */
export function* planning(problem: PlanProblem, options: PlanOptions = {}): Generator<Plan, Plan> {
  const { seed = 1, former, effort = USUAL_EFFORT } = options;
  const calendars = new TeamCalendars(problem.people);
  const placing = new Placing(problem, calendars);
  const another = new Placing(problem, calendars);
  const random = randomFrom(seed);
  const bound = lowerBound(problem);
  const valued = (sequence: Sequence): Valued => ({
    sequence,
    worth: worthOf(problem, sequence, placeAll(sequence, placing), former),
  });
  const planOf = ({ sequence }: Valued): Plan => {
    const { starts, ends, causes, holders } = placeAll(sequence, placing);
    const times = { starts: starts.slice(), ends: ends.slice(), causes: causes.slice(), holders: holders.slice() };
    return { sequence, times, finish: finishOf(times), bound };
  };

  const urgency = urgencyOf(problem);
  let best = former ? valued(former) : valued(construct(problem, urgency, calendars));
  yield planOf(best);
  // Of very much work one plan is made, and improved as long as that lasts.
  const isLarge = problem.jobs.length > LARGE;
  for (const noise of isLarge ? [] : STARTS) {
    const shaken = urgency.map((own) => own * (1 + noise * (random() - 0.5)));
    for (const keepsVisits of [true, false])
      for (const alike of ALIKE) {
        const other = valued(construct(problem, shaken, calendars, { keepsVisits, alike }));
        if (compareWorth(other.worth, best.worth) < 0) best = other;
      }
  }
  const affordable = Math.floor(effort / Math.max(1, problem.jobs.length));
  const steps = isLarge ? affordable : Math.max(LEAST_STEPS, Math.min(MOST_STEPS, affordable));
  for (let part = 0; part < PARTS; part += 1) {
    best = improve(problem, best, [placing, another], random, Math.ceil(steps / PARTS), former);
    yield planOf(best);
  }
  return planOf(best);
}

/**
 * A plan of all jobs: constructed as time goes by, then improved. What is worth more is told by `worthOf`.
 *
 * @example schedule(problem).finish >= schedule(problem).bound.finish  // true
 */
export function schedule(problem: PlanProblem, options?: PlanOptions): Plan {
  const steps = planning(problem, options);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** On its day, what was handed out goes before everything else. */
const HANDED_FIRST = 1_000_000;

/** What was handed out first, then the way that is longest to its due date, then what is due to nobody. */
function urgencyOf(problem: PlanProblem): Float64Array {
  const tails = tailsOf(problem);
  const dues = problem.jobs.flatMap(({ due }) => due ?? []);
  const later = Math.max(0, ...dues) + 10_080;
  return tails.map((tail, index) => {
    const { due = later, pinned } = problem.jobs[index] ?? {};
    return tail + (dues.length === 0 ? 0 : later - due) + (pinned ? HANDED_FIRST : 0);
  });
}

/** When the last job that can be run ends. */
export const finishOf = ({ ends }: Times): number =>
  ends.reduce((last, end) => (end < NEVER ? Math.max(last, end) : last), 0);
