import { describe, expect, it } from 'vitest';
import { emptyPlan } from './planHouse';
import type { PlanInput } from './planInput';
import { plannedHours } from './plannedHours';

const ZONE = 'America/New_York';
const at = (time: string) => Date.parse(`2031-05-06T${time}:00-04:00`);
const run = (item: string, people: readonly string[], start: number, hours: number) => ({
  item,
  people,
  start,
  end: start,
  hours,
  ready: undefined,
  place: 0,
  given: undefined,
  why: { cause: 'start' as const, item: undefined },
});
const input = { from: at('07:00'), timeZone: ZONE, handed: { a: {}, b: {} } } as unknown as PlanInput;
const plan = {
  ...emptyPlan(input),
  assignments: [
    run('a', ['petra'], at('07:00'), 1),
    run('b', ['petra', 'tobin'], at('08:00'), 3),
    run('c', ['petra'], at('10:00'), 0.5),
    // Still that day there, and the next one in Greenwich.
    run('d', ['tobin'], at('23:00'), 2),
  ],
};

describe('the hours of a day by a plan', () => {
  // Mixing and cleaning take half an hour a day. Common practice, no source.
  it.each([
    ['petra', '2031-05-06', 'all', 0.5 + 1 + 1.5 + 0.5],
    ['petra', '2031-05-06', 'assigned', 0.5 + 1 + 1.5],
    ['tobin', '2031-05-06', 'all', 0.5 + 1.5 + 2],
    ['petra', '2031-05-07', 'all', 0],
    ['nobody', '2031-05-06', 'all', 0],
  ] as const)('of %s on %s, %s, are %d', (person, day, only, hours) => {
    expect(plannedHours({ plan, input }, only).get(`${person} ${day}`) ?? 0).toBe(hours);
  });
});
