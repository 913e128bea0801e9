import { TZDate } from '@date-fns/tz';
import { describe, expect, it } from 'vitest';
import { plainInput } from '@/cli/planReport';
import type { House } from '@/core/house/schema';
import { dayOf } from '@/core/measure/dayOf';
import { groupBy } from '@/core/measure/groupBy';
import { type HousePlan, planHouse } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { planTogether } from '@/core/plan/planTogether';
import { visitsOf } from '@/core/plan/visits';
import { demoHouse } from '@/db/demo/demoHouse';
import { houseOfRooms } from '../bench/rooms';

const MONDAY = Date.parse('2031-05-05T11:00:00Z');
const ZONE = 'America/New_York';
const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

/** Of each person and day of a plan: the visits and the houses, in order. */
function personDays(plan: HousePlan, input: PlanInput) {
  const houses = new Map(input.rooms.map(({ id, house }) => [id, house]));
  const items = new Map(input.items.map((item) => [item.id, item]));
  const visits = visitsOf(plan.assignments, items, {
    timeZone: ZONE,
    least: input.crew.leastVisit,
    markOf: ({ room }) => houses.get(room) ?? '',
  });
  expect(visits.flatMap(({ runs }) => runs)).toHaveLength(plan.assignments.length);
  const each = visits.flatMap(({ people, day, runs, start, end }) =>
    people.map((person) => ({ key: `${person} ${day}`, house: houses.get(runs[0]?.item.room ?? ''), start, end })),
  );
  return [...groupBy(each, ({ key }) => key).values()];
}

const mean = (numbers: readonly number[]): number => numbers.reduce((sum, one) => sum + one, 0) / numbers.length;
const BOXES = { level: 4, tools: 'boxes', order: 'boxes' } as const;

describe('a day of a plan', () => {
  const HOUSES: Readonly<Record<string, House>> = {
    'the demo': demoHouse(),
    '40 rooms': houseOfRooms(40),
    '40 rooms with boxes, by pairs': { ...houseOfRooms(40), method: BOXES },
  };
  it.each(Object.keys(HOUSES))('is at most four visits on the mean, and the plan near its bound: %s', (name) => {
    const input = plainInput(HOUSES[name] ?? demoHouse(), 4, MONDAY, ZONE);
    const plan = planHouse(input);
    const days = personDays(plan, input);
    expect(mean(days.map((visits) => visits.length))).toBeLessThanOrEqual(4);
    expect((plan.finish - plan.bound) / (plan.bound - plan.start)).toBeLessThan(0.15);
    // Nothing that goes on tomorrow is begun in the last minutes of a day: people leave at three, half an hour of it for cleaning.
    const late = plan.assignments.filter(({ start, end }) => {
      const [begins, ends] = [new TZDate(start, ZONE), new TZDate(end, ZONE)];
      return begins.getDate() !== ends.getDate() && begins.getHours() * 60 + begins.getMinutes() > 14 * 60;
    });
    expect(late).toEqual([]);
  });

  it('is in one house, but for few, and the drive is counted', () => {
    const named = [6, 10, 14].map((rooms, index) => {
      const id = `house-${index}`;
      return { id, name: id, input: plainInput(houseOfRooms(rooms), 4, MONDAY, ZONE, id) };
    });
    const [first, ...others] = named;
    if (!first) throw new Error('there are three');
    const input = planTogether([first, ...others]);
    const plan = planHouse(input);
    const days = personDays(plan, input);
    expect(mean(days.map((visits) => new Set(visits.map(({ house }) => house)).size))).toBeLessThanOrEqual(1.3);
    expect(Math.max(...days.map((visits) => new Set(visits.map(({ house }) => house)).size))).toBeLessThanOrEqual(2);
    // A drive is for more than an hour of work, but for one.
    const shortStays = days.filter((visits) => {
      const hours = [...groupBy(visits, ({ house }) => house).values()].map((own) =>
        own.reduce((sum, { start, end }) => sum + (end - start) / HOUR_MS, 0),
      );
      return hours.length > 1 && Math.min(...hours) < 1;
    });
    expect(shortStays.length).toBeLessThanOrEqual(1);
    for (const visits of days)
      for (const [index, { house, start }] of visits.entries()) {
        const before = visits[index - 1];
        if (before && before.house !== house)
          expect((start - before.end) / MINUTE_MS).toBeGreaterThanOrEqual(input.crew.travel);
      }
    expect((plan.finish - plan.bound) / (plan.bound - plan.start)).toBeLessThan(0.1);
    expect(new Set(plan.assignments.map(({ start }) => dayOf(start, ZONE))).size).toBeGreaterThan(5);
  });
});
