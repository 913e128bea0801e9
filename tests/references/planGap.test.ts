import { describe, expect, it } from 'vitest';
import { plainInput } from '@/cli/planReport';
import { randomFrom } from '@/core/plan/improve';
import { planHouse } from '@/core/plan/planHouse';
import type { PlanInput, PlanPerson } from '@/core/plan/planInput';
import { SKILLS } from '@/core/work/workItem';
import { houseOfRooms } from '../bench/rooms';

const MONDAY = Date.parse('2031-05-05T11:00:00Z');
const HOUSES = 5;
const BOXES = { level: 4, tools: 'boxes', order: 'boxes' } as const;

/** A house of 20 to 60 rooms with a crew of which each can do something else, with learners, and few tools. */
function mixedInput(seed: number): PlanInput {
  const random = randomFrom(seed * 7919);
  const often = (part: number) => random() < part;
  const house = houseOfRooms(20 + Math.floor(random() * 41));
  const isBoxed = often(0.5);
  const input = plainInput(
    isBoxed ? { ...house, method: BOXES } : house,
    2 + Math.floor(random() * 5),
    MONDAY,
    'America/New_York',
  );
  const few = ['box-7', 'box-10', 'box-12', 'taper', 'lamp'].filter(() => isBoxed && often(0.6));
  const paceOf = (): PlanPerson['pace'] =>
    often(0.4) ? { 'flat.fill.knife': 0.7 + 0.6 * random(), sand: 0.7 + 0.6 * random() } : {};
  return {
    ...input,
    people: input.people.map((person, index) => ({
      ...person,
      hours: 4 + Math.floor(random() * 5),
      learner: index > 0 && often(0.25),
      skills: index === 0 || often(0.4) ? [...SKILLS] : SKILLS.filter(() => often(0.7)),
      pace: paceOf(),
    })),
    crew: { ...input.crew, tools: Object.fromEntries(few.map((tool) => [tool, 1])) },
  };
}

describe('the plan of a mixed crew', () => {
  it('ends near its bound, nights and weekends included', () => {
    const gaps = Array.from({ length: HOUSES }, (_, seed) => {
      const { start, finish, bound } = planHouse(mixedInput(seed + 1));
      return (finish - bound) / (bound - start);
    });
    console.info(`    gaps of mixed crews: ${gaps.map((gap) => (100 * gap).toFixed(1)).join(', ')} %`);
    expect(Math.min(...gaps)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...gaps)).toBeLessThan(0.2);
    expect(gaps.reduce((sum, gap) => sum + gap, 0) / HOUSES).toBeLessThan(0.1);
  });
});
