import { NEVER } from './calendar';
import { ABOUT_AS_URGENT, construct } from './construct';
import { fairShares } from './fairShares';
import { improve, randomFrom, type Valued } from './improve';
import { type LowerBound, lowerBound } from './lowerBound';
import { Placing, placeAll, type Sequence, TeamCalendars, type Times } from './place';
import type { PlanProblem } from './problem';
import { tailsOf } from './tails';
import { bestOf, FINISH, type Former, soonEnoughWorth, worthOf } from './worth';

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
/** So much of the search is for the soonest finish. */
const SOONER_PART = 0.6;
/** A plan that takes so many times the soonest found ends soon enough. */
const SOON_ENOUGH = 1.005;
/** And so many times where it keeps the order in which work was assigned. */
const IN_ORDER = 1.02;
const LEAST_STEPS = 60;
const MOST_STEPS = 4000;
const STARTS = [0, 0.2];
/** Rather in the room where somebody is, rather with the same work in another room, or rather what is most urgent. */
const WAYS = [
  { alike: ABOUT_AS_URGENT, follows: 'room' },
  { alike: ABOUT_AS_URGENT, follows: 'work' },
  { alike: 0, follows: 'room' },
] as const;
/** How much sooner than usual to plan work that few can do, and the first rooms before the later ones; as parts of the longest way. */
const BENDS = [
  { scarce: 1, inTurn: 0 },
  { scarce: 0, inTurn: 1 },
  { scarce: 1, inTurn: 1 },
  { scarce: 1, inTurn: 3 },
] as const;
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
  const first = former ? valued(former) : valued(construct(problem, urgency, calendars));
  let best = first;
  yield planOf(best);
  const starts: Valued[] = [];
  // Of very much work one plan is made, and improved as long as that lasts.
  const isLarge = problem.jobs.length > LARGE;
  const fair = isLarge ? undefined : fairShares(problem);
  const bends = BENDS.filter(({ scarce }) => fair !== undefined || scarce === 0);
  for (const noise of isLarge ? [] : STARTS) {
    const shaken = urgency.map((own) => own * (1 + noise * (random() - 0.5)));
    const bentOnes = bends.map((bend) => bent(shaken, problem, bend));
    for (const way of WAYS) {
      for (const keepsVisits of [true, false])
        starts.push(valued(construct(problem, shaken, calendars, { keepsVisits, ...way })));
      for (const own of bentOnes)
        for (const shares of fair ? [undefined, fair] : [undefined])
          starts.push(valued(construct(problem, own, calendars, { keepsVisits: false, shares, ...way })));
    }
  }
  best = bestOf([best, ...starts]);
  const affordable = Math.floor(effort / Math.max(1, problem.jobs.length));
  const steps = isLarge ? affordable : Math.max(LEAST_STEPS, Math.min(MOST_STEPS, affordable));
  const sooner = Math.floor(PARTS * SOONER_PART);
  for (let part = 0; part < sooner; part += 1) {
    best = improve(problem, best, [placing, another], random, { steps: Math.ceil(steps / PARTS), former });
    yield planOf(best);
  }
  // Then assigned work in its order, and fewer and larger visits, among those that end as soon or next to it; for fewer visits no plan
  // ends later than the one before.
  const [soonest, latest] = [best.worth[FINISH] ?? 0, former ? (first.worth[FINISH] ?? 0) : Number.POSITIVE_INFINITY];
  const soonEnough = {
    inOrder: Math.floor(soonest * IN_ORDER),
    visits: Math.min(latest, Math.floor(soonest * SOON_ENOUGH)),
  };
  best = bestOf(
    [best, ...starts].map(({ sequence, worth }) => ({ sequence, worth: soonEnoughWorth(worth, soonEnough) })),
  );
  for (let part = sooner; part < PARTS; part += 1) {
    best = improve(problem, best, [placing, another], random, { steps: Math.ceil(steps / PARTS), former, soonEnough });
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

/** On its day, what is assigned goes before everything else, what was assigned first before what was later. */
const ASSIGNED_FIRST = 1_000_000;
const NEXT_ASSIGNED = 1000;

/** Returns how urgent each job is: assigned work in its order, then what has the longest way to its due date, then what is due to nobody. */
function urgencyOf(problem: PlanProblem): Float64Array {
  const tails = tailsOf(problem);
  const dues = problem.jobs.flatMap(({ due }) => due ?? []);
  const later = Math.max(0, ...dues) + 10_080;
  return tails.map((tail, index) => {
    const { due = later, pinned } = problem.jobs[index] ?? {};
    if (pinned) return ASSIGNED_FIRST + NEXT_ASSIGNED * (problem.jobs.length - pinned.rank);
    return tail + (dues.length === 0 ? 0 : later - due);
  });
}

/** Returns how urgent each job is when work that few can do comes sooner, or one room comes after the other. */
function bent(
  urgency: Float64Array,
  { jobs, teams, people, space }: PlanProblem,
  { scarce, inTurn }: (typeof BENDS)[number],
) {
  const few = teams.map((own) => 1 - new Set(own.flat()).size / Math.max(1, people.length));
  const longest = urgency.reduce((most, own, index) => (jobs[index]?.pinned ? most : Math.max(most, own)), 0);
  return urgency.map((own, index) => {
    const job = jobs[index];
    if (!job || job.pinned) return own;
    return own + longest * (scarce * (few[job.by] ?? 0) - (inTurn * job.room) / space.length);
  });
}

/** When the last job that can be run ends. */
export const finishOf = ({ ends }: Times): number =>
  ends.reduce((last, end) => (end < NEVER ? Math.max(last, end) : last), 0);
