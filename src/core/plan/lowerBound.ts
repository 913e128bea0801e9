import { anyOf, type Calendar, endOfWork, NEVER, nextWork, startOfWork } from './calendar';
import { overfull } from './overfull';
import { type PlanProblem, type Team, teamsFor } from './problem';
import { type Able, whatIsScarce } from './scarce';
import { followersOf, inOrder } from './tails';

/** The soonest that any plan can finish, and what makes it so. */
export interface LowerBound {
  /** Minutes from the origin, of all that can ever be run. */
  readonly finish: number;
  readonly why:
    | { readonly kind: 'chain'; readonly jobs: readonly number[] }
    | ({ readonly jobs: readonly number[]; readonly minutes: number } & (
        | { readonly kind: 'work'; readonly people: readonly number[] }
        | { readonly kind: 'tool'; readonly tool: number }
        | { readonly kind: 'room'; readonly room: number }
      ))
    | { readonly kind: 'nothing' };
}

/**
 * No plan can finish sooner: neither than the longest way of work and drying through the calendar, nor than those who are
 * able to do some work between its soonest beginning and its latest end can get through it, nor than a tool or a room allows. A finish is
 * tried: every job has a latest end then, and where some of them need more than there is in between (`scarce.ts`), it cannot be.
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
  const scarce = whatIsScarce(problem, able, heads);
  const backwards = order.toReversed();
  const tooMuchFor = (finish: number): LowerBound['why'] | undefined => {
    const latest = latestEnds(problem, finish, backwards, followers, able, heads);
    for (const one of scarce) {
      const found = overfull(one, heads, latest);
      if (found) return { ...one.what, ...found };
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
  const known = new Map<string, Omit<Able, 'span'>>();
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
      own = { people, leads: [...new Set(teams.map(([first]) => first))], calendar: anyOfThem(people) };
      known.set(key, own);
    }
    const paceOf = (team: Team) => team.reduce((sum, person) => sum + (problem.people[person]?.pace[job.rate] ?? 1), 0);
    const span = teams.reduce((least, team) => Math.min(least, Math.ceil(job.work / paceOf(team) - 1e-9)), NEVER);
    return { ...own, span: Math.max(1, span) };
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
