import { type AirClock, airClock } from '../air/airClock';
import { milestones, stiffAt } from '../drying/milestones';
import type { WetMud } from '../drying/wetMud';
import { isCrossed, RUN_GROUPS } from '../joints/classTraits';
import { FIRM_MINUTES } from '../method/coat';
import { compareAssigned } from '../work/assignedOrder';
import { instantOn, shiftsOf, withWeekdaysOf, workDays } from '../work/shifts';
import type { After, WorkItem } from '../work/workItem';
import { calendarOf, NEVER } from './calendar';
import type { PlanInput, PlanPerson } from './planInput';
import type { Before, Job, PlanProblem, Team, Wait, Worker } from './problem';

/** Why something is in no plan: nobody is able to do it, there is no such tool, or what it waits for is not in it. */
export interface LeftOut {
  readonly item: string;
  readonly why: 'nobody' | 'noTool' | 'before' | 'never';
}

/** A problem with what its numbers stand for. */
export interface Posed {
  readonly problem: PlanProblem;
  /** By job. */
  readonly items: readonly WorkItem[];
  readonly leftOut: readonly LeftOut[];
  /** When what a job leaves wet may be coated again, by the minute at which it ends; undefined where it leaves nothing. */
  readonly readyAfter: (job: number, end: number) => number | undefined;
}

const MINUTE_MS = 60_000;
/** A plan looks so many days ahead at least, for whoever is away, and at most: work of a lifetime is in no plan. */
const LEAST_DAYS = 400;
const MOST_DAYS = 8000;

/**
 * What is to be planned, in minutes from `input.from`: jobs with what they wait for, people with their hours, tools and rooms
 * with how many they are.
 *
 * @param items those of the input that are planned together
 * @param from ms since 1970, not before the input's
 */
export function toProblem(input: PlanInput, items: readonly WorkItem[], from: number): Posed {
  const minute = (at: number) => Math.max(0, Math.ceil((at - input.from) / MINUTE_MS));
  const begin = minute(from);
  const tools = [...new Set(items.flatMap(({ tool }) => tool ?? []))];
  const counts = tools.map((tool) => input.crew.tools[tool] ?? input.people.length);
  const crew = new Crewing(input.people);
  const rooms = new Map(input.rooms.map((room, index) => [room.id, { room, index }]));
  const houseOf = (item: WorkItem) => rooms.get(item.room)?.room.house ?? '';
  const persons = new Map(input.people.map(({ id }, index) => [id, index]));
  const houses = placesOf(input.rooms.map(({ house }) => house));
  const visits = placesOf(items.map(visitOf));
  const passes = placesOf(items.map(({ pass }) => pass));
  const rates = placesOf(items.map(({ rate }) => rate));
  const { planned, leftOut } = whatCanBe(items, (item) => {
    if (item.tool !== undefined && (input.crew.tools[item.tool] ?? 1) === 0) return 'noTool';
    // Whom it was handed to runs it, whatever they are said to be able to do.
    const isHanded = input.handed[item.id]?.people.some((id) => persons.has(id)) ?? false;
    return !isHanded && crew.teams[crew.group(item, houseOf(item))]?.length === 0 ? 'nobody' : undefined;
  });
  const places = new Map(planned.map(({ id }, index) => [id, index]));
  const ranks = ranksOf(input.handed);
  const waits = new Waits(input);
  const jobs = planned.map((item): Job => {
    const { room, index } = rooms.get(item.room) ?? { room: undefined, index: 0 };
    const handed = input.handed[item.id];
    const team = handed?.people.flatMap((id) => persons.get(id) ?? []) ?? [];
    const held = room?.held?.until;
    return {
      room: index,
      house: houses.get(room?.house ?? '') ?? 0,
      visit: visits.get(visitOf(item)) ?? 0,
      pass: passes.get(item.pass) ?? 0,
      by: crew.group(item, houseOf(item)),
      work: item.hours * 60,
      rate: rates.get(item.rate) ?? 0,
      from: Math.max(begin, minute(item.from ?? 0), held === undefined ? 0 : minute(held)),
      after: item.after.flatMap((one): readonly Before[] => {
        const job = places.get(one.item);
        return job === undefined ? [] : [{ job, wait: waits.of(one, room?.air ?? 0) }];
      }),
      run: crossing(item.run),
      firm: firmMinutes(item.muds),
      tool: item.tool === undefined ? undefined : tools.indexOf(item.tool),
      due: room?.due === undefined ? undefined : minute(room.due),
      pinned:
        handed && team.length > 0
          ? {
              team: team.slice(0, 2) as unknown as Team,
              from: minute(instantOn(handed.day, 0, input.timeZone)),
              rank: ranks.get(item.id) ?? ranks.size,
            }
          : undefined,
    };
  });
  return {
    problem: {
      jobs,
      people: workersOf(input, [...rates.keys()], daysAhead(items, input)),
      teams: crew.teams,
      tools: counts,
      space: input.rooms.map(({ space }) => Math.max(1, space)),
      travel: input.crew.travel,
      stay: 60 * input.crew.stay,
      whole: WHOLE_MINUTES,
      least: LEAST_MINUTES,
    },
    items: planned,
    leftOut,
    readyAfter: (job, end) => {
      const item = planned[job];
      if (!item || item.muds.length === 0) return undefined;
      const air = rooms.get(item.room)?.room.air ?? 0;
      return waits.of({ until: 'recoat', muds: item.muds }, air)(end);
    },
  };
}

/** Returns the places of assigned items in the order in which they were assigned; items assigned at once share one. */
function ranksOf(handed: PlanInput['handed']): ReadonlyMap<string, number> {
  const given = Object.entries(handed).flatMap(([item, { day, order }]) => (order ? [{ item, day, order }] : []));
  const ranks = new Map<string, number>();
  let before: (typeof given)[number] | undefined;
  let rank = -1;
  for (const one of given.sort(compareAssigned)) {
    if (!before || compareAssigned(before, one) !== 0) rank += 1;
    before = one;
    ranks.set(one.item, rank);
  }
  return ranks;
}

/** Different words with their places among them. */
const placesOf = (words: readonly string[]): ReadonlyMap<string, number> =>
  new Map([...new Set(words)].map((word, place) => [word, place]));

/** The groups of which one may lie across another, by a number; nothing lies across a screw. */
const CROSSING = RUN_GROUPS.filter((group) => RUN_GROUPS.some((other) => isCrossed(group, other)));
const crossing = (run: WorkItem['run']): number | undefined =>
  run !== undefined && CROSSING.includes(run) ? CROSSING.indexOf(run) : undefined;

const visitOf = ({ room, pass }: WorkItem): string => `${room}/${pass}`;

/** What is run in an hour and a half is run in one go: a coat that rests over night shows where it was left. Common practice, no
 * source. */
const WHOLE_MINUTES = 90;
/** Nobody begins anything in the last minutes of a day. Common practice, no source. */
const LEAST_MINUTES = 30;

/** Leaves out what cannot be run, and what waits for it. */
function whatCanBe(items: readonly WorkItem[], whyNot: (item: WorkItem) => LeftOut['why'] | undefined) {
  const out = new Map<string, LeftOut['why']>();
  for (const item of items) {
    const why = whyNot(item);
    if (why) out.set(item.id, why);
  }
  for (let grown = out.size > 0; grown; ) {
    grown = false;
    for (const { id, after } of items) {
      if (out.has(id) || !after.some(({ item }) => out.has(item))) continue;
      out.set(id, 'before');
      grown = true;
    }
  }
  return {
    planned: items.filter(({ id }) => !out.has(id)),
    leftOut: [...out].map(([item, why]): LeftOut => ({ item, why })),
  };
}

/** So many days of the calendar that one person alone would get through all of it. */
function daysAhead(items: readonly WorkItem[], { people, crew }: PlanInput): number {
  const work = items.reduce((sum, { hours }) => sum + hours, 0);
  const slowest = people.reduce(
    (least, { hours, pace }) => Math.min(least, hours * Math.min(1, ...Object.values(pace))),
    8,
  );
  const worked = work / Math.max(0.5, slowest - 1);
  const fewest = Math.min(...people.map(({ weekdays }) => (weekdays ?? crew.weekdays).length), DAYS_OF_WEEK);
  return Math.min(MOST_DAYS, LEAST_DAYS + Math.ceil((worked * DAYS_OF_WEEK) / fewest));
}
const DAYS_OF_WEEK = 7;

function workersOf(
  { people, crew, timeZone, from }: PlanInput,
  rates: readonly string[],
  ahead: number,
): readonly Worker[] {
  const days = workDays(withWeekdaysOf(crew, people), timeZone, from, ahead);
  const inMinutes = (at: number) => Math.max(0, Math.round((at - from) / MINUTE_MS));
  const known = new Map<string, Worker['calendar']>();
  return people.map(({ hours, off, weekdays, learner, pace }) => {
    const key = `${hours} ${weekdays?.join('')} ${off.join(' ')}`;
    const calendar =
      known.get(key) ??
      calendarOf(
        shiftsOf({ hours, off, weekdays }, days, crew).map(
          ([start, end]) => [inMinutes(start), inMinutes(end)] as const,
        ),
      );
    known.set(key, calendar);
    return { calendar, pace: rates.map((rate) => (pace[rate] ?? 1) * (learner ? LEARNER_PACE : 1)) };
  });
}

/** Somebody who learns helps for half of what another one would. Common practice, no source. */
const LEARNER_PACE = 0.5;

/** Who may run what where: alone, as a pair of a runner and a wiper, or with a learner beside. */
class Crewing {
  readonly teams: (readonly Team[])[] = [];
  private readonly known = new Map<string, number>();
  /** The houses in which somebody works who works in no other. */
  private readonly houses: ReadonlySet<string>;
  constructor(private readonly people: readonly PlanPerson[]) {
    this.houses = new Set(people.flatMap(({ house }) => house ?? []));
  }

  group({ skill, people }: Pick<WorkItem, 'skill' | 'people'>, house: string): number {
    const place = this.houses.has(house) ? house : '';
    const key = `${skill} ${people} ${place}`;
    const known = this.known.get(key);
    if (known !== undefined) return known;
    this.known.set(key, this.teams.length);
    this.teams.push(people === 2 ? this.pairs(skill, place) : this.singles(skill, place));
    return this.teams.length - 1;
  }

  private there(house: string, is: (person: PlanPerson) => boolean): readonly number[] {
    return this.people.flatMap((person, index) =>
      (person.house === undefined || person.house === house) && is(person) ? [index] : [],
    );
  }

  private able = (skill: WorkItem['skill'], learners: boolean, house: string): readonly number[] =>
    this.there(house, ({ skills, learner }) => skills.includes(skill) && learner === learners);

  private singles(skill: WorkItem['skill'], house: string): readonly Team[] {
    const beside = this.able(skill, true, house);
    return this.able(skill, false, house).flatMap((one): readonly Team[] => [
      [one],
      ...beside.map((two): Team => [one, two]),
    ]);
  }

  /** The second wipes: whoever coats or learns can. Alone somebody does both, one after the other. */
  private pairs(skill: WorkItem['skill'], house: string): readonly Team[] {
    const runners = this.able(skill, false, house);
    const wipers = this.there(house, ({ skills }) => skills.includes(skill) || skills.includes('coat'));
    const pairs = runners.flatMap((one) => wipers.filter((two) => two !== one).map((two): Team => [one, two]));
    return pairs.length > 0 ? pairs : runners.map((one): Team => [one]);
  }
}

/** When an item may begin after another has ended, in the air of their room; worked out once for each end. */
class Waits {
  private readonly clocks: readonly AirClock[];
  private readonly known = new Map<string, Wait>();
  constructor(private readonly input: PlanInput) {
    this.clocks = input.airs.map((steps) => airClock(steps));
  }

  of({ until, muds }: Pick<After, 'until' | 'muds'>, air: number): Wait {
    const key = `${until} ${air} ${JSON.stringify(muds)}`;
    const known = this.known.get(key);
    if (known) return known;
    const wait = this.make(until, muds, this.clocks[air]);
    this.known.set(key, wait);
    return wait;
  }

  private make(until: After['until'], muds: readonly WetMud[], clock: AirClock | undefined): Wait {
    if (until === 'ended' || !clock) return (end) => end;
    if (until === 'firm') {
      const minutes = firmMinutes(muds);
      return (end) => end + minutes;
    }
    const { from } = this.input;
    const ends = new Map<number, number>();
    return (end) => {
      const found = ends.get(end);
      if (found !== undefined) return found;
      const at = from + end * MINUTE_MS;
      const readyAt = (mud: WetMud): number => {
        if (until === 'stiff') return stiffAt({ ...mud, at }, clock);
        const times = milestones({ ...mud, at }, clock);
        return until === 'sand' ? times.sandAt : times.recoatAt;
      };
      const ready = muds.reduce((last, mud) => Math.max(last, readyAt(mud)), at);
      const minute = Number.isFinite(ready) ? Math.min(NEVER, Math.ceil((ready - from) / MINUTE_MS)) : NEVER;
      ends.set(end, minute);
      return minute;
    };
  }
}

/** Until something may be run over: the label of setting mud, else half an hour. */
const firmMinutes = (muds: readonly WetMud[]): number =>
  muds.reduce(
    (most, { mud }) => Math.max(most, mud.kind === 'setting' ? mud.minutes : FIRM_MINUTES),
    muds.length > 0 ? 0 : FIRM_MINUTES,
  );
