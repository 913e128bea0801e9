import { anyOf, type Calendar, NEVER, workedUntil } from './calendar';
import type { PlanProblem, Worker } from './problem';

/** Who could run a job, and how long it takes at least. */
export interface Able {
  readonly people: readonly number[];
  /** Those of them who may run it alone, or beside whom somebody else does. */
  readonly leads: readonly number[];
  /** When any of them works. */
  readonly calendar: Calendar;
  /** Minutes by the clock of those who work. */
  readonly span: number;
}

/** People, a tool or a room, with all jobs that need them. */
export interface Scarce {
  readonly what:
    | { readonly kind: 'work'; readonly people: readonly number[] }
    | { readonly kind: 'tool'; readonly tool: number }
    | { readonly kind: 'room'; readonly room: number };
  readonly jobs: readonly number[];
  /** How much of it a job needs, minutes. */
  readonly needOf: (job: number) => number;
  /** How much of it there is until a minute. */
  readonly hasUntil: (at: number) => number;
}

/** So many groups of people are looked at. */
const MOST_GROUPS = 64;

/** Returns what may be short: each group of people who alone can do some work, each tool of which there are few, each room. */
export function whatIsScarce(problem: PlanProblem, able: readonly Able[], heads: Int32Array): readonly Scarce[] {
  const possible = able.flatMap((_, index) => ((heads[index] ?? NEVER) < NEVER ? [index] : []));
  const few = (
    counts: readonly number[],
    placeOf: (job: number) => number | undefined,
    whatOf: (place: number) => Scarce['what'],
  ) =>
    counts.flatMap((count, place) => {
      const own = possible.filter((job) => placeOf(job) === place);
      return own.length < 2 || count >= problem.people.length ? [] : [occupied(whatOf(place), count, own, able)];
    });
  return [
    ...groupsOf(problem, able, possible).map((people) => peopleIn(people, problem, able, possible)),
    ...few(
      problem.tools,
      (job) => problem.jobs[job]?.tool,
      (tool) => ({ kind: 'tool', tool }),
    ),
    ...few(
      problem.space,
      (job) => problem.jobs[job]?.room,
      (room) => ({ kind: 'room', room }),
    ),
  ];
}

/** The sets of people who are able to run some job, what several of them are together, and everybody. */
function groupsOf(
  { people }: PlanProblem,
  able: readonly Able[],
  jobs: readonly number[],
): readonly (readonly number[])[] {
  const keyOf = (set: readonly number[]) => set.join(' ');
  const sets = new Map<string, readonly number[]>();
  const everybody = people.map((_, person) => person);
  sets.set(keyOf(everybody), everybody);
  for (const job of jobs) {
    const own = able[job]?.people ?? [];
    if (sets.size < MOST_GROUPS) sets.set(keyOf(own), own);
  }
  // Joined until nothing new comes of it.
  for (const one of sets.values())
    for (const other of [...sets.values()]) {
      if (sets.size >= MOST_GROUPS) break;
      const both = [...new Set([...one, ...other])].sort((a, b) => a - b);
      sets.set(keyOf(both), both);
    }
  return [...sets.values()];
}

/**
 * A group of people with what only they can run. What a job needs are minutes of the one who is best at it; what somebody has are minutes at
 * what they are best at. Who only works beside somebody has no more than that one.
 */
function peopleIn(
  people: readonly number[],
  problem: PlanProblem,
  able: readonly Able[],
  possible: readonly number[],
): Scarce {
  const within = new Set(people);
  const jobs = possible.filter((job) => able[job]?.people.every((person) => within.has(person)));
  const paceOf = (person: number, rate: number) => problem.people[person]?.pace[rate] ?? 1;
  const best = new Map<number, number>();
  for (const job of jobs) {
    const rate = problem.jobs[job]?.rate ?? 0;
    for (const person of able[job]?.people ?? []) best.set(rate, Math.max(best.get(rate) ?? 0, paceOf(person, rate)));
  }
  const values = new Map<number, number>();
  const leads = new Set<number>();
  for (const job of jobs) {
    const rate = problem.jobs[job]?.rate ?? 0;
    for (const person of able[job]?.people ?? [])
      values.set(person, Math.max(values.get(person) ?? 0, paceOf(person, rate) / (best.get(rate) ?? 1)));
    for (const person of able[job]?.leads ?? []) leads.add(person);
  }
  const workers = [...values].map(([person, value]) => ({
    value,
    leads: leads.has(person),
    worker: problem.people[person],
  }));
  return {
    what: { kind: 'work', people },
    jobs,
    needOf: (job) => (problem.jobs[job]?.work ?? 0) / (best.get(problem.jobs[job]?.rate ?? 0) ?? 1),
    hasUntil: workOf(workers),
  };
}

/** How much some people can do until a minute. */
function workOf(
  workers: readonly { readonly value: number; readonly leads: boolean; readonly worker: Worker | undefined }[],
): (at: number) => number {
  const known = workers.flatMap(({ worker, ...own }) => (worker ? [{ ...own, calendar: worker.calendar }] : []));
  if (known.every(({ leads }) => leads))
    return (at) => known.reduce((sum, { value, calendar }) => sum + value * workedUntil(calendar, at), 0);
  const changes = new Map<Calendar, { lead: number; leads: number; beside: number[] }>();
  for (const { calendar, value, leads } of known) {
    const own = changes.get(calendar) ?? { lead: 0, leads: 0, beside: [] };
    if (leads) {
      own.lead += value;
      own.leads += 1;
    } else own.beside.push(value);
    changes.set(calendar, own);
  }
  const moments = [...new Set([...changes.keys()].flatMap(({ starts, ends }) => [...starts, ...ends]))].sort(
    (a, b) => a - b,
  );
  const has = new Float64Array(moments.length);
  const rates = new Float64Array(moments.length);
  for (const [place, from] of moments.entries()) {
    const until = moments[place + 1] ?? from;
    const there = [...changes].filter(([calendar]) => workedUntil(calendar, until) > workedUntil(calendar, from));
    const leading = there.reduce((sum, [, { leads }]) => sum + leads, 0);
    const beside = there.flatMap(([, own]) => own.beside).sort((a, b) => b - a);
    rates[place] =
      there.reduce((sum, [, { lead }]) => sum + lead, 0) +
      beside.slice(0, leading).reduce((sum, value) => sum + value, 0);
    if (place + 1 < moments.length) has[place + 1] = (has[place] ?? 0) + (rates[place] ?? 0) * (until - from);
  }
  return (at) => {
    let [low, high] = [-1, moments.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((moments[middle] ?? 0) <= at) low = middle;
      else high = middle - 1;
    }
    return low < 0 ? 0 : (has[low] ?? 0) + (rates[low] ?? 0) * (at - (moments[low] ?? 0));
  };
}

/** Returns what so many tools, or places in a room, allow for jobs that each need one of them. */
function occupied(what: Scarce['what'], count: number, jobs: readonly number[], able: readonly Able[]): Scarce {
  const calendar = anyOf(jobs.flatMap((job) => able[job]?.calendar ?? []));
  return {
    what,
    jobs,
    needOf: (job) => able[job]?.span ?? 0,
    hasUntil: (at) => count * workedUntil(calendar, at),
  };
}
