import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyRoom } from '../../../tests/houses/anyRoom';
import type { Room } from '../room/schema';
import { formatQuickLine } from './formatQuickLine';
import { ITEM_SPECS } from './lineSpecs';
import { parseQuickLine } from './parseQuickLine';

const HOUSE = { unit: 'in', hang: {} } as const;

/** Numbers to a hundred-thousandth of an inch. */
const rounded = (value: unknown): unknown => {
  if (typeof value === 'number') return Math.round(value * 1e5) / 1e5;
  if (Array.isArray(value)) return value.map(rounded);
  if (value && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, rounded(inner)]));
  return value;
};

describe('the quick line', () => {
  it('reads back every room that it writes, whatever is in it', () => {
    fc.assert(
      fc.property(anyRoom, ({ id: _id, ...written }: Room) => {
        const line = formatQuickLine(written, 'in');
        const reading = parseQuickLine(line, HOUSE);
        expect(reading.ok ? rounded(reading.room) : `${line}: ${reading.reason}`).toEqual(rounded(written));
      }),
      { numRuns: 400 },
    );
  });

  it('answers any text with a room or with a place inside it', () => {
    const words = fc.constantFrom(
      ...['Hall', '12', "12'", 'x', ',', ':', ' ', '32x80', '@36', 'wall', '2', 'at', 'bead', '5', 'r', 'd', 'l', 'u'],
      ...['of', 'ceiling', 'open', '½', '"', '-', '+', 'spread', 'from', 'to', 'walls'],
      ...ITEM_SPECS.flatMap((spec) => spec.words),
      ...ITEM_SPECS.map(({ example }) => example),
    );
    const text = fc.oneof(
      fc.string(),
      fc.array(words, { maxLength: 14 }).map((parts) => parts.join(' ')),
      fc.array(words, { maxLength: 6 }).map((parts) => `A: 12' x 10', ${parts.join(' ')}`),
      fc.array(words, { maxLength: 6 }).map((parts) => `A: 12' x 10', ${parts.join(', ')}`),
    );
    fc.assert(
      fc.property(text, (line) => {
        const reading = parseQuickLine(line, HOUSE);
        if (reading.ok) return;
        expect(reading.reason.length).toBeGreaterThan(0);
        expect(reading.at).toBeGreaterThanOrEqual(0);
        expect(reading.at).toBeLessThanOrEqual(line.length);
        expect(reading.length).toBeGreaterThan(0);
      }),
      { numRuns: 1500 },
    );
  });
});
