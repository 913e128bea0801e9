import { describe, expect, it } from 'vitest';
import { planHouse } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { SKILLS } from '@/core/work/workItem';
import { anyPlan, PLANNED_FROM } from '../plans/anyPlan';
import { faultsOf } from '../plans/faultsOf';

const EFFORT = { effort: 0 };
const seeds = (count: number, from = 1) => Array.from({ length: count }, (_, index) => from + index);

describe('plans of random houses in the middle of their work', () => {
  it('break no rule that another reading of them finds', () => {
    let run = 0;
    for (const seed of seeds(1000)) {
      const { input, airs } = anyPlan(seed);
      const plan = planHouse(input, EFFORT);
      expect(faultsOf(plan, input, airs), `seed ${seed}`).toEqual([]);
      run += plan.assignments.length;
    }
    expect(run).toBeGreaterThan(10_000);
  });

  it('are the same for the same seed, and keep what was handed out where it is', () => {
    for (const seed of seeds(30)) {
      const { input } = anyPlan(seed);
      expect(planHouse(input, EFFORT)).toEqual(planHouse(input, EFFORT));
    }
  });

  const more: readonly (readonly [string, (input: PlanInput) => PlanInput])[] = [
    [
      'one more person',
      (input) => ({
        ...input,
        people: [
          ...input.people,
          { id: 'more', name: 'More', hours: 8, skills: [...SKILLS], learner: false, off: [], pace: {}, elsewhere: [] },
        ],
      }),
    ],
    [
      'one more of each tool',
      (input) => ({
        ...input,
        crew: {
          ...input.crew,
          tools: Object.fromEntries(Object.entries(input.crew.tools).map(([tool, count]) => [tool, count + 1])),
        },
      }),
    ],
    [
      'drier air',
      (input) => ({
        ...input,
        airs: input.airs.map((steps) =>
          steps.map(({ from, air }) => ({ from, air: { ...air, humidity: 20, temperature: 26 } })),
        ),
      }),
    ],
    [
      'no days off',
      (input) => ({ ...input, people: input.people.map((person) => ({ ...person, off: [], elsewhere: [] })) }),
    ],
  ];

  it.each(more)('finish no later with %s, and neither does the bound', (_, change) => {
    for (const seed of seeds(80)) {
      const { input } = anyPlan(seed);
      // What was left out for want of somebody, and rooms held for good, make two different houses to compare.
      const whole = { ...input, rooms: input.rooms.map((room) => ({ ...room, due: undefined, held: undefined })) };
      const before = planHouse(whole, EFFORT);
      if (before.leftOut.length > 0) continue;
      const after = planHouse(change(whole), { ...EFFORT, former: before });
      expect(after.finish, `seed ${seed}`).toBeLessThanOrEqual(before.finish);
      expect(after.bound, `seed ${seed}: the bound`).toBeLessThanOrEqual(before.bound);
    }
  });
});

describe('what cannot be planned', () => {
  const { input } = anyPlan(5);
  it('without people is all left out, and the plan ends where it begins', () => {
    const plan = planHouse({ ...input, people: [], handed: {} }, EFFORT);
    expect(plan.assignments).toEqual([]);
    expect(plan.leftOut.length).toBe(input.items.length);
    expect(plan.finish).toBe(PLANNED_FROM);
  });

  it('with everybody away for a month begins after it', () => {
    const off = seeds(31, 0).map((day) => new Date(PLANNED_FROM + day * 86_400_000).toISOString().slice(0, 10));
    const people = input.people.map((person) => ({
      ...person,
      skills: [...SKILLS],
      learner: false,
      off,
      elsewhere: [],
    }));
    const plan = planHouse({ ...input, people, handed: {} }, EFFORT);
    expect(plan.leftOut).toEqual([]);
    expect(plan.start).toBeGreaterThan(PLANNED_FROM + 31 * 86_400_000 - 1);
  });

  it('in a house that is held whole is planned, and said to come last', () => {
    const rooms = input.rooms.map((room) => ({ ...room, held: { until: undefined } }));
    const plan = planHouse({ ...input, rooms }, EFFORT);
    expect(plan.last).toEqual(rooms.map(({ id }) => id));
    expect(plan.assignments.length + plan.leftOut.length).toBe(input.items.length);
  });

  it('where mud never dries is left out with the reason', () => {
    const airs = input.airs.map(() => [{ from: 0, air: { temperature: 10, humidity: 100 } }]);
    const plan = planHouse({ ...input, airs, handed: {} }, EFFORT);
    expect(plan.leftOut.some(({ why }) => why === 'never')).toBe(true);
    expect(Number.isFinite(plan.finish)).toBe(true);
  });
});
