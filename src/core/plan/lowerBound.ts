import { anyOf, type Calendar, endOfWork, NEVER, nextWork, startOfWork, workedUntil } from './calendar';
import { type PlanProblem, type Team, teamsFor } from './problem';
import { followersOf, inOrder } from './tails';

/** The soonest that any plan can finish, and what makes it so. */
export interface LowerBound {
  /** Minutes from the origin, of all that can ever be run. */
  readonly finish: number;
  readonly why:
    | { readonly kind: 'chain'; readonly jobs: readonly number[] }
    | {
        readonly kind: 'work';
        readonly jobs: readonly number[];
        readonly people: readonly number[];
        readonly minutes: number;
      }
    | { readonly kind: 'nothing' };
}

/** What is taken of a job at least, by whoever could run it. */
interface Able {
  readonly people: readonly number[];
  readonly calendar: Calendar;
  /** Minutes by the clock of those who work, and minutes of one person. */
  readonly span: number;
  readonly effort: number;
}

/**
 * No plan can finish sooner: neither than the longest way of work and drying through the calendar, nor than those who are
 * able to do some work between its soonest beginning and its latest end can get through it. A finish is tried: every job has
 * a latest end then, and where some of them need more than their people have in between, it cannot be.
 */
export function lowerBound(problem: PlanProblem): LowerBound {
  const { jobs } = problem;
  if (jobs.length === 0) return { finish: 0, why: { kind: 'nothing' } };
  const followers = followersOf(problem);
  const order = inOrder(problem, followers);
  const able = ableFor(problem);
  const heads = new Int32Array(jobs.length);
  const ends = new Int32Array(jobs.length);
  const holders = new Int32Array(jobs.length).fill(-1);
  let last = -1;
  for (const index of order) {
    const job = jobs[index];
    const own = able[index];
    if (!job || !own) continue;
    let from = Math.max(job.from, job.pinned?.from ?? 0);
    for (const { job: before, wait } of job.after) {
      const end = ends[before] ?? NEVER;
      const until = end >= NEVER ? NEVER : wait(end);
      if (until > from) {
        from = until;
        holders[index] = before;
      }
    }
    heads[index] = from >= NEVER ? NEVER : nextWork(own.calendar, from);
    ends[index] = (heads[index] ?? NEVER) >= NEVER ? NEVER : endOfWork(own.calendar, heads[index] ?? 0, own.span);
    if ((ends[index] ?? NEVER) < NEVER && (last < 0 || (ends[index] ?? 0) > (ends[last] ?? 0))) last = index;
  }
  if (last < 0) return { finish: NEVER, why: { kind: 'nothing' } };
  const longest = ends[last] ?? NEVER;
  const chain: number[] = [];
  for (let index = last; index >= 0; index = holders[index] ?? -1) chain.push(index);
  const byChain: LowerBound = { finish: longest, why: { kind: 'chain', jobs: chain.toReversed() } };
  const groups = groupsOf(problem, able, heads);
  const backwards = order.toReversed();
  const tooMuchFor = (finish: number): LowerBound['why'] | undefined => {
    const latest = latestEnds(problem, finish, backwards, followers, able, heads);
    for (const group of groups) {
      const found = overfull(group, heads, latest, able);
      if (found) return { kind: 'work', people: group.people, ...found };
    }
    return undefined;
  };
  let why = tooMuchFor(longest);
  if (!why) return byChain;
  // Within all that there is to do, one after the other, a finish is found.
  let [low, high] = [longest, longest + 1440];
  for (;;) {
    const more = tooMuchFor(high);
    if (!more) break;
    why = more;
    low = high;
    high = longest + 2 * (high - longest);
    if (high - longest > NEVER / 4) return byChain;
  }
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    const more = tooMuchFor(middle);
    if (more) {
      why = more;
      low = middle;
    } else high = middle;
  }
  return { finish: high, why };
}

function ableFor(problem: PlanProblem): readonly Able[] {
  const known = new Map<string, Omit<Able, 'span' | 'effort'>>();
  const calendars = new Map<string, Calendar>();
  const anyOfThem = (people: readonly number[]) => {
    const key = people.join(' ');
    const calendar = calendars.get(key) ?? anyOf(people.flatMap((person) => problem.people[person]?.calendar ?? []));
    calendars.set(key, calendar);
    return calendar;
  };
  return problem.jobs.map((job): Able => {
    const teams = teamsFor(job, problem);
    const key = job.pinned ? `pinned ${job.pinned.team}` : `by ${job.by}`;
    let own = known.get(key);
    if (!own) {
      const people = [...new Set(teams.flat())].sort((a, b) => a - b);
      own = { people, calendar: anyOfThem(people) };
      known.set(key, own);
    }
    const paceOf = (team: Team) => team.reduce((sum, person) => sum + (problem.people[person]?.pace[job.rate] ?? 1), 0);
    const span = teams.reduce((least, team) => Math.min(least, Math.ceil(job.work / paceOf(team) - 1e-9)), NEVER);
    const effort = teams.reduce(
      (least, team) => Math.min(least, (team.length * job.work) / paceOf(team)),
      Number.POSITIVE_INFINITY,
    );
    return { ...own, span: Math.max(1, span), effort };
  });
}

/** People with all jobs that only they are able to run. */
interface Group {
  readonly people: readonly number[];
  readonly jobs: readonly number[];
  readonly calendars: readonly Calendar[];
}

function groupsOf({ people }: PlanProblem, able: readonly Able[], heads: Int32Array): readonly Group[] {
  const sets = new Map(able.map((own) => [own.people.join(' '), own.people]));
  const everybody = people.map((_, person) => person);
  sets.set(everybody.join(' '), everybody);
  return [...sets.values()].map((set) => {
    const within = new Set(set);
    return {
      people: set,
      jobs: able.flatMap((own, index) =>
        (heads[index] ?? NEVER) < NEVER && own.people.every((person) => within.has(person)) ? [index] : [],
      ),
      calendars: set.flatMap((person) => people[person]?.calendar ?? []),
    };
  });
}

/** The latest that each job may end for all to end by a finish; minutes. */
function latestEnds(
  { jobs }: PlanProblem,
  finish: number,
  backwards: Int32Array,
  followers: readonly (readonly number[])[],
  able: readonly Able[],
  heads: Int32Array,
): Float64Array {
  const latest = new Float64Array(jobs.length);
  for (const index of backwards) {
    let until = finish;
    for (const follower of followers[index] ?? []) {
      const next = able[follower];
      const job = jobs[follower];
      // What never comes holds nothing up.
      if (!next || !job || (heads[follower] ?? NEVER) >= NEVER) continue;
      const start = startOfWork(next.calendar, latest[follower] ?? 0, next.span);
      for (const { job: before, wait } of job.after) if (before === index) until = lastEndBefore(start, until, wait);
    }
    latest[index] = until;
  }
  return latest;
}

/** The latest end, at most `until`, after which something may begin at a minute. */
function lastEndBefore(start: number, until: number, wait: (end: number) => number): number {
  if (!Number.isFinite(start)) return Number.NEGATIVE_INFINITY;
  let [low, high] = [-1, Math.min(until, start)];
  if (high >= 0 && wait(high) <= start) return high;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (wait(middle) <= start) low = middle;
    else high = middle;
  }
  return low < 0 ? Number.NEGATIVE_INFINITY : low;
}

/** Jobs that lie between two moments and need more than their people have there. */
function overfull({ jobs, calendars }: Group, heads: Int32Array, latest: Float64Array, able: readonly Able[]) {
  const worked = (at: number) => calendars.reduce((sum, calendar) => sum + workedUntil(calendar, at), 0);
  const byHead = jobs.toSorted((a, b) => (heads[b] ?? 0) - (heads[a] ?? 0));
  const until = [...new Set(jobs.map((index) => latest[index] ?? 0))].sort((a, b) => a - b);
  const placeOf = new Map(until.map((at, place) => [at, place]));
  const [first] = until;
  if (first === undefined) return undefined;
  if (!Number.isFinite(first)) return { jobs, minutes: sum(jobs, able) };
  const has = until.map(worked);
  const effort = new Float64Array(until.length);
  for (let place = 0; place < byHead.length; ) {
    const from = heads[byHead[place] ?? 0] ?? 0;
    for (; place < byHead.length && heads[byHead[place] ?? 0] === from; place += 1) {
      const index = byHead[place] ?? 0;
      const at = placeOf.get(latest[index] ?? 0) ?? 0;
      effort[at] = (effort[at] ?? 0) + (able[index]?.effort ?? 0);
    }
    const before = worked(from);
    let needed = 0;
    for (let end = 0; end < until.length; end += 1) {
      needed += effort[end] ?? 0;
      if (needed > Math.max(0, (has[end] ?? 0) - before) + 1e-6) {
        const within = byHead.slice(0, place).filter((index) => (latest[index] ?? 0) <= (until[end] ?? 0));
        return { jobs: within, minutes: sum(within, able) };
      }
    }
  }
  return undefined;
}

const sum = (jobs: readonly number[], able: readonly Able[]): number =>
  jobs.reduce((all, index) => all + (able[index]?.effort ?? 0), 0);
