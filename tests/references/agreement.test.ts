import { describe, expect, it } from 'vitest';
import { anyHistory } from '../histories/anyHistory';
import { disagreements } from '../histories/disagreements';

/** `npm run agree` looks at more than 20,000 states. */
const HISTORIES = Number(process.env.HISTORIES ?? 40);
const STEPS = 30;
/** Another number draws others. */
const FIRST = Number(process.env.FIRST_HISTORY ?? 1);

const ROOM_KINDS = ['check', 'done', 'fix', 'go', 'handOver', 'nothing', 'sand', 'seal', 'stuck', 'wet'];

describe('whatever is done in a house', () => {
  it('every page says the same of it', () => {
    const faults: string[] = [];
    const kinds = new Map<string, number>();
    let states = 0;
    for (let seed = FIRST; seed < FIRST + HISTORIES; seed += 1) {
      const words: string[] = [];
      for (const step of anyHistory(seed, STEPS)) {
        words.push(step.words);
        states += 1;
        for (const { standing } of step.snapshot.rooms)
          kinds.set(standing.now.kind, (kinds.get(standing.now.kind) ?? 0) + 1);
        const found = disagreements(step.snapshot, step.at, step.mixedUp);
        if (found.length > 0)
          faults.push(`history ${seed}, after ${words.length} (${step.words}): ${found.join('; ')}`);
      }
    }
    expect(faults.slice(0, 20)).toEqual([]);
    expect(states).toBe(HISTORIES * STEPS);
    // Every state of a room comes up.
    expect([...kinds.keys()].sort()).toEqual(ROOM_KINDS);
  });
});
