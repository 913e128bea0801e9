import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength } from './formatLength';
import { parseLength } from './parseLength';
import { subtractSpans, totalLength } from './span';
import { type LengthUnit, MM_PER_INCH } from './unit';

const mmOf = (text: string, unit: LengthUnit = 'in') => {
  const reading = parseLength(text, unit);
  return reading.ok ? reading.mm : `${reading.reason} at ${reading.at}`;
};

describe('reading lengths', () => {
  const inches = 148.5 * MM_PER_INCH;
  it.each([
    [`12'4 1/2"`, inches],
    ['12-4.5', inches],
    ['12-4 1/2', inches],
    ['148.5', inches],
    ["12.375'", inches],
    ['12′ 4 ½″', inches],
    ['12 ft 4 1/2 in', inches],
    ["12'", 3657.6],
    ["7'6", 2286],
    ['1/16', MM_PER_INCH / 16],
    ['½"', MM_PER_INCH / 2],
    ['3766 mm', 3766],
    ['3.766m', 3766],
    ['376.6 cm', 3766],
  ])('%s is %f mm', (text, mm) => {
    expect(mmOf(text)).toBeCloseTo(mm, 9);
  });

  it('takes a bare number in the unit of the house', () => {
    expect(mmOf('2400', 'mm')).toBe(2400);
    expect(mmOf('48', 'in')).toBeCloseTo(1219.2, 9);
  });

  it.each([
    ['12q', '"q" does not belong in a length at 2'],
    ["12'4x", '"x" does not belong in a length at 4'],
    ['', 'no length is written here at 0'],
    ['   ', 'no length is written here at 0'],
    ['12 4', 'the unit before this number is missing at 3'],
    ["12'-", 'nothing follows the dash at 3'],
    ['1/0', 'a fraction cannot be over 0 at 2'],
    ['4.5 1/2', 'a decimal and a fraction do not go together at 4'],
    ["'4", 'a length starts with a number at 0'],
    ['4" 2\'', 'only inches can follow, and only after feet at 3'],
    ['-4', 'a length starts with a number at 0'],
  ])('refuses %j, naming the character', (text, message) => {
    expect(mmOf(text)).toBe(message);
  });

  it('reads back every length that it prints, to 1/16 in', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 16 * 12 * 100 }), (sixteenths) => {
        const mm = (sixteenths * MM_PER_INCH) / 16;
        expect(mmOf(formatLength(mm, 'in'))).toBeCloseTo(mm, 6);
      }),
    );
  });

  it('answers any text with a length or a place inside it', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const reading = parseLength(text, 'in');
        if (reading.ok) expect(Number.isFinite(reading.mm)).toBe(true);
        else expect(reading.at).toBeLessThanOrEqual(text.length);
      }),
    );
  });
});

describe('printing lengths', () => {
  it.each([
    [3771.9, 'in', `12' 4 1/2"`],
    [38.1, 'in', '1 1/2"'],
    [3657.6, 'in', "12'"],
    [0, 'in', '0"'],
    [MM_PER_INCH * 11.99, 'in', "1'"],
    [3766.4, 'mm', '3766 mm'],
    [-38.1, 'in', '-1 1/2"'],
  ] as const)('%f mm in %s is %s', (mm, unit, text) => {
    expect(formatLength(mm, unit)).toBe(text);
  });
});

describe('cutting spans', () => {
  it('keeps what lies between the cuts, in order', () => {
    expect(
      subtractSpans({ from: 0, to: 10 }, [
        { from: 6, to: 7 },
        { from: 2, to: 3 },
      ]),
    ).toEqual([
      { from: 0, to: 2 },
      { from: 3, to: 6 },
      { from: 7, to: 10 },
    ]);
  });

  it('loses exactly the length of the union of the cuts', () => {
    const cut = fc
      .tuple(fc.integer({ min: -5, max: 25 }), fc.integer({ min: 1, max: 10 }))
      .map(([from, length]) => ({ from, to: from + length }));
    fc.assert(
      fc.property(fc.array(cut, { maxLength: 6 }), (cuts) => {
        const covered = Array.from({ length: 20 }, (_, cell) =>
          cuts.some(({ from, to }) => from <= cell && to > cell),
        ).filter(Boolean).length;
        expect(totalLength(subtractSpans({ from: 0, to: 20 }, cuts))).toBeCloseTo(20 - covered, 9);
      }),
    );
  });
});
