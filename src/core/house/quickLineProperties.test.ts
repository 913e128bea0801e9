import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkRoom } from './checkRoom';
import { formatQuickLine } from './formatQuickLine';
import { parseQuickLine } from './parseQuickLine';
import type { Opening } from './schema';

const HOUSE = { unit: 'in', hang: {} } as const;

/** Sixteenths of an inch, as decimal inches. */
const inches = (least: number, most: number) =>
  fc.integer({ min: least * 16, max: most * 16 }).map((sixteenths) => sixteenths / 16);

const opening = fc
  .record({
    kind: fc.constantFrom('door' as const, 'window' as const, 'opening' as const),
    wall: fc.integer({ min: 0, max: 3 }),
    width: inches(20, 36),
    height: inches(20, 48),
    sill: inches(0, 30),
    at: inches(0, 50),
    edge: fc.constantFrom('casing' as const, 'bead' as const, 'open' as const),
    depth: fc.option(inches(2, 12), { nil: undefined }),
  })
  .map(({ depth, ...rest }): Opening => ({ ...rest, ...(depth === undefined ? {} : { depth }) }));

const room = fc.record({
  name: fc.constantFrom('Pantry', 'Bed 2', 'Room 3 east', 'Léa’s room'),
  long: inches(96, 300),
  wide: inches(96, 300),
  height: inches(84, 140),
  level: fc.constantFrom('Ground floor', 'Upper floor', 'Cellar'),
  finish: fc.option(fc.constantFrom(0 as const, 3 as const, 5 as const), { nil: undefined }),
  openings: fc.uniqueArray(opening, { selector: ({ wall }) => wall, maxLength: 4 }),
});

describe('the quick line', () => {
  it('reads back every room that it writes', () => {
    fc.assert(
      fc.property(room, ({ name, long, wide, height, level, finish, openings }) => {
        const written = {
          name,
          level,
          height,
          openings,
          ceiling: { shape: 'flat' as const },
          outline: [
            [0, 0],
            [long, 0],
            [long, wide],
            [0, wide],
          ] as [number, number][],
          ...(finish === undefined ? {} : { finish: { level: finish } }),
        };
        fc.pre(checkRoom({ ...written, id: 'a' }, HOUSE).length === 0);
        const reading = parseQuickLine(formatQuickLine(written, 'in'), HOUSE);
        expect(reading).toMatchObject({ ok: true });
        if (!reading.ok) return;
        expect({ ...reading.room, openings: [] }).toEqual({ ...written, openings: [] });
        reading.room.openings.forEach((read, index) => {
          const original = openings[index];
          expect({ ...read, at: 0 }).toEqual({ ...original, at: 0 });
          expect(read.at).toBeCloseTo(original?.at ?? Number.NaN, 4);
        });
      }),
    );
  });

  it('answers any text with a room or with a place inside it', () => {
    const words = fc.constantFrom(
      'Hall',
      '12',
      "12'",
      'x',
      ',',
      ':',
      ' ',
      'door',
      'window',
      '32x80',
      '@36',
      'wall',
      '2',
      'at',
      'bead',
      'level',
      '5',
      'on',
      'ceiling',
      'open',
      '½',
      '"',
      '-',
    );
    const text = fc.oneof(
      fc.string(),
      fc.array(words, { maxLength: 14 }).map((parts) => parts.join(' ')),
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
      { numRuns: 500 },
    );
  });
});
