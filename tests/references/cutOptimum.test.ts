import { describe, expect, it } from 'vitest';
import { cutStock } from '@/core/materials/cut/cutStock';
import { randomFrom } from '@/core/plan/improve';
import { type Instance, leastCostProgram } from './cutProgram';
import { optimaOf } from './optima';

// The least cost of a cutting list found by another way: as a flow along a stick, where an arc is a piece that is cut from one mark to
// another, solved by HiGHS as an integer program. Written apart: neither patterns, nor a bound, nor a search are used.

/** Up to fourteen pieces of few sizes, sticks of one to three lengths, some dearer by the length than others. */
function anyInstance(seed: number): Instance {
  const random = randomFrom(seed);
  const upTo = (most: number) => Math.floor(random() * (most + 1));
  const lengths = [24, 27, 30, 36].filter((_, index) => index === 3 || random() < 0.5);
  return {
    pieces: Array.from({ length: 2 + upTo(12) }, () => 4 + upTo(30)),
    sticks: lengths.map((length) => ({ length, price: random() < 0.5 ? length : length + upTo(6) })),
    kerf: upTo(1),
  };
}

describe('a cutting list', () => {
  it('costs no more than the least there is, and its bound says so, in 220 instances', async () => {
    const optima = await optimaOf('cut');
    let proven = 0;
    for (let seed = 1; seed <= 220; seed += 1) {
      const instance = anyInstance(seed);
      const list = cutStock({ ...instance, step: 1 });
      const least = optima.least(leastCostProgram(instance)) ?? Number.NaN;
      expect(list.cost, `seed ${seed}`).toBeCloseTo(least, 6);
      expect(list.bound, `seed ${seed}`).toBeLessThanOrEqual(least + 1e-6);
      if (list.bound >= least - 1e-6) proven += 1;
    }
    optima.keep();
    expect(proven).toBe(220);
  });
});
