import { groupBy } from '../measure/groupBy';
import { NEVER } from './calendar';
import { type Placing, placeAll, type Sequence } from './place';
import { type PlanProblem, type Team, teamsFor } from './problem';
import { followersOf } from './tails';
import { compareWorth, type Former, NIGHT, type SoonEnough, soonEnoughWorth, type Worth, worthOf } from './worth';

/** Numbers between 0 and 1 that a seed always gives in the same order. */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A sequence with what it is worth. */
export interface Valued {
  readonly sequence: Sequence;
  readonly worth: Worth;
}

/** How often a step looks at the chain that ends last, and not anywhere; and how often it gathers a whole round of a room. */
const ON_THE_CHAIN = 0.5;
const GATHERS = 0.3;
/** And how often, where the plan ends soon enough, it joins a job to another one of the same round. */
const JOINS = 0.4;
/** How often it gives the jobs of a short stay in a house to somebody who is in that house on the same day. */
const GIVES_STAY = 0.25;

/**
 * Tries small changes of a sequence and keeps those that make it no worse: a job goes to other people or to another place in
 * the order, or all of a round through a room goes to one person, in one go.
 *
 * @param placings two of the problem: one for what is kept, one for what is tried
 */
export function improve(
  problem: PlanProblem,
  start: Valued,
  placings: readonly [Placing, Placing],
  random: () => number,
  {
    steps,
    former,
    soonEnough,
  }: {
    readonly steps: number;
    readonly former?: Former | undefined;
    /** What ends before that minute ends soon enough: then fewer visits count. */
    readonly soonEnough?: SoonEnough;
  },
): Valued {
  const count = problem.jobs.length;
  if (count === 0) return start;
  const followers = followersOf(problem);
  const visits = groupBy(problem.jobs.keys(), (index) => problem.jobs[index]?.visit);
  const passes = groupBy(problem.jobs.keys(), (index) => problem.jobs[index]?.pass);
  const houses = groupBy(problem.jobs.keys(), (index) => problem.jobs[index]?.house);
  const looksAtStays = soonEnough !== undefined && houses.size > 1;
  const joins = soonEnough ? JOINS : 0;
  let {
    worth,
    sequence: { order, teams },
  } = start;
  let [current, other] = placings;
  placeAll(start.sequence, current);
  let chain = chainOf(current);
  let places = placesOf(order);
  let stays = looksAtStays ? shortStays(problem, teams, current) : [];
  for (let step = 0; step < steps; step += 1) {
    const stay = stays.length > 0 && random() < GIVES_STAY ? pick(stays, random) : undefined;
    const index = stay
      ? (stay[0] ?? 0)
      : chain.length > 0 && random() < ON_THE_CHAIN
        ? pick(chain, random)
        : Math.floor(random() * count);
    const job = problem.jobs[index];
    if (!job) continue;
    const tried = { order: order.slice(), teams: teams.slice() };
    const able = teamsFor(job, problem);
    const how = random();
    if (stay) {
      const { starts } = current.times;
      const there = (houses.get(job.house) ?? []).filter(
        (one) => !stay.includes(one) && Math.abs((starts[one] ?? NEVER) - (starts[index] ?? 0)) < NIGHT,
      );
      if (there.length === 0) continue;
      const team = teams[pick(there, random)];
      for (const one of stay) if (isAble(problem, one, team)) tried.teams[one] = team;
    } else if (how < GATHERS) {
      const block = visits.get(job.visit) ?? [];
      const team = teams[index];
      for (const one of block) if (isAble(problem, one, team)) tried.teams[one] = team;
      gather(tried.order, places, block, problem, followers);
    } else if (how < GATHERS + joins) {
      // Behind a job of the same round, with its people.
      const beside = pick(passes.get(job.pass) ?? [index], random);
      const team = teams[beside];
      if (beside === index || !isAble(problem, index, team)) continue;
      tried.teams[index] = team;
      const { first, until } = spanFor([index], places, problem, followers, count);
      const from = places[index] ?? 0;
      const behind = (places[beside] ?? 0) + 1;
      const place = behind > from ? behind - 1 : behind;
      if (place < first || place >= until) continue;
      move(tried.order, from, place);
    } else if (able.length > 1 && how < (1 + GATHERS + joins) / 2) tried.teams[index] = pick(able, random);
    else {
      const { first, until } = spanFor([index], places, problem, followers, count);
      // What holds it up is overtaken, or it goes anywhere that it may.
      const holder = current.times.holders[index] ?? -1;
      const place =
        holder >= 0 && random() < 0.5
          ? Math.max(first, places[holder] ?? 0)
          : first + Math.floor(random() * (until - first));
      if (place < until) move(tried.order, places[index] ?? 0, place);
    }
    // What comes before stands already, and a try that is seen to be worse is not placed to its end.
    const differs = order.findIndex((own, place) => own !== tried.order[place] || teams[own] !== tried.teams[own]);
    if (differs < 0) continue;
    const [unrun = 0, late = 0, finish = 0] = worth;
    if (!other.placeLike(current, tried, differs, { unrun, late, finish })) continue;
    const exact = worthOf(problem, tried, other.times, former);
    const own = soonEnough ? soonEnoughWorth(exact, soonEnough) : exact;
    if (compareWorth(own, worth) > 0) continue;
    worth = own;
    ({ order, teams } = tried);
    [current, other] = [other, current];
    chain = chainOf(current);
    places = placesOf(order);
    if (looksAtStays) stays = shortStays(problem, teams, current);
  }
  return { sequence: { order, teams }, worth };
}

/** Returns the jobs of each short stay in a house: somebody is in another house on the same day, and here for less than they should be. */
function shortStays(
  { jobs, people, stay }: PlanProblem,
  teams: readonly (Team | undefined)[],
  { times: { starts, ends } }: Placing,
): readonly (readonly number[])[] {
  const own = people.map((): number[] => []);
  for (const [index, team] of teams.entries())
    if ((starts[index] ?? NEVER) < NEVER) for (const person of team ?? []) own[person]?.push(index);
  const isSameDay = (one: number | undefined, next: number | undefined) =>
    one !== undefined && next !== undefined && (starts[next] ?? 0) - (ends[one] ?? 0) < NIGHT;
  return own.flatMap((list) => {
    const stays: number[][] = [];
    for (const index of list.sort((a, b) => (starts[a] ?? 0) - (starts[b] ?? 0))) {
      const last = stays.at(-1)?.at(-1);
      if (isSameDay(last, index) && jobs[last ?? index]?.house === jobs[index]?.house) stays.at(-1)?.push(index);
      else stays.push([index]);
    }
    return stays.filter((one, place) => {
      const [first = 0, last = 0] = [one[0], one.at(-1)];
      const isShort = (ends[last] ?? 0) - (starts[first] ?? 0) < stay;
      return isShort && (isSameDay(stays[place - 1]?.at(-1), first) || isSameDay(last, stays[place + 1]?.[0]));
    });
  });
}

function isAble(problem: PlanProblem, index: number, team: Team | undefined): boolean {
  const job = problem.jobs[index];
  return (
    team !== undefined && job !== undefined && !job.pinned && teamsFor(job, problem).some((own) => isSame(own, team))
  );
}

const isSame = (a: Team, b: Team): boolean => a[0] === b[0] && a[1] === b[1];

/** Between which places in the order jobs may stand, for all that they wait for and that waits for them. */
function spanFor(
  block: readonly number[],
  places: Int32Array,
  { jobs }: PlanProblem,
  followers: readonly (readonly number[])[],
  count: number,
): { readonly first: number; readonly until: number } {
  const within = new Set(block);
  let [first, until] = [0, count];
  for (const index of block) {
    for (const { job } of jobs[index]?.after ?? [])
      if (!within.has(job)) first = Math.max(first, (places[job] ?? 0) + 1);
    for (const follower of followers[index] ?? [])
      if (!within.has(follower)) until = Math.min(until, places[follower] ?? count);
  }
  return { first, until };
}

/** Puts jobs next to each other where the first of them stood, or as soon after as what they wait for lets them. */
function gather(
  order: Int32Array,
  places: Int32Array,
  block: readonly number[],
  problem: PlanProblem,
  followers: readonly (readonly number[])[],
): void {
  const { first, until } = spanFor(block, places, problem, followers, order.length);
  const own = block.toSorted((a, b) => (places[a] ?? 0) - (places[b] ?? 0));
  const stood = places[own[0] ?? 0] ?? 0;
  const target = Math.max(first, stood);
  if (target >= until) return;
  const within = new Set(block);
  const before = order.slice(0, target).filter((index) => !within.has(index));
  const rest = order.slice(target).filter((index) => !within.has(index));
  order.set(before);
  order.set(own, before.length);
  order.set(rest, before.length + own.length);
}

function placesOf(order: Int32Array): Int32Array {
  const places = new Int32Array(order.length);
  for (const [place, index] of order.entries()) places[index] = place;
  return places;
}

/** Moves what stands at a place to another one. */
function move(order: Int32Array, from: number, to: number): void {
  const index = order[from] ?? 0;
  if (from < to) order.copyWithin(from, from + 1, to + 1);
  else order.copyWithin(to + 1, to, from);
  order[to] = index;
}

/** The jobs that hold up the one that ends last, from it back to the beginning. */
export function chainOf({ times: { ends, holders } }: Pick<Placing, 'times'>): readonly number[] {
  let last = -1;
  for (const [index, end] of ends.entries()) if (end < NEVER && (last < 0 || end > (ends[last] ?? 0))) last = index;
  const chain: number[] = [];
  for (let index = last; index >= 0 && chain.length <= ends.length; index = holders[index] ?? -1) chain.push(index);
  return chain;
}

function pick<One>(list: readonly One[], random: () => number): One {
  return list[Math.floor(random() * list.length)] as One;
}
