import { type Calendar, common, endOfWork, NEVER, nextWhole, nextWork } from './calendar';
import { minutesOf, type PlanProblem, type Team } from './problem';

/** Jobs in an order in which none comes before what it waits for, each with the people who run it. */
export interface Sequence {
  readonly order: Int32Array;
  /** By job. */
  readonly teams: readonly (Team | undefined)[];
}

/** What a job waited for last. */
export const CAUSES = ['start', 'wall', 'before', 'crossing', 'space', 'tool', 'people', 'day'] as const;
export type Cause = (typeof CAUSES)[number];

/** When each job begins and ends; `NEVER` for one that cannot be run. By job, minutes. */
export interface Times {
  readonly starts: Int32Array;
  readonly ends: Int32Array;
  /** Why it begins no sooner, and the job that held it up, -1 where none did. */
  readonly causes: Uint8Array;
  readonly holders: Int32Array;
}

/**
 * Gives each job of a sequence the earliest time that those before it leave: for its people, its tool and its room, in the
 * order of the sequence. Whatever becomes ready sooner makes nothing later.
 */
export class Placing {
  readonly times: Times;
  private readonly freeAt: Int32Array;
  private readonly lastOf: Int32Array;
  private readonly tools: readonly Int32Array[];
  private readonly space: readonly Int32Array[];
  private readonly holdsTool: readonly Int32Array[];
  private readonly holdsSpace: readonly Int32Array[];
  private readonly inRoom: readonly number[][];

  constructor(
    private readonly problem: PlanProblem,
    private readonly calendars: TeamCalendars,
  ) {
    const { jobs, people, tools, space } = problem;
    const none = () => new Int32Array(jobs.length).fill(-1);
    this.times = {
      starts: new Int32Array(jobs.length).fill(NEVER),
      ends: new Int32Array(jobs.length).fill(NEVER),
      causes: new Uint8Array(jobs.length),
      holders: none(),
    };
    this.freeAt = new Int32Array(people.length);
    this.lastOf = new Int32Array(people.length);
    this.tools = tools.map((count) => new Int32Array(count));
    this.holdsTool = tools.map((count) => new Int32Array(count));
    this.space = space.map((count) => new Int32Array(count));
    this.holdsSpace = space.map((count) => new Int32Array(count));
    this.inRoom = space.map(() => []);
    this.clear();
  }

  /** Takes everything off. */
  clear(): void {
    this.times.starts.fill(NEVER);
    this.times.ends.fill(NEVER);
    this.freeAt.fill(0);
    this.lastOf.fill(-1);
    for (const slots of [...this.tools, ...this.space]) slots.fill(0);
    for (const slots of [...this.holdsTool, ...this.holdsSpace]) slots.fill(-1);
    for (const placed of this.inRoom) placed.length = 0;
  }

  /** When a person is free again. */
  freeFrom = (person: number): number => this.freeAt[person] ?? 0;
  /** What a person ran last; -1 before anything. */
  lastJobOf = (person: number): number => this.lastOf[person] ?? -1;

  /** The earliest that a job could begin with some people after what was placed. */
  startFor(index: number, team: Team): number {
    this.look(index, team);
    return this.found.start;
  }

  /** Places a job with its people after what was placed before. */
  put(index: number, team: Team): void {
    const job = this.problem.jobs[index];
    if (!job) return;
    this.look(index, team);
    const { start, cause, holder } = this.found;
    const end =
      start >= NEVER ? NEVER : endOfWork(this.calendars.of(team), start, minutesOf(job, team, this.problem.people));
    this.times.starts[index] = end >= NEVER ? NEVER : start;
    this.times.ends[index] = end;
    this.times.causes[index] = cause;
    this.times.holders[index] = holder;
    if (end >= NEVER) return;
    for (const person of team) {
      this.freeAt[person] = end;
      this.lastOf[person] = index;
    }
    if (job.tool !== undefined) take(this.tools[job.tool], this.holdsTool[job.tool], end, index);
    take(this.space[job.room], this.holdsSpace[job.room], end, index);
    if (job.run !== undefined) this.inRoom[job.room]?.push(index);
  }

  private readonly found = { start: 0, cause: 0, holder: -1 };

  private look(index: number, team: Team): void {
    const { found, times } = this;
    const job = this.problem.jobs[index];
    if (!job) return;
    found.start = job.from;
    found.cause = job.from > 0 ? 1 : 0;
    found.holder = -1;
    if (job.pinned) this.wait(job.pinned.from, 7, -1);
    for (const { job: before, wait } of job.after) {
      const end = times.ends[before] ?? NEVER;
      this.wait(end >= NEVER ? NEVER : wait(end), 2, before);
    }
    if (job.run !== undefined) {
      for (const other of this.inRoom[job.room] ?? []) {
        const { run, firm } = this.problem.jobs[other] ?? job;
        if (run === undefined || run === job.run) continue;
        this.wait((times.ends[other] ?? 0) + (run < job.run ? firm : 0), 3, other);
      }
    }
    this.waitForSlot(this.space[job.room], this.holdsSpace[job.room], 4);
    if (job.tool !== undefined) this.waitForSlot(this.tools[job.tool], this.holdsTool[job.tool], 5);
    for (const person of team) this.wait(this.freeAt[person] ?? 0, 6, this.lastOf[person] ?? -1);
    if (found.start >= NEVER) return;
    const calendar = this.calendars.of(team);
    const minutes = minutesOf(job, team, this.problem.people);
    found.start =
      minutes <= this.problem.whole ? nextWhole(calendar, found.start, minutes) : nextWork(calendar, found.start);
  }

  private wait(until: number, cause: number, holder: number): void {
    if (until <= this.found.start) return;
    this.found.start = until;
    this.found.cause = cause;
    this.found.holder = holder;
  }

  private waitForSlot(slots: Int32Array | undefined, holders: Int32Array | undefined, cause: number): void {
    const slot = firstFree(slots);
    this.wait(slots?.[slot] ?? NEVER, cause, holders?.[slot] ?? -1);
  }
}

function firstFree(slots: Int32Array | undefined): number {
  let best = 0;
  for (let slot = 1; slot < (slots?.length ?? 0); slot += 1)
    if ((slots?.[slot] ?? 0) < (slots?.[best] ?? 0)) best = slot;
  return best;
}

function take(slots: Int32Array | undefined, holders: Int32Array | undefined, until: number, index: number): void {
  const slot = firstFree(slots);
  if (!slots || !holders || slots.length === 0) return;
  slots[slot] = until;
  holders[slot] = index;
}

/** When the people of a team work all at once; asked again and again, worked out once. */
export class TeamCalendars {
  private readonly pairs = new Map<number, Calendar>();
  constructor(private readonly people: PlanProblem['people']) {}

  of(team: Team): Calendar {
    const [first, second] = team;
    const one = this.people[first]?.calendar;
    const other = second === undefined ? undefined : this.people[second]?.calendar;
    if (!one || !other || second === undefined || one === other) return one ?? NOBODY;
    const key = first * this.people.length + second;
    const known = this.pairs.get(key) ?? common([one, other]);
    this.pairs.set(key, known);
    return known;
  }
}

const NOBODY = common([]);

/** Places all jobs of a sequence, in its order. */
export function placeAll({ order, teams }: Sequence, placing: Placing): Times {
  placing.clear();
  for (const index of order) {
    const team = teams[index];
    if (team) placing.put(index, team);
  }
  return placing.times;
}
