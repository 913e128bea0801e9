import { groupBy } from '../measure/groupBy';
import { workAnywhere } from '../work/block';
import type { WorkItem } from '../work/workItem';
import { NEVER } from './calendar';
import { chainOf } from './improve';
import { type LowerBound, lowerBound } from './lowerBound';
import { CAUSES, type Cause, Placing, placeAll, TeamCalendars } from './place';
import type { PlanInput } from './planInput';
import { minutesOf, type Team } from './problem';
import { finishOf, type Plan, type PlanOptions, planning } from './schedule';
import { type LeftOut, type Posed, toProblem } from './toProblem';

/** One item with who runs it when. Instants in ms since 1970. */
export interface Assignment {
  readonly item: string;
  readonly people: readonly string[];
  readonly start: number;
  readonly end: number;
  /** Person-hours that it takes these people. */
  readonly hours: number;
  /** When what it leaves wet may be coated again; undefined where it leaves nothing, or it never dries. */
  readonly ready: number | undefined;
  /** Its place in the order in which the plan was laid. */
  readonly place: number;
  /** For which day it was handed out, YYYY-MM-DD. */
  readonly given: string | undefined;
  /** Why it begins no sooner, and the item that held it up. */
  readonly why: { readonly cause: Cause; readonly item: string | undefined };
}

/** What makes a plan end no sooner than its bound. */
export type BoundWhy =
  | { readonly kind: 'chain'; readonly items: readonly string[] }
  | ({ readonly items: readonly string[]; readonly hours: number } & (
      | { readonly kind: 'work'; readonly people: readonly string[] }
      | { readonly kind: 'tool'; readonly tool: string }
      | { readonly kind: 'room'; readonly room: string }
    ))
  | { readonly kind: 'nothing' };

/** The plan of a house. Instants in ms since 1970; without work to do all are the beginning. */
export interface HousePlan {
  readonly start: number;
  readonly finish: number;
  /** No plan can finish sooner. */
  readonly bound: number;
  readonly why: BoundWhy;
  /** In the order in which they begin. */
  readonly assignments: readonly Assignment[];
  /** The items that hold up the finish, first to last. */
  readonly chain: readonly string[];
  readonly leftOut: readonly LeftOut[];
  /**
   * Rooms that are held and nobody knows how long: they come after everything else. Where there is something else, finish,
   * bound and chain are of that, and these are told apart.
   */
  readonly last: readonly string[];
  readonly withHeld: { readonly finish: number } | undefined;
  /** Of several houses, how soon each could be finished at all: the whole crew in it from the beginning. */
  readonly houses: Readonly<Record<string, HouseBound>>;
}

/** The soonest that one house can be finished, ms since 1970, and why. */
export type HouseBound = Pick<HousePlan, 'bound' | 'why'>;

export interface HouseOptions extends Pick<PlanOptions, 'seed' | 'effort'> {
  /** What is worth no less than this is searched for, moving no more of it than must be. */
  readonly former?: Pick<HousePlan, 'assignments'>;
}

const MINUTE_MS = 60_000;

/**
 * Plans a house step by step, see `planning`. Rooms that are held without a known end are planned after all others.
 */
export function* planningHouse(input: PlanInput, options: HouseOptions = {}): Generator<HousePlan> {
  for (const plan of stepsOf(input, options)) yield plan();
}

/** The plan that `planningHouse` ends with. */
export function planHouse(input: PlanInput, options: HouseOptions = {}): HousePlan {
  let last = () => emptyPlan(input);
  for (const plan of stepsOf(input, options)) last = plan;
  return last();
}

/** The steps of planning, each told in the words of the house only where it is asked for. */
function* stepsOf(input: PlanInput, options: HouseOptions): Generator<() => HousePlan> {
  const held = new Set(input.rooms.flatMap(({ id, held: own }) => (own && own.until === undefined ? [id] : [])));
  const later = input.items.filter(({ room }) => held.has(room));
  const posed = toProblem(
    input,
    input.items.filter(({ room }) => !held.has(room)),
    input.from,
  );
  const houses = boundsByHouse(input, posed.items);
  let found: Plan | undefined;
  for (const plan of planning(posed.problem, optionsFor(posed, input, options))) {
    found = plan;
    if (later.length === 0) yield () => ({ ...housePlan(plan, posed, input), houses });
  }
  if (later.length === 0) return;
  const first = found ? housePlan(found, posed, input) : emptyPlan(input);
  const behind = toProblem(input, later, first.finish);
  for (const plan of planning(behind.problem, optionsFor(behind, input, options))) {
    yield () => {
      const own = housePlan(plan, behind, input);
      return {
        ...(first.assignments.length > 0 ? first : own),
        withHeld: { finish: Math.max(first.finish, own.finish) },
        houses,
        assignments: [...first.assignments, ...own.assignments],
        leftOut: [...first.leftOut, ...own.leftOut],
        last: [...held],
      };
    };
  }
}

/** Returns the soonest finish of each house by itself; nothing where there is one only, whose bound is the plan's. */
function boundsByHouse(input: PlanInput, items: readonly WorkItem[]): HousePlan['houses'] {
  const houseOf = new Map(input.rooms.map(({ id, house }) => [id, house]));
  const byHouse = groupBy(items, ({ room }) => houseOf.get(room) ?? '');
  if (byHouse.size < 2) return {};
  return Object.fromEntries(
    [...byHouse].map(([house, own]) => [house, boundIn(toProblem(input, own, input.from), input)]),
  );
}

function boundIn({ items, problem }: Posed, input: PlanInput): HouseBound {
  const { finish, why } = lowerBound(problem);
  return {
    bound: problem.jobs.length === 0 || finish >= NEVER ? input.from : instant(finish, input),
    why: boundWhy(why, items, input),
  };
}

/** What makes a bound, in the ids of the house. */
function boundWhy(why: LowerBound['why'], items: readonly WorkItem[], input: PlanInput): BoundWhy {
  if (why.kind === 'nothing') return why;
  const own = why.jobs.flatMap((job) => items[job] ?? []);
  const named = own.map(({ id }) => id);
  if (why.kind === 'chain') return { kind: 'chain', items: named };
  const needed = { items: named, hours: why.minutes / 60 };
  switch (why.kind) {
    case 'work':
      return { kind: 'work', ...needed, people: idsOf(why.people, input) };
    case 'tool':
      return { kind: 'tool', ...needed, tool: own[0]?.tool ?? '' };
    case 'room':
      return { kind: 'room', ...needed, room: own[0]?.room ?? '' };
  }
}

const idsOf = (people: readonly number[] | undefined, input: PlanInput): readonly string[] =>
  (people ?? []).flatMap((person) => input.people[person]?.id ?? []);

const instant = (minute: number, { from }: PlanInput): number => from + minute * MINUTE_MS;

/** The plan of nothing. */
export const emptyPlan = ({ from }: PlanInput): HousePlan => ({
  start: from,
  finish: from,
  bound: from,
  why: { kind: 'nothing' },
  assignments: [],
  chain: [],
  leftOut: [],
  last: [],
  withHeld: undefined,
  houses: {},
});

function housePlan(
  { sequence, times, finish, bound }: Plan,
  { items, leftOut, problem, readyAfter }: Posed,
  input: PlanInput,
): HousePlan {
  const named = (jobs: readonly number[]) => jobs.flatMap((job) => items[job]?.id ?? []);
  const at = (index: number) => times.starts[index] ?? NEVER;
  const run = [...items.keys()].filter((index) => at(index) < NEVER).sort((a, b) => at(a) - at(b) || a - b);
  const never = [...items.keys()].filter((index) => at(index) >= NEVER);
  const places = new Int32Array(items.length);
  for (const [place, index] of sequence.order.entries()) places[index] = place;
  const hoursOf = (index: number) => {
    const [job, team] = [problem.jobs[index], sequence.teams[index]];
    return job && team ? (minutesOf(job, team, problem.people) * team.length) / 60 : 0;
  };
  const readyOf = (index: number) => {
    const minute = readyAfter(index, times.ends[index] ?? 0);
    return minute === undefined || minute >= NEVER ? undefined : instant(minute, input);
  };
  const assignments = run.map(
    (index): Assignment => ({
      item: items[index]?.id ?? '',
      people: idsOf(sequence.teams[index], input),
      start: instant(at(index), input),
      end: instant(times.ends[index] ?? 0, input),
      hours: hoursOf(index),
      ready: readyOf(index),
      place: places[index] ?? 0,
      given: input.handed[items[index]?.id ?? '']?.day,
      why: { cause: CAUSES[times.causes[index] ?? 0] ?? 'start', item: items[times.holders[index] ?? -1]?.id },
    }),
  );
  return {
    start: assignments[0]?.start ?? input.from,
    finish: instant(finish, input),
    bound: problem.jobs.length === 0 || bound.finish >= NEVER ? input.from : instant(bound.finish, input),
    why: boundWhy(bound.why, items, input),
    assignments,
    chain: named(chainOf({ times })).toReversed(),
    leftOut: [...leftOut, ...never.map((index): LeftOut => ({ item: items[index]?.id ?? '', why: 'never' }))],
    last: [],
    withHeld: undefined,
    houses: {},
  };
}

function optionsFor(posed: Posed, input: PlanInput, { former, ...options }: HouseOptions): PlanOptions {
  return former ? { ...options, former: formerIn(posed, input, former) } : options;
}

/**
 * The plan before as far as it is about what is planned now. What was handed out for another day since goes there; what is
 * new comes behind what it waits for.
 */
function formerIn(
  { items, problem }: Posed,
  input: PlanInput,
  former: NonNullable<HouseOptions['former']>,
): NonNullable<PlanOptions['former']> {
  const persons = new Map(input.people.map(({ id }, index) => [id, index]));
  const minuteOf = (at: number) => Math.round((at - input.from) / MINUTE_MS);
  const starts = new Int32Array(items.length).fill(NEVER);
  const keys = new Float64Array(items.length).fill(NEVER);
  const teams: (Team | undefined)[] = items.map((_, index) => {
    const job = problem.jobs[index];
    return job?.pinned?.team ?? problem.teams[job?.by ?? 0]?.[0];
  });
  const byStart = former.assignments.toSorted((a, b) => a.start - b.start);
  const known = new Map(byStart.toReversed().map((one) => [workAnywhere(one.item), one]));
  for (const one of byStart) known.set(one.item, one);
  for (const [index, { id }] of items.entries()) {
    // What is in two now was whole before, or the other way round.
    const before = known.get(id) ?? known.get(workAnywhere(id));
    if (!before) continue;
    const { people, start, place, given } = before;
    const job = problem.jobs[index];
    starts[index] = minuteOf(start);
    const day = job?.pinned?.from;
    keys[index] =
      day === undefined || given === input.handed[id]?.day
        ? place
        : (byStart.find((one) => minuteOf(one.start) >= day)?.place ?? place) - 0.5;
    const team = people.flatMap((id) => persons.get(id) ?? []);
    const able = job?.pinned ? [] : (problem.teams[job?.by ?? 0] ?? []);
    const same = able.find((own) => own.join() === team.join());
    if (same) teams[index] = same;
  }
  const order = [...items.keys()].sort((a, b) => (keys[a] ?? 0) - (keys[b] ?? 0) || a - b);
  return { order: sorted(order, problem), teams, starts };
}

/**
 * What becomes of a plan when something of its input is changed, without a search: what a drag would cost.
 *
 * @param former the plan; its bound is not worked out anew
 */
export function planAsBefore(input: PlanInput, former: HousePlan): HousePlan {
  const held = new Set(former.last);
  const posed = toProblem(
    input,
    input.items.filter(({ room }) => !held.has(room)),
    input.from,
  );
  const sequence = formerIn(posed, input, former);
  const placing = new Placing(posed.problem, new TeamCalendars(posed.problem.people));
  const times = placeAll(sequence, placing);
  const plan = { sequence, times, finish: finishOf(times), bound: { finish: 0, why: { kind: 'nothing' as const } } };
  return { ...housePlan(plan, posed, input), bound: former.bound, why: former.why, houses: former.houses };
}

/** In this order as far as no job comes before what it waits for. */
function sorted(order: readonly number[], { jobs }: Posed['problem']): Int32Array {
  const done = new Set<number>();
  const out: number[] = [];
  const visit = (index: number) => {
    if (done.has(index)) return;
    done.add(index);
    for (const { job } of jobs[index]?.after ?? []) visit(job);
    out.push(index);
  };
  for (const index of order) visit(index);
  return Int32Array.from(out);
}
