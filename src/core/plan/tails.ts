import type { PlanProblem } from './problem';

/** The jobs that wait for each job. */
export function followersOf({ jobs }: Pick<PlanProblem, 'jobs'>): readonly (readonly number[])[] {
  const followers = jobs.map((): number[] => []);
  for (const [index, { after }] of jobs.entries()) for (const { job } of after) followers[job]?.push(index);
  return followers;
}

/** Jobs in an order in which none comes before what it waits for. */
export function inOrder(problem: Pick<PlanProblem, 'jobs'>, followers = followersOf(problem)): Int32Array {
  const open = Int32Array.from(problem.jobs, ({ after }) => after.length);
  const order = new Int32Array(problem.jobs.length);
  let count = 0;
  for (const [index, left] of open.entries()) if (left === 0) order[count++] = index;
  for (let next = 0; next < count; next += 1) {
    for (const follower of followers[order[next] ?? 0] ?? []) {
      open[follower] = (open[follower] ?? 0) - 1;
      if (open[follower] === 0) order[count++] = follower;
    }
  }
  if (count < problem.jobs.length) throw new Error('jobs wait for each other in a circle');
  return order;
}

/** What never dries is as urgent as what takes a fortnight. */
const LONGEST_WAIT = 20_160;

/**
 * How much has to come after each job has begun, in minutes around the clock: its own work and the longest way of work and
 * drying behind it, as it would dry at the beginning of the plan. What is longest is most urgent.
 */
export function tailsOf(problem: PlanProblem): Float64Array {
  const followers = followersOf(problem);
  const order = inOrder(problem, followers);
  const tails = new Float64Array(problem.jobs.length);
  for (const index of order.toReversed()) {
    let longest = 0;
    for (const follower of followers[index] ?? []) {
      const wait = problem.jobs[follower]?.after.find(({ job }) => job === index)?.wait;
      const dries = Math.min(LONGEST_WAIT, wait?.(0) ?? 0);
      longest = Math.max(longest, dries + (tails[follower] ?? 0));
    }
    tails[index] = longest + (problem.jobs[index]?.work ?? 0);
  }
  return tails;
}
