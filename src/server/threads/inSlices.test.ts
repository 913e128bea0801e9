import { afterEach, describe, expect, it, vi } from 'vitest';
import { allSteps } from '../../core/measure/steps';
import { inSlices } from './inSlices';

afterEach(() => vi.restoreAllMocks());

describe('steps in slices', () => {
  it('end as they do at once, and let others in between', async () => {
    let clock = 0;
    vi.spyOn(performance, 'now').mockImplementation(() => clock);
    const told: string[] = [];
    function* work() {
      for (let step = 0; step < 4; step += 1) {
        clock += 10;
        yield;
      }
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
