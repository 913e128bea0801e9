import { describe, expect, it } from 'vitest';
import { allSteps } from '../../core/measure/steps';
import { inSlices } from './inSlices';

describe('steps in slices', () => {
  it('end as they do at once, and let others in between', async () => {
    const told: string[] = [];
    function* work() {
      const slow = performance.now() + 40;
      while (performance.now() < slow) yield;
      told.push('ended');
      return 7;
    }
    const asked = inSlices(work());
    setImmediate(() => told.push('somebody else'));
    expect(await asked).toBe(7);
    expect(told).toEqual(['somebody else', 'ended']);
    expect(allSteps(work())).toBe(7);
  });
});
