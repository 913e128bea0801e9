import { describe, expect, it } from 'vitest';
import { hangText, readHangText } from './hangText';

describe('how a house is hung, in words', () => {
  it('is read as it is written', () => {
    for (const text of [
      '',
      "walls upright, boards 48x8'/12' + 54x12', framing 2', screws 12x12, butts backed, aim waste",
    ]) {
      const reading = readHangText(text, 'in');
      if (!reading.ok) throw new Error(reading.reason);
      expect(hangText(reading.hang, 'in')).toBe(text);
    }
    expect(readHangText('framing 400', 'mm')).toEqual({ ok: true, hang: { framing: 400 } });
  });

  it('refuses what is not about boards, and what cannot be read', () => {
    expect(readHangText('door 32x80', 'in')).toMatchObject({
      ok: false,
      reason: expect.stringContaining('only boards'),
    });
    expect(readHangText('level 5', 'in')).toMatchObject({ ok: false });
    expect(readHangText('framing 24q', 'in')).toMatchObject({ ok: false, reason: '"q" does not belong in a length' });
  });
});
