import { type Calendar, common, endOfWork, NEVER, nextWhole } from './calendar';
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

/** At so many places of an order it is kept how far all had come, for sequences that begin alike. */
const MARKS = 32;

/** What no sequence may exceed to be of use, what matters most first, see `Worth`: it only grows as jobs are placed. */
export interface Limit {
  /** Jobs that cannot be run. */
  readonly unrun: number;
  /** Minutes after the painters' dates, and of the last end. */
  readonly late: number;
  readonly finish: number;
}
const [UNRUN, LATE, FINISH, SUMS] = [0, 1, 2, 3];

/**
 * Gives each job of a sequence the earliest time that those before it leave: for its people, its tool and its room, in the
 * order of the sequence. Whatever becomes ready sooner makes nothing later.
 */
export class Placing {
  readonly times: Times;
  /** All that changes as jobs are placed but for their times, in one piece: what is named below lies in it. */
  private readonly state: Float64Array;
  private readonly freeAt: Float64Array;
  private readonly lastOf: Float64Array;
  private readonly tools: readonly Float64Array[];
  private readonly space: readonly Float64Array[];
  private readonly holdsTool: readonly Float64Array[];
  private readonly holdsSpace: readonly Float64Array[];
  /** How many jobs of each room were placed that are run in an order; which ones, by room. */
  private readonly runCounts: Float64Array;
  private readonly inRoom: readonly Int32Array[];
  /** Of what was placed so far, as `Limit` has it. */
  private readonly sums: Float64Array;
  /** The state before every so many places of the order that was placed last. */
  private readonly marks: Float64Array;
  private readonly every: number;

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
    const lengths = [people.length, people.length, ...tools, ...tools, ...space, ...space, space.length, SUMS];
    const size = lengths.reduce((sum, length) => sum + length, 0);
    this.state = new Float64Array(size);
    let taken = 0;
    const part = (length: number) => {
      taken += length;
      return this.state.subarray(taken - length, taken);
    };
    this.freeAt = part(people.length);
    this.lastOf = part(people.length);
    this.tools = tools.map(part);
    this.holdsTool = tools.map(part);
    this.space = space.map(part);
    this.holdsSpace = space.map(part);
    this.runCounts = part(space.length);
    this.sums = part(SUMS);
    const runs = new Int32Array(space.length);
    for (const { room, run } of jobs) if (run !== undefined) runs[room] = (runs[room] ?? 0) + 1;
    this.inRoom = space.map((_, room) => new Int32Array(runs[room] ?? 0));
    this.every = Math.max(1, Math.ceil(jobs.length / MARKS));
    this.marks = new Float64Array(size * (1 + Math.floor(jobs.length / this.every)));
    this.clear();
  }

  /** Takes everything off. */
  clear(): void {
    this.times.starts.fill(NEVER);
    this.times.ends.fill(NEVER);
    this.state.fill(0);
    this.lastOf.fill(-1);
    for (const slots of [...this.holdsTool, ...this.holdsSpace]) slots.fill(-1);
  }

  /**
   * Places the jobs of a sequence, in its order, from a place in it on; those before that stand already.
   *
   * @param limit where what was placed exceeds it, the rest is left
   * @returns whether all were placed
   */
  placeFrom({ order, teams }: Sequence, from: number, limit?: Limit): boolean {
    const { sums, state, marks, every } = this;
    for (let place = from; place < order.length; place += 1) {
      if (place % every === 0) marks.set(state, (place / every) * state.length);
      const index = order[place] ?? 0;
      const team = teams[index];
      if (team) this.put(index, team);
      else sums[UNRUN] = (sums[UNRUN] ?? 0) + 1;
      if (limit && exceeds(sums, limit)) return false;
    }
    return true;
  }

  /**
   * Places a sequence that begins like another one of the same problem: what comes before the first place at which they
   * differ is taken over.
   *
   * @param other the placing of the other one, whole
   * @returns whether all were placed
   */
  placeLike(other: Placing, sequence: Sequence, differs: number, limit: Limit): boolean {
    const { times, state, marks, every } = this;
    const mark = Math.floor(differs / every);
    times.starts.set(other.times.starts);
    times.ends.set(other.times.ends);
    times.causes.set(other.times.causes);
    times.holders.set(other.times.holders);
    marks.set(other.marks.subarray(0, (mark + 1) * state.length));
    state.set(other.marks.subarray(mark * state.length, (mark + 1) * state.length));
    for (const [room, placed] of this.inRoom.entries()) placed.set(other.inRoom[room] ?? NO_JOBS);
    return this.placeFrom(sequence, mark * every, limit);
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
    const { times, sums } = this;
    const job = this.problem.jobs[index];
    if (!job) return;
    this.look(index, team);
    const { start, minutes, cause, holder } = this.found;
    const end = start >= NEVER ? NEVER : endOfWork(this.calendars.of(team), start, minutes);
    times.starts[index] = end >= NEVER ? NEVER : start;
    times.ends[index] = end;
    times.causes[index] = cause;
    times.holders[index] = holder;
    if (end >= NEVER) {
      sums[UNRUN] = (sums[UNRUN] ?? 0) + 1;
      return;
    }
    if (job.due !== undefined && end > job.due) sums[LATE] = (sums[LATE] ?? 0) + end - job.due;
    if (end > (sums[FINISH] ?? 0)) sums[FINISH] = end;
    for (const person of team) {
      this.freeAt[person] = end;
      this.lastOf[person] = index;
    }
    if (job.tool !== undefined) take(this.tools[job.tool], this.holdsTool[job.tool], end, index);
    take(this.space[job.room], this.holdsSpace[job.room], end, index);
    if (job.run === undefined) return;
    const count = this.runCounts[job.room] ?? 0;
    const placed = this.inRoom[job.room];
    if (placed) placed[count] = index;
    this.runCounts[job.room] = count + 1;
  }

  private readonly found = { start: 0, minutes: 0, cause: 0, holder: -1 };

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
      const placed = this.inRoom[job.room] ?? NO_JOBS;
      for (let which = 0; which < (this.runCounts[job.room] ?? 0); which += 1) {
        const other = placed[which] ?? 0;
        const { run, firm } = this.problem.jobs[other] ?? job;
        if (run === undefined || run === job.run) continue;
        this.wait((times.ends[other] ?? 0) + firm, 3, other);
      }
    }
    this.waitForSlot(this.space[job.room], this.holdsSpace[job.room], 4);
    if (job.tool !== undefined) this.waitForSlot(this.tools[job.tool], this.holdsTool[job.tool], 5);
    for (const person of team) {
      const last = this.lastOf[person] ?? -1;
      const isElsewhere = last >= 0 && this.problem.jobs[last]?.house !== job.house;
      this.wait((this.freeAt[person] ?? 0) + (isElsewhere ? this.problem.travel : 0), 6, last);
    }
    if (found.start >= NEVER) return;
    const calendar = this.calendars.of(team);
    const minutes = minutesOf(job, team, this.problem.people);
    found.minutes = minutes;
    const { whole, least } = this.problem;
    found.start = nextWhole(calendar, found.start, minutes <= whole ? minutes : least);
  }

  private wait(until: number, cause: number, holder: number): void {
    if (until <= this.found.start) return;
    this.found.start = until;
    this.found.cause = cause;
    this.found.holder = holder;
  }

  private waitForSlot(slots: Float64Array | undefined, holders: Float64Array | undefined, cause: number): void {
    const slot = firstFree(slots);
    this.wait(slots?.[slot] ?? NEVER, cause, holders?.[slot] ?? -1);
  }
}

function firstFree(slots: Float64Array | undefined): number {
  let best = 0;
  for (let slot = 1; slot < (slots?.length ?? 0); slot += 1)
    if ((slots?.[slot] ?? 0) < (slots?.[best] ?? 0)) best = slot;
  return best;
}

function take(slots: Float64Array | undefined, holders: Float64Array | undefined, until: number, index: number): void {
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
const NO_JOBS = new Int32Array(0);

/** What matters most is compared first. */
const exceeds = (sums: Float64Array, { unrun, late, finish }: Limit): boolean =>
  ((sums[UNRUN] ?? 0) - unrun || (sums[LATE] ?? 0) - late || (sums[FINISH] ?? 0) - finish) > 0;

/** Places all jobs of a sequence, in its order. */
export function placeAll(sequence: Sequence, placing: Placing): Times {
  placing.clear();
  placing.placeFrom(sequence, 0);
  return placing.times;
}
