import { describe, expect, it } from 'vitest';
import { teamHours } from './teamHours';

const WORK = [
  { hours: 3, rate: 'flats' },
  { hours: 1, rate: 'angles' },
];

describe('the hours of people who run something together', () => {
  it('are those of the table where nothing is known, halved for two', () => {
    expect(teamHours(WORK, [{ pace: {} }])).toBe(4);
    expect(teamHours(WORK, [{ pace: {} }, { pace: {} }])).toBe(2);
  });

  it('go by what each is quick at', () => {
    expect(teamHours(WORK, [{ pace: { flats: 2 } }])).toBe(2.5);
    expect(teamHours(WORK, [{ pace: { flats: 2 } }, { pace: { angles: 0.5 } }])).toBeCloseTo(1 + 1 / 1.5, 9);
  });
});
