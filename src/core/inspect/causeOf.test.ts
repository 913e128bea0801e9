import { describe, expect, it } from 'vitest';
import { logEntry } from '../../../tests/houses/logEntry';
import { HOUR, LATE, off, snapshotAt } from '../../../tests/houses/pantry';
import type { DefectKind } from '../method/defects';
import { accountOf, causeOf } from './causeOf';

describe('what something that is wrong comes from', () => {
  const flat = off.pieces.find((piece) => piece.class === 'flat')?.id ?? '';
  const INES = '00000000-0000-4000-8000-00000000000c';
  /** Hours after the third day began. */
  const at = (hour: number) => (48 + hour) * HOUR;
  const on = (key: 'tape' | 'fill', hour: number, by?: string) =>
    logEntry({
      kind: 'coat',
      at: at(hour),
      ...(by ? { by } : {}),
      payload: { class: 'flat', key, part: 1, mud: { kind: 'drying' }, on: [{ id: flat, amount: 1, of: 1 }] },
    });
  const seen = (defect: DefectKind, hour: number) => ({
    defect,
    piece: flat,
    at: new Date(at(hour)).toISOString(),
    after: 1,
  });

  it('is the tape coat for a bubble, and that it was coated too soon where it was', () => {
    const soon = snapshotAt([on('tape', 0), on('fill', 5, INES)], LATE);
    const cause = causeOf(seen('bubble', 50), soon);
    expect(cause.coat?.payload.key).toBe('tape');
    expect(cause.who).not.toEqual([INES]);
    expect(cause.coatedAfter?.waited).toBe(5 * HOUR);
    expect(cause.coatedAfter?.asked).toBeGreaterThan(10 * HOUR);
    expect(causeOf(seen('bubble', 90), snapshotAt([on('tape', 0), on('fill', 60)], LATE)).coatedAfter).toBeUndefined();
  });

  it('is the coat that was on last when it was seen, and nobody’s coat for a dent', () => {
    const snapshot = snapshotAt([on('tape', 0), on('fill', 40, INES)], LATE);
    expect(causeOf(seen('ridge', 50), snapshot)).toMatchObject({ account: 'crew', who: [INES] });
    expect(causeOf(seen('ridge', 20), snapshot).coat?.payload.key).toBe('tape');
    expect(causeOf(seen('dent', 50), snapshot)).toMatchObject({ account: 'others', coat: undefined });
    expect(causeOf({ ...seen('ridge', 50), piece: undefined }, snapshot).coat).toBeUndefined();
  });

  it('is the first tape coat where it was laid twice, and what was on at that very moment', () => {
    const twice = snapshotAt([on('tape', 0), on('tape', 40, INES), on('fill', 90)], LATE);
    expect(causeOf(seen('tapeShows', 95), twice).coat?.at).toBe(new Date(at(0)).toISOString());
    expect(causeOf(seen('ridge', 40), twice).who).toEqual([INES]);
  });

  it('is the crew’s where nobody gave it a name', () => {
    const cause = causeOf({ ...seen('ridge', 50), defect: undefined }, snapshotAt([on('tape', 0)], LATE));
    expect(cause).toMatchObject({ account: 'crew', coat: { payload: { key: 'tape' } } });
  });

  it('is too soon only for what is wrong with the tape, and where it was', () => {
    const soon = snapshotAt([on('tape', 0), on('fill', 5)], LATE);
    expect(causeOf(seen('ridge', 4), soon).coatedAfter).toBeUndefined();
    expect(causeOf(seen('bubble', 4), soon).coatedAfter).toBeUndefined();
    const asked = causeOf(seen('bubble', 50), soon).coatedAfter?.asked ?? 0;
    expect(asked).toBeLessThan(40 * HOUR);
    const justRight = snapshotAt([on('tape', 0), on('fill', (asked + 1) / HOUR)], LATE);
    expect(causeOf(seen('bubble', 90), justRight).coatedAfter).toBeUndefined();
  });

  it('is the hanger’s account before anything is on, but for what another trade did', () => {
    const snapshot = snapshotAt([], LATE);
    expect(causeOf({ ...seen('beadOut', 0), after: 0 }, snapshot).account).toBe('hanger');
    expect(causeOf({ ...seen('beadOut', 0), after: 1 }, snapshot).account).toBe('crew');
    expect(accountOf({ defect: 'dent', after: 0 })).toBe('others');
    expect([accountOf({ defect: undefined, after: 0 }), accountOf({ defect: undefined, after: 1 })]).toEqual([
      'hanger',
      undefined,
    ]);
  });
});
