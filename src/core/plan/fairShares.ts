import { NEVER, workedUntil } from './calendar';
import type { PlanProblem } from './problem';

/** So much of each kind of work (`Job.by`) each person does at best, minutes at the usual rate; by person and kind. */
export type Shares = readonly Float64Array[];

const TRIES = 40;
/** Minutes that count as none. */
const NOTHING = 1e-6;

/**
 * Shares work out so that all are done as soon as possible, whatever waits for whatever: who alone can do something does less of what others
 * can do too.
 *
 * @returns undefined where everybody can do everything, or nothing has to be shared
 */
export function fairShares({ jobs, teams, people }: PlanProblem): Shares | undefined {
  const kinds = teams.map((own) => new Set(own.flat()));
  const work = new Float64Array(teams.length);
  for (const job of jobs) if (!job.pinned) work[job.by] = (work[job.by] ?? 0) + job.work;
  if (people.length < 2 || kinds.every((own, kind) => (work[kind] ?? 0) === 0 || own.size === people.length))
    return undefined;
  const can = people.map((_, person) => kinds.map((own) => own.has(person)));
  // Slower people, and those who only help, do less in an hour.
  const paces = people.map(({ pace }) => meanPace(pace, jobs));
  const hasUntil = (person: number, at: number) =>
    (paces[person] ?? 1) * workedUntil(people[person]?.calendar ?? NOBODY, at);
  let [low, high] = [0, 1440];
  const wanted = work.reduce((sum, own, kind) => sum + ((kinds[kind]?.size ?? 0) > 0 ? own : 0), 0);
  const isDone = (shares: Shares) => total(shares) >= wanted - 1e-3;
  const sharesAt = (at: number) =>
    flow(
      work,
      people.map((_, person) => hasUntil(person, at)),
      can,
    );
  while (high < NEVER / 2 && !isDone(sharesAt(high))) [low, high] = [high, 2 * high];
  for (let tries = 0; tries < TRIES && high - low > 1; tries += 1) {
    const middle = (low + high) >> 1;
    if (isDone(sharesAt(middle))) high = middle;
    else low = middle;
  }
  return sharesAt(high);
}

/** How fast somebody is in all of the work. */
function meanPace(pace: readonly number[], jobs: PlanProblem['jobs']): number {
  const all = jobs.reduce((sum, { work }) => sum + work, 0);
  return all > 0 ? jobs.reduce((sum, { work, rate }) => sum + work * (pace[rate] ?? 1), 0) / all : 1;
}

const NOBODY = { starts: new Int32Array(), ends: new Int32Array(), before: new Float64Array(), longest: 0 };

const total = (shares: Shares): number => shares.reduce((sum, own) => sum + own.reduce((all, one) => all + one, 0), 0);

/** The most that people get through of kinds of work: what one has too much of is moved to others, along the shortest ways. */
function flow(work: Float64Array, has: readonly number[], can: readonly (readonly boolean[])[]): Shares {
  const shares = has.map(() => new Float64Array(work.length));
  const left = Float64Array.from(has);
  const open = work.slice();
  for (;;) {
    const way = freeWay(open, left, shares, can);
    if (!way) return shares;
    const { kinds, persons } = way;
    const last = persons.at(-1) ?? 0;
    let amount = Math.min(open[kinds[0] ?? 0] ?? 0, left[last] ?? 0);
    for (let step = 1; step < kinds.length; step += 1)
      amount = Math.min(amount, shares[persons[step - 1] ?? 0]?.[kinds[step] ?? 0] ?? 0);
    for (const [step, kind] of kinds.entries()) {
      const own = shares[persons[step] ?? 0];
      if (own) own[kind] = (own[kind] ?? 0) + amount;
      const before = step > 0 ? shares[persons[step - 1] ?? 0] : undefined;
      if (before) before[kind] = (before[kind] ?? 0) - amount;
    }
    open[kinds[0] ?? 0] = (open[kinds[0] ?? 0] ?? 0) - amount;
    left[last] = (left[last] ?? 0) - amount;
  }
}

/** A way from work that nobody does yet to somebody who has time: each person on it hands on what the next one can do. */
function freeWay(open: Float64Array, left: Float64Array, shares: Shares, can: readonly (readonly boolean[])[]) {
  const cameBy = new Map<number, { readonly kind: number; readonly from: number }>();
  const queue: number[] = [];
  const reach = (kind: number, from: number) => {
    for (const [person, own] of can.entries())
      if (own[kind] && !cameBy.has(person)) {
        cameBy.set(person, { kind, from });
        queue.push(person);
      }
  };
  for (const [kind, amount] of open.entries()) if (amount > NOTHING) reach(kind, -1);
  for (const person of queue) {
    if ((left[person] ?? 0) > NOTHING) {
      const persons: number[] = [];
      const kinds: number[] = [];
      for (let at = person; at >= 0; ) {
        const came = cameBy.get(at);
        if (!came) break;
        persons.unshift(at);
        kinds.unshift(came.kind);
        at = came.from;
      }
      return { persons, kinds };
    }
    for (const [kind, amount] of (shares[person] ?? []).entries()) if (amount > NOTHING) reach(kind, person);
  }
  return undefined;
}
