import { describe, expect, it } from 'vitest';
import { houseOf } from '../../tests/houses/readRooms';
import { Refusal } from './commands';
import { planReport } from './planReport';

const HOUSE = houseOf(["A 12' x 10' x 8', door 32x80 wall 1", "B 20' x 14' x 9', window 36x48 wall 2 bead"]);
/** A Wednesday evening. */
const NOW = Date.parse('2031-05-07T20:00:00Z');
const report = (words: Parameters<typeof planReport>[1] = {}) =>
  planReport([{ id: 'house', house: HOUSE }], words, NOW);

describe('oak plan', () => {
  it('runs every item once, nobody twice at a time, and says how far it is over the bound', () => {
    const plan = report({ people: '2', from: '2031-05-05T07:00' });
    expect(plan.start).toBe('2031-05-05T07:00:00.000Z');
    expect(plan.assignments.map(({ item }) => item).sort()).toEqual(plan.items.map(({ id }) => id).sort());
    expect(plan.leftOut).toEqual([]);
    for (const name of ['Finisher 1', 'Finisher 2']) {
      const own = plan.assignments.filter(({ people }) => people.includes(name));
      for (const [index, { start }] of own.entries()) expect(start >= (own[index - 1]?.end ?? '')).toBe(true);
    }
    const [start, finish, bound] = [plan.start, plan.finish, plan.bound].map((at) => Date.parse(at));
    expect(bound).toBeLessThanOrEqual(finish ?? 0);
    expect(plan.gap).toBeCloseTo(((finish ?? 0) - (bound ?? 0)) / ((bound ?? 0) - (start ?? 0)), 4);
    expect(plan.finish).toBe(
      plan.assignments
        .map(({ end }) => end)
        .sort()
        .at(-1),
    );
  });

  it('begins on the next working morning, where the house stands', () => {
    expect(report().start).toBe('2031-05-08T07:00:00.000Z');
    expect(report({ zone: 'Europe/Oslo' }).start).toBe('2031-05-08T05:00:00.000Z');
    expect(report({ from: '2031-05-10T12:00' }).start).toBe('2031-05-12T07:00:00.000Z');
    expect(report({ from: '2031-05-12T09:30', zone: 'America/New_York' }).start).toBe('2031-05-12T13:30:00.000Z');
  });

  it('ends no later with more people', () => {
    const finishes = ['1', '2', '6'].map((people) => report({ people, from: '2031-05-05T07:00' }).finish);
    expect(finishes).toEqual(finishes.toSorted().toReversed());
  });

  it('of a house without rooms is nothing', () => {
    const plan = planReport([{ id: 'house', house: houseOf([]) }], { from: '2031-05-05T07:00' }, NOW);
    expect(plan).toMatchObject({ gap: 0, items: [], assignments: [], start: plan.finish, bound: plan.finish });
  });

  it.each([
    [{ people: '0' }, '--people: must be a whole number from 1 to 50'],
    [{ people: 'four' }, '--people: must be a whole number from 1 to 50'],
    [{ from: 'tomorrow' }, '--from: must be a day and a time such as 2031-05-05T07:00'],
    [{ from: '2031-02-30T07:00' }, '--from: must be a day and a time such as 2031-05-05T07:00'],
    [{ from: '1931-05-05T07:00' }, '--from: must be a day and a time such as 2031-05-05T07:00'],
    [{ zone: 'Atlantis' }, '--zone: "Atlantis" is no time zone such as Europe/Oslo'],
  ])('refuses %j', (words, reason) => {
    expect(() => report(words)).toThrow(new Refusal(reason));
  });

  it('gathers all of it into visits, each of the same people on one day', () => {
    const plan = report({ people: '2', from: '2031-05-05T07:00' });
    expect(plan.visits.flatMap(({ items }) => items).sort()).toEqual(plan.items.map(({ id }) => id).sort());
    for (const { people, start, end, items, rooms, house } of plan.visits) {
      const own = plan.assignments.filter(({ item }) => items.includes(item));
      expect(own.map((one) => one.people.join())).toEqual(own.map(() => people.join()));
      expect(own[0]?.start).toBe(start);
      expect(
        own
          .map((one) => one.end)
          .sort()
          .at(-1),
      ).toBe(end);
      expect(new Set(own.map((one) => one.start.slice(0, 10))).size).toBe(1);
      expect(new Set(items.map((id) => plan.items.find((item) => item.id === id)?.room))).toEqual(new Set(rooms));
      expect(house).toBe('house');
    }
  });

  it('plans several houses with one crew, and tells them apart', () => {
    const other = houseOf(["A 10' x 10' x 8'"]);
    const named = [
      { id: 'cedar', house: HOUSE },
      { id: 'dogwood', house: other },
    ] as const;
    const plan = planReport(named, { people: '2', from: '2031-05-05T07:00' }, NOW);
    const alone = report({ people: '2', from: '2031-05-05T07:00' });
    expect(plan.items.filter(({ house }) => house === 'cedar')).toHaveLength(alone.items.length);
    expect(new Set(plan.items.map(({ house }) => house))).toEqual(new Set(['cedar', 'dogwood']));
    for (const { house, items } of plan.visits)
      for (const id of items) expect(plan.items.find((item) => item.id === id)?.house).toBe(house);
    for (const name of ['Finisher 1', 'Finisher 2']) {
      const own = plan.assignments.filter(({ people }) => people.includes(name));
      for (const [index, { start }] of own.entries()) expect(start >= (own[index - 1]?.end ?? '')).toBe(true);
    }
  });
});
