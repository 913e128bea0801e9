import { NEVER } from './calendar';
import { CAUSES, type Cause, type Sequence, type Times } from './place';
import type { Job, PlanProblem, Team } from './problem';

/**
 * What a plan is judged by, what matters most first: what cannot be run, minutes after the painters' dates, the finish, assigned work that is not
 * done in its order, the finish once more (see `soonEnoughWorth`), days by which assigned work is begun after its own, people without work in the
 * first hour, trips from house to house, visits (whoever goes on in the room or with the round is on the same one), changes of room and of
 * tool, what was moved of the plan before, and how soon all jobs are done.
 */
export type Worth = readonly number[];

/** What a plan is compared with, so that it moves no more than it must. */
export interface Former {
  readonly teams: Sequence['teams'];
  readonly starts: Int32Array;
}

const FIRST_HOUR = 60;
const SAME_DAY = 720;
const DAY = 1440;
/** Minutes without work that separate two days. */
export const NIGHT = 480;

export function worthOf(
  problem: PlanProblem,
  { teams }: Sequence,
  { starts, ends, causes }: Times,
  former?: Former,
): Worth {
  const { jobs, people } = problem;
  const ways: number[][] = people.map(() => []);
  let [unrun, late, finish, slipped, moved, sum] = [0, 0, 0, 0, 0, 0];
  for (const [index, job] of jobs.entries()) {
    const end = ends[index] ?? NEVER;
    if (end >= NEVER) {
      unrun += 1;
      continue;
    }
    finish = Math.max(finish, end);
    sum += end;
    if (job.pinned) slipped += Math.max(0, Math.floor(((starts[index] ?? 0) - job.pinned.from) / DAY));
    if (job.due !== undefined) late += Math.max(0, end - job.due);
    for (const person of teams[index] ?? []) ways[person]?.push(index);
    if (former) {
      const before = former.starts[index] ?? NEVER;
      if (before < NEVER && Math.abs(before - (starts[index] ?? 0)) > SAME_DAY) moved += 1;
      else if (before < NEVER && former.teams[index]?.[0] !== teams[index]?.[0]) moved += 1;
    }
  }
  let [disorder, idle, trips, visits, walks] = [0, 0, 0, 0, 0];
  for (const [person, way] of ways.entries()) {
    way.sort((a, b) => (starts[a] ?? 0) - (starts[b] ?? 0));
    const begins = people[person]?.calendar.starts[0];
    const first = way[0];
    if (begins !== undefined && (first === undefined || (starts[first] ?? 0) >= begins + FIRST_HOUR)) idle += 1;
    disorder += overtakenIn(way, jobs, causes);
    for (let next = 1; next < way.length; next += 1) {
      const [before, after] = [way[next - 1] ?? 0, way[next] ?? 0];
      const [one, other] = [jobs[before], jobs[after]];
      const goesOn =
        isTogether(teams[before], teams[after]) && (one?.room === other?.room || one?.pass === other?.pass);
      visits += goesOn ? 0 : 1;
      if (one?.house !== other?.house && (starts[after] ?? 0) - (ends[before] ?? 0) < NIGHT) trips += 1;
      walks += (one?.room === other?.room ? 0 : 1) + (one?.tool === other?.tool ? 0 : 1);
    }
  }
  return [unrun, late, finish, disorder, finish, slipped, idle, trips, visits, walks, moved, sum];
}

/** What keeps a job from beginning only because something else was put before it. */
const OVERTAKING: ReadonlySet<Cause | undefined> = new Set<Cause>(['people', 'crossing', 'space', 'tool']);

/** Counts the jobs of a person's way before which they ran what was assigned later, where only such things kept them from beginning. */
function overtakenIn(way: readonly number[], jobs: readonly Job[], causes: Uint8Array): number {
  let [count, highest] = [0, -1];
  for (const index of way) {
    const rank = jobs[index]?.pinned?.rank;
    if (rank === undefined) continue;
    if (rank < highest && OVERTAKING.has(CAUSES[causes[index] ?? 0])) count += 1;
    highest = Math.max(highest, rank);
  }
  return count;
}

/** The places of the finish in what a plan is worth: before the order of assigned work, and after it. */
export const FINISH = 2;
const FINISH_IN_ORDER = 4;

/** Before which minutes a plan ends soon enough for keeping the order of assigned work, and for fewer visits. */
export interface SoonEnough {
  readonly inOrder: number;
  readonly visits: number;
}

/** Returns what a plan is worth where it ends soon enough. */
export const soonEnoughWorth = (worth: Worth, { inOrder, visits }: SoonEnough): Worth =>
  worth
    .with(FINISH, Math.max(inOrder, worth[FINISH] ?? 0))
    .with(FINISH_IN_ORDER, Math.max(visits, worth[FINISH_IN_ORDER] ?? 0));

/** Returns the one that is worth most; the first of those that are worth the same. */
export const bestOf = <One extends { readonly worth: Worth }>([first, ...others]:
  | readonly [One, ...One[]]
  | readonly One[]): One =>
  others.reduce((best, other) => (compareWorth(other.worth, best.worth) < 0 ? other : best), first as One);

const isTogether = (one: Team | undefined, other: Team | undefined): boolean =>
  one?.[0] === other?.[0] && one?.[1] === other?.[1];

/** Below 0 where the first is worth more. */
export function compareWorth(a: Worth, b: Worth): number {
  for (const [index, own] of a.entries()) {
    const less = own - (b[index] ?? 0);
    if (less !== 0) return less;
  }
  return 0;
}
