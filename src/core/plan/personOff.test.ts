import { describe, expect, it } from 'vitest';
import { houseOf } from '../../../tests/houses/readRooms';
import { plainInput } from '../../cli/planReport';
import { dayOf } from '../measure/dayOf';
import { withPersonOff } from './personOff';
import { planHouse } from './planHouse';

const MONDAY = Date.parse('2031-05-05T07:00:00Z');
const HOUSE = houseOf(["A 12' x 10' x 8', door 32x80 wall 1", "B 20' x 14' x 9', window 36x48 wall 2 bead"]);
const plain = plainInput(HOUSE, 3, MONDAY, 'UTC');
const [one, two, three, four] = plain.items.map(({ id }) => id) as [string, string, string, string];
const input = {
  ...plain,
  handed: {
    [one]: { people: ['p1'], day: '2031-05-05' },
    [two]: { people: ['p2'], day: '2031-05-05' },
    [three]: { people: ['p1', 'p2'], day: '2031-05-06' },
    [four]: { people: ['p1'], day: '2031-05-08' },
    gone: { people: ['p1'], day: '2031-05-05' },
  },
};

describe('somebody who is ill', () => {
  const { input: without, freed } = withPersonOff(input, 'p1', ['2031-05-05', '2031-05-06']);
  it('gives back what they had for these days, alone or with somebody, and keeps what is later', () => {
    expect(freed).toEqual([one, three]);
    expect(Object.keys(without.handed)).toEqual([two, four]);
  });

  it('is in no plan on these days, and all of the work is', () => {
    const plan = planHouse(without);
    const days = plan.assignments.filter(({ people }) => people.includes('p1')).map(({ start }) => dayOf(start, 'UTC'));
    expect(days.filter((day) => day < '2031-05-07')).toEqual([]);
    expect(days.length).toBeGreaterThan(0);
    expect(plan.assignments).toHaveLength(plain.items.length);
    expect(plan.finish).toBeGreaterThanOrEqual(planHouse(plain).bound);
  });

  it('shares what comes back out among the others', () => {
    const { sharing } = withPersonOff(input, 'p1', ['2031-05-05', '2031-05-06']);
    const { assignments } = planHouse(sharing);
    const takers = assignments.filter(({ item }) => freed.includes(item)).map(({ people }) => people);
    expect(takers).toHaveLength(2);
    expect(takers.flat()).not.toContain('p1');
    // What is theirs later stays theirs.
    expect(assignments.find(({ item }) => item === four)?.people).toEqual(['p1']);
  });

  it('changes nobody else, and is off once where they were already', () => {
    expect(without.people.map(({ off }) => off)).toEqual([['2031-05-05', '2031-05-06'], [], []]);
    expect(withPersonOff(without, 'p1', ['2031-05-06']).input.people).toEqual(without.people);
  });
});
