import { describe, expect, it } from 'vitest';
import { dryAt, drynessAt } from './dryAt';
import { dryingHours } from './dryingHours';

const HOUR = 3_600_000;
const warm = { temperature: 24, humidity: 40 };
const damp = { temperature: 12, humidity: 85 };
const clock = (air: typeof warm) => dryingHours(air);

describe('the drying clock', () => {
  it('splits a step in the air exactly: half in one air, half in the other', () => {
    const half = (clock(warm) / 2) * HOUR;
    expect(
      dryAt(
        0,
        [
          { from: 0, air: warm },
          { from: half, air: damp },
        ],
        clock,
      ),
    ).toBeCloseTo(half + (clock(damp) / 2) * HOUR, 3);
  });

  it('does not care how often the same air was read', () => {
    const often = Array.from({ length: 200 }, (_, index) => ({ from: index * 7 * 60_000, air: warm }));
    expect(dryAt(0, often, clock)).toBeCloseTo(dryAt(0, [{ from: 0, air: warm }], clock), 3);
  });

  it('counts the first air also for what lies before it, and the last from then on', () => {
    expect(dryAt(0, [{ from: 5 * HOUR, air: warm }], clock)).toBeCloseTo(clock(warm) * HOUR, 3);
  });

  it('ignores air before the coat was on', () => {
    expect(
      dryAt(
        100 * HOUR,
        [
          { from: 0, air: damp },
          { from: 99 * HOUR, air: warm },
        ],
        clock,
      ),
    ).toBeCloseTo((100 + clock(warm)) * HOUR, 3);
  });

  it('reaches one just when it is dry, and grows until then', () => {
    const history = [
      { from: 0, air: damp },
      { from: 20 * HOUR, air: warm },
    ];
    const end = dryAt(0, history, clock);
    expect(drynessAt(0, end, history, clock)).toBeCloseTo(1, 9);
    const steps = Array.from({ length: 10 }, (_, index) => drynessAt(0, (end * index) / 10, history, clock));
    expect([...steps].sort((a, b) => a - b)).toEqual(steps);
    expect(steps.at(-1)).toBeLessThan(1);
  });
});
