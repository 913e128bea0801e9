import { describe, expect, it } from 'vitest';
import { INES, logEntry, MARIT, TOBIN } from '../../../tests/houses/logEntry';
import { randomFrom } from '../plan/improve';
import { entriesThatCount } from './entriesThatCount';
import type { Entry } from './entry';
import { handedIn } from './roomState';
import { stateOf } from './stateOf';

/** A random log of one room: coats, work handed out again and again, things taken back. */
function anyLog(seed: number): readonly Entry[] {
  const random = randomFrom(seed);
  const upTo = (most: number) => Math.floor(random() * (most + 1));
  const log: Entry[] = [];
  for (let turn = 0; turn < 25; turn += 1) {
    const at = upTo(40) * 3_600_000;
    const chance = random();
    const target = log[upTo(Math.max(0, log.length - 1))];
    if (chance < 0.2 && target)
      log.push(logEntry({ kind: 'void', at, by: MARIT, role: 'lead', payload: { target: target.id } }));
    else if (chance < 0.6)
      log.push(
        logEntry({
          kind: 'assigned',
          at,
          payload: {
            work: ['fill', 'fill.flat', 'fill.flat@ceiling'][upTo(2)] ?? 'fill',
            people: [[], [TOBIN], [INES]][upTo(2)] ?? [],
            day: `2031-05-0${1 + upTo(8)}`,
          },
        }),
      );
    else if (chance < 0.8)
      log.push(
        logEntry({
          kind: 'coat',
          at,
          payload: { class: 'flat', key: 'tape', part: 1, mud: { kind: 'drying' } },
        }),
      );
    else log.push(logEntry({ kind: upTo(1) === 0 ? 'sanded' : 'released', at, payload: {} }));
  }
  return log;
}

describe('what of a log counts', () => {
  it('folds to the same room as all of it, and is less', () => {
    let less = 0;
    for (let seed = 1; seed <= 300; seed += 1) {
      const log = anyLog(seed);
      const kept = entriesThatCount(log);
      less += log.length - kept.length;
      expect(kept.map(({ seq }) => seq)).toEqual(kept.map(({ seq }) => seq).toSorted((a, b) => a - b));
      const works = kept.flatMap((entry) => (entry.kind === 'assigned' ? [entry.payload.work] : []));
      expect(new Set(works).size).toBe(works.length);
      const [whole, part] = [stateOf(log).get('room'), stateOf(kept).get('room')];
      expect(part?.applied, `seed ${seed}`).toEqual(whole?.applied);
      expect({ ...part, applied: 0, assignments: 0, handed: 0 }).toEqual({
        ...whole,
        applied: 0,
        assignments: 0,
        handed: 0,
      });
      for (const block of [undefined, 'walls', 'ceiling'] as const) {
        const of = (state: typeof whole) => state && handedIn(state, 'fill.flat', 'fill', block);
        expect(of(part)?.people, `seed ${seed}`).toEqual(of(whole)?.people);
        expect(of(part)?.day).toBe(of(whole)?.day);
      }
    }
    expect(less).toBeGreaterThan(1000);
  });
});
