import { NEVER } from './calendar';
import type { Sequence, Times } from './place';
import type { PlanProblem } from './problem';

/**
 * What a plan is judged by, what matters most first: what cannot be run, minutes after the painters' dates, the finish, days by
 * which handed out work is begun after its own, people without work in the first hour, changes of room and of tool, what was
 * moved of the plan before, and how soon all jobs are done.
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

export function worthOf(problem: PlanProblem, { teams }: Sequence, { starts, ends }: Times, former?: Former): Worth {
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
  let [idle, walks] = [0, 0];
  for (const [person, way] of ways.entries()) {
    way.sort((a, b) => (starts[a] ?? 0) - (starts[b] ?? 0));
    const begins = people[person]?.calendar.starts[0];
    const first = way[0];
    if (begins !== undefined && (first === undefined || (starts[first] ?? 0) >= begins + FIRST_HOUR)) idle += 1;
    for (let next = 1; next < way.length; next += 1) {
      const [one, other] = [jobs[way[next - 1] ?? 0], jobs[way[next] ?? 0]];
      walks += (one?.room === other?.room ? 0 : 1) + (one?.tool === other?.tool ? 0 : 1);
    }
  }
  return [unrun, late, finish, slipped, idle, walks, moved, sum];
}

/** Below 0 where the first is worth more. */
export function compareWorth(a: Worth, b: Worth): number {
  for (const [index, own] of a.entries()) {
    const less = own - (b[index] ?? 0);
    if (less !== 0) return less;
  }
  return 0;
}
