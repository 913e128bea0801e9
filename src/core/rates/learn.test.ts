import { describe, expect, it } from 'vitest';
import { randomFrom } from '../plan/improve';
import { type Evidence, learn, learnCrew } from './learn';

/** Passes of somebody who is so much faster than usual, give or take a quarter. */
function passesOf(person: string, pace: number, count: number, seed: number, nonsense = 0): readonly Evidence[] {
  const random = randomFrom(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return Array.from({ length: count }, (): Evidence => {
    const usual = 0.5 + 2 * random();
    const took = (usual / pace) * Math.exp(0.25 * normal());
    const odd = random() < nonsense ? (random() < 0.5 ? 60 : 1 / 60) : 1;
    return { people: [person], rate: 'flat.fill.knife', usual, took: took * odd, weight: 1 };
  });
}
const paceIn = (evidence: readonly Evidence[], person = 'a') => learn(evidence)[person]?.['flat.fill.knife'];
const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

describe('rates that learn', () => {
  it('say nothing of whom nothing is known', () => {
    expect(learn([])).toEqual({});
    expect(learn([{ people: ['a'], rate: 'x', usual: 1, took: 0, weight: 1 }])).toEqual({});
  });

  it('find out how fast people are', () => {
    const errors = [0.6, 0.8, 1, 1.3, 1.8].map((pace) => {
      const found = Array.from({ length: 60 }, (_, seed) => paceIn(passesOf('a', pace, 40, seed + 1))?.pace ?? 0);
      return { pace, found: meanOf(found), error: meanOf(found.map((one) => Math.abs(one / pace - 1))) };
    });
    const report = errors.map(
      ({ pace, found, error }) => `${pace}: ${found.toFixed(2)} (± ${(error * 100).toFixed(0)} %)`,
    );
    process.stdout.write(`    paces after 40 passes, ${report.join(', ')}\n`);
    for (const { error } of errors) expect(error).toBeLessThan(0.08);
  });

  it('are not biased after twenty passes, whatever a crew is like', () => {
    const found = Array.from({ length: 300 }, (_, seed) => paceIn(passesOf('a', 1, 20, seed + 1))?.pace ?? 0);
    expect(Math.abs(meanOf(found) - 1)).toBeLessThan(0.02);
  });

  it('do not swing by a tenth of nonsense', () => {
    const clean = Array.from({ length: 100 }, (_, seed) => paceIn(passesOf('a', 1.4, 30, seed + 1))?.pace ?? 0);
    const odd = Array.from({ length: 100 }, (_, seed) => paceIn(passesOf('a', 1.4, 30, seed + 1, 0.1))?.pace ?? 0);
    expect(Math.abs(meanOf(odd) / meanOf(clean) - 1)).toBeLessThan(0.03);
  });

  it('are pulled toward the crew and the usual rates the less is known', () => {
    const [one] = passesOf('b', 2, 1, 5);
    const crew = passesOf('a', 1.5, 30, 3);
    const alone = paceIn([one as Evidence], 'b')?.pace ?? 0;
    const among = paceIn([...crew, one as Evidence], 'b')?.pace ?? 0;
    expect(alone).toBeGreaterThan(1);
    expect(alone).toBeLessThan(1.5);
    expect(among).toBeGreaterThan(alone);
    expect(paceIn(crew)?.within ?? 9).toBeLessThan(paceIn([one as Evidence], 'b')?.within ?? 0);
    expect(paceIn(crew)?.passes).toBe(30);
  });

  it('are those of a crew whoever ran it, pulled toward usual the less is known', () => {
    const rate = 'flat.fill.knife';
    const crew = learnCrew([...passesOf('a', 1.5, 30, 3), ...passesOf('b', 1.5, 30, 4)])[rate];
    expect(crew?.passes).toBe(60);
    expect(Math.abs((crew?.pace ?? 0) / 1.5 - 1)).toBeLessThan(0.08);
    const few = learnCrew(passesOf('a', 1.5, 2, 3))[rate];
    expect(few?.pace).toBeGreaterThan(1);
    expect(few?.pace).toBeLessThan(crew?.pace ?? 0);
    expect(few?.within).toBeGreaterThan(crew?.within ?? 9);
    expect(learnCrew([])).toEqual({});
  });

  it('are the same in whatever order passes come', () => {
    const all = [...passesOf('a', 1.2, 15, 1, 0.1), ...passesOf('b', 0.8, 9, 2)];
    const other = learn(all.toReversed());
    for (const [person, rates] of Object.entries(learn(all)))
      for (const [rate, { pace }] of Object.entries(rates)) expect(other[person]?.[rate]?.pace).toBeCloseTo(pace, 9);
  });
});
