import { describe, expect, it } from 'vitest';
import { logEntry as entry } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import type { Entry } from '../log/entry';
import type { Choices } from '../room/methodAnswers';
import { nextSteps } from './nextSteps';

const HOUR = 3_600_000;
const MINUTE = 60_000;
const TAPED = Date.parse('2031-05-06T12:00:00Z');
const FILLED = TAPED + 60 * HOUR;
const LINE = "A 20' x 14' x 8', door 32x80 wall 1 bead";
const KINDS = ['bead', 'butt', 'flat', 'angle', 'fasteners'] as const;
const on = (kind: (typeof KINDS)[number], key: 'tape' | 'fill', at: number, more: object = {}) =>
  entry({ kind: 'coat', at, payload: { class: kind, key, part: 1, mud: { kind: 'drying' }, ...more } });
const TAPE = KINDS.map((kind) => on(kind, 'tape', TAPED));
const stepsAt = (entries: readonly Entry[], now: number, method: Partial<Choices> = {}) => {
  const { standing, method: own } = oneRoomSnapshot(LINE, now).roomWith(entries, method);
  return nextSteps(standing, own);
};
const words = (...asked: Parameters<typeof stepsAt>) =>
  stepsAt(...asked)
    .map(({ coat, soft }) => `${soft ? '…' : ''}${coat.key} ${coat.class}`)
    .join(', ');

describe('the coats that are run next in a room', () => {
  it.each([
    ['a bare room', [], TAPED, {}, 'tape bead, tape butt, tape flat, tape angle, tape fasteners'],
    [
      'beads after the tape',
      [],
      TAPED,
      { beads: 'after' },
      'tape butt, tape flat, tape angle, tape fasteners, tape bead',
    ],
    ['butts first', TAPE, FILLED, {}, 'fill butt, fill fasteners, fill flat, fill bead, fill angle'],
    ['boxes', TAPE, FILLED, { order: 'boxes' }, 'fill flat, fill butt, fill bead, fill angle, fill fasteners'],
    [
      'ceiling sides',
      TAPE,
      FILLED,
      { order: 'ceilingSides' },
      'fill angle, fill fasteners, fill flat, fill butt, fill bead',
    ],
    ['some tape to come', TAPE.slice(0, 3), TAPED + MINUTE, {}, 'tape angle, tape fasteners'],
  ] as const)('%s', (_words, entries, now, method, order) => {
    expect(words(entries, now, method)).toBe(order);
  });

  it('wait for what is soft, which is named with the minute at which it is firm', () => {
    const butts = [...TAPE, on('butt', 'fill', FILLED)];
    const now = FILLED + 18 * MINUTE;
    // Beads and angles meet no butt in this room's corners but those under the ceiling.
    const steps = stepsAt(butts, now);
    expect(steps.map(({ coat }) => coat.class)).toEqual(['fasteners', 'flat', 'bead', 'angle']);
    const soft = [...butts, on('flat', 'fill', FILLED + MINUTE, { faces: ['c0'] })];
    const waits = stepsAt(soft, now).filter((step) => step.soft);
    for (const step of waits) expect(step).toMatchObject({ ready: undefined });
    expect(stepsAt(soft, FILLED + 31 * MINUTE).filter((step) => step.soft)).toEqual([]);
  });
});
