import { describe, expect, it } from 'vitest';
import { airClock } from '../air/airClock';
import { sealerDryAt } from './sealer';

const AT = '2031-05-06T07:00:00Z';
const hoursIn = (air: { temperature: number; humidity: number }, dryHours?: number) =>
  (sealerDryAt({ at: AT, dryHours }, airClock([{ from: 0, air }])) - Date.parse(AT)) / 3_600_000;
const USUAL = { temperature: (70 - 32) / 1.8, humidity: 50 };

describe('sealer', () => {
  // common practice, no source: an hour where the label says nothing
  it.each([
    ['usual air', USUAL, undefined, 1],
    ['usual air, four hours by its label', USUAL, 4, 4],
    ['dry, warm air: never sooner than the label', { temperature: 30, humidity: 20 }, 4, 4],
    // 38 h for a tape coat at 70 °F and 80 %, 17 h at 50 %.
    ['70 °F and 80 %', { temperature: USUAL.temperature, humidity: 80 }, 1, 38 / 17],
    ['saturated air', { temperature: 20, humidity: 100 }, 1, Number.POSITIVE_INFINITY],
  ])('%s', (_words, air, label, hours) => {
    expect(hoursIn(air, label)).toBeCloseTo(hours, 6);
  });
});
