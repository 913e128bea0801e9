import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { afterFastLane, inFastLane } from './fastLane';

beforeEach(() => vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }));
afterEach(() => vi.useRealTimers());

/** Work that goes on until it is told to end. */
function work() {
  let end = () => {};
  const done = new Promise<void>((resolve) => {
    end = resolve;
  });
  return { run: () => done, end };
}
const turns = async () => {
  for (let turn = 0; turn < 5; turn += 1) await new Promise((resolve) => setImmediate(resolve));
};

describe('the fast lane', () => {
  it('is waited for until the last one has left it', async () => {
    const [first, second] = [work(), work()];
    const lanes = [inFastLane(first.run), inFastLane(second.run)];
    let begun = false;
    const page = afterFastLane().then(() => {
      begun = true;
    });
    await turns();
    first.end();
    await turns();
    expect(begun).toBe(false);
    second.end();
    await page;
    expect(begun).toBe(true);
    await Promise.all(lanes);
  });

  it('is waited for no longer than a moment, and not by what is in it', async () => {
    const long = work();
    const held = inFastLane(long.run);
    let begun = false;
    const page = afterFastLane().then(() => {
      begun = true;
    });
    await turns();
    vi.advanceTimersByTime(199);
    await turns();
    expect(begun).toBe(false);
    vi.advanceTimersByTime(1);
    await page;
    await inFastLane(() => afterFastLane());
    long.end();
    await held;
    await afterFastLane();
  });

  it('is left by what fails', async () => {
    await expect(inFastLane(() => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    await afterFastLane();
  });
});
