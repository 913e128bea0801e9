import { describe, expect, it } from 'vitest';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { SKILLS } from '../work/workItem';
import { housePart } from './housePart';
import { planHouse } from './planHouse';
import type { PlanInput } from './planInput';
import { asAlone, planTogether } from './planTogether';
import { workTime } from './workTime';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const PERSON = { hours: 8, skills: [...SKILLS], learner: false, off: [], pace: {} };
const people = [
  { ...PERSON, id: 'tobin', name: 'Tobin' },
  { ...PERSON, id: 'ines', name: 'Ines' },
];

function inputOf(house: string, line: string): PlanInput {
  const { inputWith } = oneRoomSnapshot(line, NOW);
  const input = inputWith([]);
  return { ...input, people, rooms: input.rooms.map((room) => ({ ...room, house, houseName: `House ${house}` })) };
}
const small = inputOf('s', "Closet 5' x 4' x 8', door 28x80");
const large = inputOf('l', "Great room 40' x 24' x 10', door 32x80 wall 1 bead, window 48x48 wall 2 bead");
const input = planTogether([
  { id: 's', input: small },
  { id: 'l', input: large },
]);
const plan = planHouse(input, { effort: 2000 });
const parts = { s: housePart({ plan, input }, 's'), l: housePart({ plan, input }, 'l') };

describe('the part of a plan that is one house’s', () => {
  it('has each assignment of the whole in one house, at the same time and with the same people', () => {
    const all = Object.values(parts).flatMap((part) => part.plan.assignments);
    expect(all.length).toBe(plan.assignments.length);
    expect(new Set(all)).toEqual(new Set(plan.assignments));
    expect(parts.s.plan.assignments.map(({ item }) => item.slice(0, 2))).toEqual(
      parts.s.plan.assignments.map(() => 's:'),
    );
  });

  it('finishes with its own last job, and the last house with the whole', () => {
    for (const part of Object.values(parts))
      expect(part.plan.finish).toBe(Math.max(...part.plan.assignments.map(({ end }) => end)));
    expect(Math.max(parts.s.plan.finish, parts.l.plan.finish)).toBe(plan.finish);
    expect(parts.s.plan.finish).toBeLessThan(parts.l.plan.finish);
  });

  it('could be no sooner than with the whole crew in it alone', () => {
    for (const [house, alone] of [
      ['s', small],
      ['l', large],
    ] as const) {
      expect(parts[house].plan.bound).toBe(planHouse(alone, { effort: 0 }).bound);
      expect(parts[house].plan.bound).toBeLessThanOrEqual(parts[house].plan.finish);
      expect(parts[house].plan.why.kind).not.toBe('nothing');
    }
  });

  it('is held up by its own work, which ends with its last job', () => {
    const chain = parts.s.plan.chain;
    const ends = chain.map((id) => plan.assignments.find(({ item }) => item === id)?.end ?? 0);
    expect(ends).toEqual(ends.toSorted((a, b) => a - b));
    expect(ends.at(-1)).toBe(parts.s.plan.finish);
  });

  it('names rooms as the house does, and by itself has its ids', () => {
    expect(input.rooms.map(({ name }) => name)).toEqual(['Closet, House s', 'Great room, House l']);
    const alone = asAlone(parts.s, 's');
    expect(alone.input.rooms.map(({ id, name }) => [id, name])).toEqual(small.rooms.map(({ id, name }) => [id, name]));
    expect(alone.input.items).toEqual(small.items);
    const ids = new Set(small.items.map(({ id }) => id));
    expect(alone.plan.assignments.filter(({ item }) => !ids.has(item))).toEqual([]);
    expect(alone.plan.chain.filter((item) => !ids.has(item))).toEqual([]);
    // Of the other house nothing is told.
    expect(JSON.stringify(alone)).not.toMatch(/l:|House l/);
    expect(alone.input.airs).toEqual(small.airs);
  });

  it('of a single house is the plan of that house', () => {
    const one = planTogether([{ id: 'l', input: large }]);
    const whole = planHouse(one, { effort: 0 });
    const { plan: part } = asAlone(housePart({ plan: whole, input: one }, 'l'), 'l');
    const { chain, ...alone } = planHouse(large, { effort: 0 });
    expect(part).toMatchObject(alone);
    expect(part.chain.at(-1)).toBe(chain.at(-1));
  });

  it('of a house that is not in the plan is empty', () => {
    const none = housePart({ plan, input }, 'elsewhere');
    expect(none.plan).toMatchObject({ assignments: [], finish: input.from, chain: [], withHeld: undefined });
  });

  it('tells rooms that nobody knows when they are free apart', () => {
    const held = {
      ...input,
      rooms: input.rooms.map((room) => (room.house === 's' ? { ...room, held: { until: undefined } } : room)),
    };
    const then = planHouse(held, { effort: 0 });
    expect(housePart({ plan: then, input: held }, 's').plan.withHeld).toBeUndefined();
    expect(housePart({ plan: then, input: held }, 's').plan.finish).toBeGreaterThan(then.finish);
    expect(housePart({ plan: then, input: held }, 'l').plan.last).toEqual([]);
  });
});

describe('somebody who is kept to one house', () => {
  const kept = { ...input, people: people.map((one) => (one.id === 'ines' ? { ...one, house: 's' } : one)) };

  it('works in no other one, and all is run', () => {
    const then = planHouse(kept, { effort: 2000 });
    const own = then.assignments.filter(({ people: team }) => team.includes('ines'));
    expect(own.length).toBeGreaterThan(0);
    expect(own.filter(({ item }) => !item.startsWith('s:'))).toEqual([]);
    expect(then.leftOut).toEqual([]);
    // One alone is no sooner there than two.
    expect(then.houses.l?.bound).toBeGreaterThanOrEqual(plan.houses.l?.bound ?? 0);
  });

  it('runs elsewhere what was assigned to them there', () => {
    const item = large.items[0]?.id ?? '';
    const handed = { [`l:${item}`]: { people: ['ines'], day: '2031-05-06' } };
    const then = planHouse({ ...kept, handed }, { effort: 0 });
    expect(then.assignments.find((one) => one.item === `l:${item}`)?.people).toEqual(['ines']);
  });

  it('leaves work that nobody else can do elsewhere', () => {
    const alone = { ...kept, people: kept.people.filter(({ id }) => id === 'ines') };
    const then = planHouse(alone, { effort: 0 });
    const open = new Set(large.items.map(({ id }) => `l:${id}`));
    expect(new Set(then.leftOut.map(({ item }) => item))).toEqual(open);
    expect(then.leftOut.some(({ why }) => why === 'nobody')).toBe(true);
  });
});

describe('the hours of a plan', () => {
  it('are those of its people together', () => {
    const { hours, byPerson } = workTime(plan, input);
    expect(Object.keys(byPerson).toSorted()).toEqual(['ines', 'tobin']);
    expect((byPerson.ines ?? 0) + (byPerson.tobin ?? 0)).toBeCloseTo(hours, 9);
  });
});
