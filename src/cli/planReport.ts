import { ASSUMED_AIR } from '../core/air/air';
import type { House } from '../core/house/schema';
import { daySchema, instantSchema } from '../core/measure/instant';
import { resolveMethod } from '../core/method/resolveMethod';
import { roomCoats } from '../core/method/roomCoats';
import { planHouse } from '../core/plan/planHouse';
import type { PlanInput, PlanPerson } from '../core/plan/planInput';
import { planTogether } from '../core/plan/planTogether';
import { visitsOf } from '../core/plan/visits';
import { crewSchema } from '../core/work/crew';
import { instantOn, workDays } from '../core/work/shifts';
import { spaceOf } from '../core/work/spaceOf';
import { SKILLS } from '../core/work/workItem';
import { workOf } from '../core/work/workOf';
import { UNTOUCHED } from '../core/work/workRoom';
import { Refusal, takeOffOnce } from './commands';

/** The options of `oak plan`, as written. */
export interface PlanWords {
  readonly people?: string;
  readonly from?: string;
  readonly zone?: string;
}

const USUAL_PEOPLE = 4;
const MOST_PEOPLE = 50;

/** A house to plan, by its name among the others. */
export interface NamedHouse {
  readonly id: string;
  readonly house: House;
}

/**
 * `oak plan`: untouched houses by one plain crew that can do everything, eight hours a day from Monday to Friday, in usual
 * air. `gap` is how much longer than the soonest possible it takes, nights and weekends included; `visits` are what the run sheet shows as
 * cards. Rooms and items of several houses have the house's name before them.
 *
 * @param now ms since 1970, from which the next working morning is taken where no beginning is given
 */
export function planReport(named: readonly [NamedHouse, ...NamedHouse[]], words: PlanWords, now: number) {
  const zone = zoneFrom(words.zone);
  const from = words.from === undefined ? nextMorning(now, zone) : instantFrom(words.from, zone);
  const people = peopleFrom(words.people);
  const [first, ...others] = named.map(({ id, house }) => ({
    id,
    input: plainInput(house, people, from, zone, id),
  }));
  if (!first) throw new Refusal('plan: needs a house file');
  const input = others.length > 0 ? planTogether([first, ...others]) : first.input;
  const plan = planHouse(input);
  const iso = (at: number) => new Date(at).toISOString();
  const names = new Map(input.people.map(({ id, name }) => [id, name]));
  const items = new Map(input.items.map((item) => [item.id, item]));
  const houses = new Map(input.rooms.map(({ id, house }) => [id, house]));
  const span = plan.bound - plan.start;
  return {
    start: iso(plan.start),
    finish: iso(plan.finish),
    bound: iso(plan.bound),
    gap: span > 0 ? Math.round(((plan.finish - plan.bound) / span) * 10_000) / 10_000 : 0,
    why:
      plan.why.kind === 'work'
        ? { kind: plan.why.kind, hours: rounded(plan.why.hours), people: plan.why.people.length }
        : plan.why,
    items: input.items.map(({ id, room, work, kind, hours, people: count, after }) => ({
      id,
      house: houses.get(room) ?? '',
      room,
      work,
      kind,
      hours: rounded(hours),
      people: count,
      after: after.map(({ item, until }) => ({ item, until })),
    })),
    visits: visitsOf(plan.assignments, items, {
      timeZone: zone,
      least: input.crew.leastVisit,
      markOf: ({ room }) => houses.get(room) ?? '',
    }).map(({ people: team, start, end, runs }) => ({
      house: houses.get(runs[0]?.item.room ?? '') ?? '',
      rooms: [...new Set(runs.map(({ item }) => item.room))],
      people: team.map((id) => names.get(id) ?? id),
      start: iso(start),
      end: iso(end),
      items: runs.map(({ item }) => item.id),
    })),
    leftOut: plan.leftOut,
    assignments: plan.assignments.map(({ item, people: team, start, end, why }) => ({
      item,
      people: team.map((id) => names.get(id) ?? id),
      start: iso(start),
      end: iso(end),
      waitedFor: why.item === undefined ? why.cause : `${why.cause} ${why.item}`,
    })),
  };
}

/**
 * An untouched house with a plain crew that can do everything, in usual air.
 *
 * @param from ms since 1970
 * @param id of the house
 */
export const plainInput = (house: House, people: number, from: number, timeZone: string, id = ''): PlanInput => ({
  from,
  timeZone,
  rooms: house.rooms.map((room) => ({
    id: room.id,
    house: id,
    room: room.id,
    name: room.name,
    nameInHouse: room.name,
    houseName: house.name,
    floor: room.floor,
    air: 0,
    space: spaceOf(room, house.unit),
    due: undefined,
    held: undefined,
  })),
  airs: [[{ from: 0, air: ASSUMED_AIR }]],
  items: workIn(house),
  people: plainPeople(people),
  crew: crewSchema.parse({}),
  handed: {},
});

const rounded = (hours: number): number => Math.round(hours * 1000) / 1000;

function workIn(house: House) {
  const taken = takeOffOnce(house);
  return house.rooms.flatMap((room) => {
    const { tally } = taken(room);
    const method = resolveMethod(house, room);
    const { finish } = room;
    return workOf({
      ...UNTOUCHED,
      id: room.id,
      tally,
      method,
      ...(finish && { finish }),
      coats: roomCoats(tally, method, finish),
    });
  });
}

const plainPeople = (count: number): readonly PlanPerson[] =>
  Array.from({ length: count }, (_, index) => ({
    id: `p${index + 1}`,
    name: `Finisher ${index + 1}`,
    hours: 8,
    skills: [...SKILLS],
    learner: false,
    off: [],
    pace: {},
  }));

/** Returns the number of people asked for with `--people`; refuses what is no number. */
export function peopleFrom(text: string | undefined): number {
  if (text === undefined) return USUAL_PEOPLE;
  const count = /^\d{1,3}$/.test(text) ? Number(text) : 0;
  if (count < 1 || count > MOST_PEOPLE) throw new Refusal(`--people: must be a whole number from 1 to ${MOST_PEOPLE}`);
  return count;
}

/** The time zone that `--zone` says. */
export function zoneFrom(text = 'UTC'): string {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: text }).resolvedOptions().timeZone;
  } catch {
    throw new Refusal(`--zone: "${text}" is no time zone such as Europe/Oslo`);
  }
}

/** A day and time where the house stands, or an instant with its zone. */
function instantFrom(text: string, zone: string): number {
  const [, day, hour, minute] = /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):([0-5]\d)$/.exec(text) ?? [];
  if (day !== undefined && daySchema.safeParse(day).success)
    return instantOn(day, Number(hour) + Number(minute) / 60, zone);
  if (instantSchema.safeParse(text).success) return Date.parse(text);
  throw new Refusal('--from: must be a day and a time such as 2031-05-05T07:00');
}

/** When the crew begins next. */
const nextMorning = (now: number, zone: string): number =>
  workDays(crewSchema.parse({}), zone, now, DAYS_OF_WEEK + 1).find(({ begins }) => begins >= now)?.begins ?? now;
const DAYS_OF_WEEK = 7;
