import { describe, expect, it } from 'vitest';
import { Busy, places } from './places';

/** Work that goes on until it is told to end. */
function work() {
  let end = () => {};
  const done = new Promise<void>((resolve) => {
    end = resolve;
  });
  return { run: () => done, end };
}

describe('places', () => {
  it('are for so many of one person, and leave the rest to others', async () => {
    const letIn = places({ each: 2, all: 3 });
    const own = [work(), work()];
    const [first] = own.map(({ run }) => letIn('Osei', run));
    await expect(letIn('Osei', work().run)).rejects.toBeInstanceOf(Busy);
    const petra = work();
    const theirs = letIn('Petra', petra.run);
    await expect(letIn('Ines', work().run)).rejects.toBeInstanceOf(Busy);
    own[0]?.end();
    await first;
    await expect(letIn('Ines', async () => 'done')).resolves.toBe('done');
    petra.end();
    await theirs;
  });

  it('are given back by work that fails', async () => {
    const letIn = places({ each: 1, all: 1 });
    await expect(letIn('Osei', () => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    await expect(letIn('Osei', async () => 'done')).resolves.toBe('done');
  });
});
