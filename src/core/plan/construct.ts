import { calendarOf, NEVER, nextWork, stretchAt } from './calendar';
import type { Shares } from './fairShares';
import { Placing, type Sequence, type TeamCalendars } from './place';
import { type PlanProblem, type Team, teamsFor } from './problem';
import { followersOf } from './tails';

/** A pair waits so long for its second one, minutes. */
const PAIR_WAITS = 45;
/** Of jobs that are about as urgent, one in the same room is run first; minutes around the clock. */
export const ABOUT_AS_URGENT = 600;
const LOOKED_THROUGH = 40;
/** Who has nothing to do in a house waits so long for something there, minutes. */
const SOON = 60;
/** Whoever finds nothing among so many of the most urgent looks again when something ends. */
const LOOKED_AT = 500;

/**
 * A first plan, made as time goes by: whoever is free takes the most urgent job that can be begun then, in the room where
 * they are if it is about as urgent.
 *
 * @param urgency by job, what is larger goes first
 * @param keepsVisits whether who began a round through a room goes on with it as long as there is something else for others
 * @param alike so much may jobs differ in urgency and be about as urgent
 * @param shares who does how much of what at best: within them first
 */
export function construct(
  problem: PlanProblem,
  urgency: Float64Array,
  calendars: TeamCalendars,
  {
    keepsVisits = true,
    alike = ABOUT_AS_URGENT,
    follows = 'room',
    shares,
  }: {
    readonly keepsVisits?: boolean;
    readonly alike?: number;
    readonly follows?: 'room' | 'work';
    readonly shares?: Shares | undefined;
  } = {},
): Sequence {
  const { jobs, people } = problem;
  const isManyHouses = jobs.some(({ house }) => house !== jobs[0]?.house);
  const placing = new Placing(problem, calendars);
  const followers = followersOf(problem);
  const owners = new Int32Array(1 + jobs.reduce((most, { visit }) => Math.max(most, visit), 0)).fill(-1);
  const open = Int32Array.from(jobs, ({ after }) => after.length);
  const chosen: (Team | undefined)[] = jobs.map(() => undefined);
  const order: number[] = [];
  const waiting = new Queue();
  // The most urgent last: it is taken from the end.
  const ready: number[] = [];
  const release = (index: number) => {
    const job = jobs[index];
    if (!job) return;
    let from = Math.max(job.from, job.pinned?.from ?? 0);
    for (const { job: before, wait } of job.after) {
      const end = placing.times.ends[before] ?? NEVER;
      from = Math.max(from, end >= NEVER ? NEVER : wait(end));
    }
    waiting.push(from, index);
  };
  const put = (index: number, team: Team | undefined) => {
    if (team) placing.put(index, team);
    chosen[index] = team;
    const visit = jobs[index]?.visit ?? 0;
    if (team && (owners[visit] ?? -1) < 0) owners[visit] = team[0];
    order.push(index);
    const end = placing.times.ends[index] ?? NEVER;
    if (end < NEVER) moments.push(end, index);
    for (const follower of followers[index] ?? []) {
      open[follower] = (open[follower] ?? 0) - 1;
      if (open[follower] === 0) release(follower);
    }
  };
  // When something ends somebody who found nothing looks again.
  const moments = new Queue();
  /** Since when each person is in the house where they are. */
  const cameAt = new Float64Array(people.length);
  /** What each person has not done yet of their share, by kind of work. */
  const left = (shares ?? []).map((own) => own.slice());
  /** People who never work alone: they join whoever starts while they are free. */
  const helpers = helpersOf(problem);
  const lookAt = Int32Array.from(people, ({ calendar }) => nextWork(calendar, 0));
  for (const [index, left] of open.entries()) if (left === 0) release(index);

  while (order.length < jobs.length) {
    const person = earliest(lookAt);
    const at = lookAt[person] ?? NEVER;
    if (at >= NEVER) break;
    while (waiting.first() <= at) insert(ready, waiting.pop(), urgency);
    const stays = staysUntil(person, at);
    const house = stays > at ? houseOf(person) : undefined;
    const found =
      (shares && keepsVisits && jobFor(person, at, true, house, left[person])) ||
      (shares && jobFor(person, at, false, house, left[person])) ||
      (keepsVisits && jobFor(person, at, true, house)) ||
      jobFor(person, at, false, house);
    if (found) {
      for (const one of found.team) if (houseOf(one) !== jobs[found.job]?.house || isNewDay(one, at)) cameAt[one] = at;
      ready.splice(found.place, 1);
      put(found.job, found.team);
      for (const one of found.team) {
        const { by = 0, work = 0 } = jobs[found.job] ?? {};
        const own = left[one];
        if (own) own[by] = (own[by] ?? 0) - work / found.team.length;
      }
      for (const one of found.team) lookAt[one] = nextWork(people[one]?.calendar ?? NOBODY, placing.freeFrom(one));
      continue;
    }
    while (moments.first() <= at) moments.pop();
    const { calendar = NOBODY } = people[person] ?? {};
    // What does not fit into today is looked at again in the morning.
    const morning = ready.length > 0 ? (calendar.starts[stretchAt(calendar, at) + 1] ?? NEVER) : NEVER;
    const next = Math.min(waiting.first(), moments.first(), morning, stays > at ? stays : NEVER);
    lookAt[person] = next >= NEVER ? NEVER : nextWork(calendar, Math.max(next, at + 1));
  }
  // What nobody came to: by whoever could, as it comes; what nobody can, never.
  for (;;) {
    const index = ready.pop() ?? (waiting.isEmpty() ? undefined : waiting.pop());
    if (index === undefined) break;
    const job = jobs[index];
    put(index, job && teamsFor(job, problem)[0]);
  }
  return { order: Int32Array.from(order), teams: chosen };

  function houseOf(person: number): number | undefined {
    return jobs[placing.lastJobOf(person)]?.house;
  }

  /** Whether a person has not worked since the night. */
  function isNewDay(person: number, at: number): boolean {
    const { calendar = NOBODY } = people[person] ?? {};
    return placing.freeFrom(person) <= (calendar.starts[stretchAt(calendar, at)] ?? 0);
  }

  /** Until when somebody stays in the house where they are, as long as there is something for them, now or soon. */
  function staysUntil(person: number, at: number): number {
    const house = houseOf(person);
    if (!isManyHouses || house === undefined || isNewDay(person, at)) return at;
    const until = (cameAt[person] ?? 0) + problem.stay;
    if (until <= at) return at;
    return ready.some((index) => jobs[index]?.house === house) ||
      waiting.soonest((job) => jobs[job]?.house === house) <= at + SOON
      ? until
      : at;
  }

  function jobFor(person: number, at: number, own: boolean, house: number | undefined, share?: Float64Array) {
    const last = jobs[placing.lastJobOf(person)];
    let best:
      | { readonly place: number; readonly job: number; readonly team: Team; readonly urgent: number }
      | undefined;
    let looked = 0;
    for (let place = ready.length - 1; place >= Math.max(0, ready.length - LOOKED_AT); place -= 1) {
      const index = ready[place] ?? 0;
      const job = jobs[index];
      if (!job || (house !== undefined && job.house !== house)) continue;
      const owner = owners[job.visit] ?? -1;
      if (own && owner >= 0 && owner !== person) continue;
      if (share && !job.pinned && (share[job.by] ?? 0) <= 0) continue;
      const urgent = urgency[index] ?? 0;
      if (best && (urgent < best.urgent - alike || looked > LOOKED_THROUGH)) break;
      looked += best ? 1 : 0;
      const stays =
        last !== undefined &&
        (follows === 'room'
          ? last.room === job.room
          : last.pass === job.pass && last.rate === job.rate && last.by === job.by);
      if (best && !stays) continue;
      const team = teamOf(person, at, index, follows === 'work' ? chosen[placing.lastJobOf(person)] : undefined);
      if (!team) continue;
      if (stays || !last) return { place, job: index, team };
      best = { place, job: index, team, urgent };
    }
    return best;
  }

  /** A team with this person that can begin now, or in a moment where it is a pair. */
  function teamOf(person: number, at: number, index: number, rather: Team | undefined): Team | undefined {
    const job = jobs[index];
    if (!job) return undefined;
    let best: Team | undefined;
    let soonest = NEVER;
    for (const team of teamsFor(job, problem)) {
      if (team[0] !== person && team[1] !== person) continue;
      const partner = team[0] === person ? team[1] : team[0];
      if (partner !== undefined && houseOf(partner) !== job.house && staysUntil(partner, at) > at) continue;
      const start = placing.startFor(index, team);
      if (start > at + (team.length === 2 ? PAIR_WAITS : 0)) continue;
      if (start <= at && team[1] !== undefined && helpers.has(team[1])) return team;
      if (rather && rather[0] === team[0] && rather[1] === team[1]) return team;
      if (start >= soonest) continue;
      best = team;
      soonest = start;
    }
    return best;
  }
}

const NOBODY = calendarOf([]);

/** People who only work beside somebody. */
function helpersOf({ teams, people }: PlanProblem): ReadonlySet<number> {
  const leads = new Set(teams.flatMap((own) => own.map(([first]) => first)));
  return new Set([...people.keys()].filter((person) => !leads.has(person)));
}

function earliest(times: Int32Array): number {
  let best = 0;
  for (let index = 1; index < times.length; index += 1)
    if ((times[index] ?? NEVER) < (times[best] ?? NEVER)) best = index;
  return best;
}

/** Keeps a list by urgency, the most urgent last; among equals the first of the jobs is. */
function insert(list: number[], index: number, urgency: Float64Array): void {
  const own = urgency[index] ?? 0;
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const other = list[middle] ?? 0;
    const less = (urgency[other] ?? 0) - own || index - other;
    if (less < 0) low = middle + 1;
    else high = middle;
  }
  list.splice(low, 0, index);
}

/** Jobs by the minute at which something happens to them, the earliest first. */
class Queue {
  private readonly heap: { readonly at: number; readonly job: number }[] = [];

  isEmpty = (): boolean => this.heap.length === 0;
  first = (): number => this.heap[0]?.at ?? NEVER;

  /** When the first of some jobs is there. */
  soonest(isOne: (job: number) => boolean): number {
    return this.heap.reduce((first, { at, job }) => (at < first && isOne(job) ? at : first), NEVER);
  }

  push(at: number, job: number): void {
    const { heap } = this;
    heap.push({ at, job });
    for (let place = heap.length - 1; place > 0; ) {
      const above = (place - 1) >> 1;
      if (!this.isBefore(place, above)) break;
      this.swap(place, above);
      place = above;
    }
  }

  pop(): number {
    const { heap } = this;
    const [top] = heap;
    const last = heap.pop();
    if (!top || !last) return -1;
    if (heap.length > 0) {
      heap[0] = last;
      for (let place = 0; ; ) {
        const left = 2 * place + 1;
        let least = place;
        if (left < heap.length && this.isBefore(left, least)) least = left;
        if (left + 1 < heap.length && this.isBefore(left + 1, least)) least = left + 1;
        if (least === place) break;
        this.swap(place, least);
        place = least;
      }
    }
    return top.job;
  }

  private isBefore(a: number, b: number): boolean {
    const [one, other] = [this.heap[a], this.heap[b]];
    return one !== undefined && other !== undefined && (one.at - other.at || one.job - other.job) < 0;
  }

  private swap(a: number, b: number): void {
    const [one, other] = [this.heap[a], this.heap[b]];
    if (one && other) [this.heap[a], this.heap[b]] = [other, one];
  }
}
