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

describe('paces worked by hand', () => {
  const LN2 = Math.log(2);
  const pass = (took: number, people: readonly string[] = ['a'], weight = 1, usual = 1): Evidence => ({
    people,
    rate: 'flat.fill.knife',
    usual,
    took,
    weight,
  });
  /** A person of a crew of whom the same is known: three passes at the usual pace, then the crew's three, then their own. */
  const pulled = (seen: number, counted: number) => {
    const crew = (seen * counted) / (3 + counted);
    return Math.exp((3 * crew + seen * counted) / (3 + counted));
  };
  /** Two passes at the usual pace and two twice as fast: each lies ln 2 / 2 from the middle, and counts that much less. */
  const half = 4 * (1 - (LN2 / 2 / Math.log(2.6)) ** 2) ** 2;
  const TABLE: readonly (readonly [words: string, passes: readonly Evidence[], pace: number, counted: number])[] = [
    ['one pass in half the time', [pass(0.5)], pulled(LN2, 1), 1],
    ['one pass in twice the time', [pass(2)], pulled(-LN2, 1), 1],
    ['one in half the time, of two hours', [pass(1, ['a'], 1, 2)], pulled(LN2, 1), 1],
    ['a pair in half the time: each counts half', [pass(0.5, ['a', 'b'])], pulled(LN2, 0.5), 0.5],
    ['a quarter of a pass', [pass(0.5, ['a'], 0.25)], pulled(LN2, 0.25), 0.25],
    ['two passes alike', [pass(0.5), pass(0.5)], pulled(LN2, 2), 2],
    ['three passes alike', [pass(0.5), pass(0.5), pass(0.5)], pulled(LN2, 3), 3],
    ['two passes three times as fast: too far from usual to be believed', [pass(1 / 3), pass(1 / 3)], 1, 0],
    ['three passes three times as fast agree', [pass(1 / 3), pass(1 / 3), pass(1 / 3)], pulled(Math.log(3), 3), 3],
    ['one of three in minutes for hours', [pass(0.5), pass(30), pass(0.5)], pulled(LN2, 2), 2],
    ['one of three with a lunch in it', [pass(1), pass(1), pass(2.7)], pulled(0, 2), 2],
    ['two as usual, two twice as fast', [pass(1), pass(0.5), pass(1), pass(0.5)], pulled(LN2 / 2, half), half],
    [
      'two as usual, two twice as fast, in order',
      [pass(0.5), pass(0.5), pass(1), pass(1)],
      pulled(LN2 / 2, half),
      half,
    ],
  ];
  it.each(TABLE)('%s', (_words, passes, pace, counted) => {
    const found = paceIn(passes);
    expect(found?.pace).toBeCloseTo(pace, 6);
    expect(found?.within).toBeCloseTo(Math.exp(0.3 / Math.sqrt(3 + counted)), 6);
    expect(found?.passes).toBe(passes.length);
  });

  it('of a person follow the crew where nothing is known of them but one pass', () => {
    const passes = [pass(0.5, ['b']), pass(0.5, ['b']), pass(0.5, ['b']), pass(1, ['a'])];
    // All four count: the slow one lies ln 2 from the middle of the crew.
    const slow = (1 - (LN2 / Math.log(2.6)) ** 2) ** 2;
    expect(slow).toBeGreaterThan(0);
    const [fast, crew] = [paceIn(passes, 'b')?.pace ?? 0, learnCrew(passes)['flat.fill.knife']];
    expect(crew?.pace).toBeGreaterThan(1);
    expect(paceIn(passes)?.pace).toBeLessThan(fast);
    expect(paceIn(passes)?.pace).toBeGreaterThan(1);
    expect(crew?.passes).toBe(4);
  });

  it.each([
    ['took no time', pass(0)],
    ['was nothing', pass(1, ['a'], 1, 0)],
    ['is no part of a pass', pass(1, ['a'], 0)],
  ])('say nothing of what %s', (_words, nothing) => {
    expect(learn([nothing])).toEqual({});
    expect(learnCrew([nothing])).toEqual({});
  });
});
