import { describe, expect, it } from 'vitest';
import { planHouse } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { SKILLS } from '@/core/work/workItem';
import { anyPlan } from '../plans/anyPlan';

const EFFORT = { effort: 0 };
const HOUSES = 80;

describe('plans of random houses in the middle of their work', () => {
  const more: readonly (readonly [string, (input: PlanInput) => PlanInput])[] = [
    [
      'one more person',
      (input) => ({
        ...input,
        people: [
          ...input.people,
          { id: 'more', name: 'More', hours: 8, skills: [...SKILLS], learner: false, off: [], pace: {} },
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
    ['no days off', (input) => ({ ...input, people: input.people.map((person) => ({ ...person, off: [] })) })],
  ];

  it.each(more)('finish no later with %s, and neither does the bound', (_, change) => {
    for (let seed = 1; seed <= HOUSES; seed += 1) {
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
