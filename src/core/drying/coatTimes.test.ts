import { describe, expect, it } from 'vitest';
import { airClock } from '../air/airClock';
import { coatTimes, recoatHours } from './coatTimes';
import type { WetMud } from './wetMud';

/** 70 °F and 50 %: the handbook says 17 h. */
const AIR = { temperature: (70 - 32) / 1.8, humidity: 50 };
const TAPE_COAT: WetMud = { mud: { kind: 'drying' }, thickness: 25.4 / 16, substrate: 'board' };

describe('the hours of a coat in air that does not change', () => {
  it('are those of the handbook for a tape coat of drying mud', () => {
    const times = coatTimes(TAPE_COAT, AIR);
    expect(times).toEqual({
      setHours: undefined,
      recoatHours: times.sandHours,
      sandHours: times.sandHours,
      troubles: [],
    });
    expect(times.recoatHours).toBeCloseTo(17, 6);
    expect(recoatHours(TAPE_COAT, airClock([{ from: 0, air: AIR }]))).toBeCloseTo(17, 6);
  });

  it('are those of its label for setting mud, and its own until it is sanded', () => {
    const times = coatTimes({ ...TAPE_COAT, mud: { kind: 'setting', minutes: 20 }, thickness: 25.4 / 2 }, AIR);
    expect(times.setHours).toBeCloseTo(1 / 3, 9);
    expect(times.recoatHours).toBeCloseTo(1 / 2, 9);
    expect(times.sandHours).toBeCloseTo(24, 6);
  });

  it('come with what speaks against the air and against the coat', () => {
    const { troubles } = coatTimes({ ...TAPE_COAT, thickness: 10 }, { temperature: 5, humidity: 50 });
    expect(troubles).toEqual(['cold', 'tooDeep']);
  });
});
