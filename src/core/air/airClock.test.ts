import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Air } from './air';
import { type AirFrom, airClock, driedBetween, stepAt, whenDried } from './airClock';
import { dryingHours } from './dryingHours';

const HOUR = 3_600_000;
const warm = { temperature: 24, humidity: 40 };
const damp = { temperature: 12, humidity: 85 };
const soaked = { temperature: 20, humidity: 100 };
const clockOf = (...steps: readonly (readonly [hour: number, air: Air])[]) =>
  airClock(steps.map(([hour, air]): AirFrom => ({ from: hour * HOUR, air })));
const dryAfter = (clock: ReturnType<typeof clockOf>, hour = 0) => whenDried(clock, hour * HOUR, 1) / HOUR;

const airs = fc.record({
  temperature: fc.double({ min: 0, max: 38, noNaN: true }),
  humidity: fc.double({ min: 0, max: 99, noNaN: true }),
});
const histories = fc
  .array(fc.record({ gap: fc.integer({ min: 1, max: 20 * 60 }), air: airs }), { minLength: 1, maxLength: 30 })
  .map((parts) => {
    let at = 0;
    return parts.map(({ gap, air }): AirFrom => {
      at += gap * 60_000;
      return { from: at, air };
    });
  });

describe('the clock of the air', () => {
  it('splits a step in the air exactly: half in one air, half in the other', () => {
    const half = dryingHours(warm) / 2;
    expect(dryAfter(clockOf([0, warm], [half, damp]))).toBeCloseTo(half + dryingHours(damp) / 2, 9);
  });

  it('splits any steps exactly: the shares of all stretches make one whole coat', () => {
    fc.assert(
      fc.property(histories, fc.integer({ min: -600, max: 6000 }), (history, minute) => {
        const start = minute * 60_000;
        const end = whenDried(airClock(history), start, 1);
        // The first air also counts before it was read, the last one holds on.
        const share = history.reduce((sum, { from, air }, index) => {
          const begin = Math.max(start, index === 0 ? start : from);
          const finish = Math.min(end, history[index + 1]?.from ?? end);
          return sum + Math.max(0, finish - begin) / (dryingHours(air) * HOUR);
        }, 0);
        expect(share).toBeCloseTo(1, 6);
      }),
    );
  });

  it('does not care how often the same air was read', () => {
    const often = airClock(Array.from({ length: 200 }, (_, index) => ({ from: index * 7 * 60_000, air: warm })));
    expect(dryAfter(often)).toBeCloseTo(dryAfter(clockOf([0, warm])), 9);
  });

  it('counts the first air also for what lies before it, and the last from then on', () => {
    expect(dryAfter(clockOf([5, warm]))).toBeCloseTo(dryingHours(warm), 9);
  });

  it('ignores air before the coat was on', () => {
    expect(dryAfter(clockOf([0, damp], [99, warm]), 100)).toBeCloseTo(100 + dryingHours(warm), 9);
  });

  it('stands still in saturated air, and goes on after it', () => {
    const whole = dryingHours(warm);
    expect(dryAfter(clockOf([0, warm], [2, soaked], [12, warm]))).toBeCloseTo(whole + 10, 9);
    expect(dryAfter(clockOf([0, warm], [2, soaked]))).toBe(Number.POSITIVE_INFINITY);
  });

  it('is the same asked from an earlier moment on: what dried until then, and after it', () => {
    fc.assert(
      fc.property(histories, fc.integer({ min: 0, max: 3000 }), fc.integer({ min: 0, max: 3000 }), (history, a, b) => {
        const clock = airClock(history);
        const [start, middle] = [Math.min(a, b) * 60_000, Math.max(a, b) * 60_000];
        const end = whenDried(clock, start, 2);
        expect(driedBetween(clock, start, middle) + driedBetween(clock, middle, end)).toBeCloseTo(2, 6);
      }),
    );
  });

  it('knows the air of any moment', () => {
    const clock = clockOf([0, warm], [5, damp]);
    expect([-1, 0, 4.9, 5, 99].map((hour) => stepAt(clock, hour * HOUR).air)).toEqual([warm, warm, warm, damp, damp]);
  });
});
