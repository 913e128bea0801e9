import { describe, expect, it } from 'vitest';
import type { LengthUnit } from '../measure/unit';
import { parseQuickLine } from './parseQuickLine';

const read = (line: string, unit: LengthUnit = 'in') => parseQuickLine(line, { unit, hang: {} });

/** The reason and the line after the button, or after each of its lines where it makes two. */
function mended(line: string, unit: LengthUnit = 'in') {
  const reading = read(line, unit);
  const { reason, mend } = reading.ok
    ? { reason: reading.hint?.reason, mend: reading.hint?.mend }
    : { reason: reading.reason, mend: reading.mend };
  const after = mend?.line(line) ?? '';
  return { reason, label: mend?.label, after, reads: after.split('\n').map((one) => read(one, unit).ok) };
}

describe('walls that do not close', () => {
  it.each([
    ["Hall: r 20' d 11' l 20'", "they end 11' below the start", "Add 11' up", "Hall: r 20' d 11' l 20' u 11'"],
    [
      "Den: r 20' d 12' l 8' d 6', h 9'",
      "they end 12' to the right of the start and 18' below the start",
      "Add 12' left and 18' up",
      "Den: r 20' d 12' l 8' d 6' l 12' u 18', h 9'",
    ],
    ["Den: r 12' d 10' l 12' u 16'", "they end 6' above the start", "Make wall 4 10'", "Den: r 12' d 10' l 12' u 10'"],
    [
      "Den: r 12' d 10' l 9' u 10'",
      "they end 3' to the right of the start",
      "Make wall 3 12'",
      "Den: r 12' d 10' l 12' u 10'",
    ],
    ["Hall: l 20' d 11' r 20'", "they end 11' below the start", "Add 11' up", "Hall: l 20' d 11' r 20' u 11'"],
    [
      "Den: r 12' d 10' l 11'9 u 10'",
      'they end 3" to the right of the start',
      'Spread it over the 4 walls',
      "Den: r 12' d 10' l 11'9 u 10' spread",
    ],
  ])('%s', (line, reason, label, after) => {
    expect(mended(line)).toEqual({ reason: `the walls do not close: ${reason}`, label, after, reads: [true] });
  });
});

describe('words that people try', () => {
  it.each([
    ["Family: 20' x 14' x 8', vault 4'", '"vault" is typed as a gable', "Family: 20' x 14' x 8', gable 4' walls 1 3"],
    ["Attic: 20' x 14' x 8', sloped", '"sloped" is typed as a shed', "Attic: 20' x 14' x 8', shed 4' wall 1"],
    [
      "Hall: 20' x 14' x 8', bulkhead, level 5",
      '"bulkhead" is typed as a soffit',
      "Hall: 20' x 14' x 8', soffit 24x12 wall 1 from 2' to 8', level 5",
    ],
    ["Den: 20' x 14' x 8', slider 72x80", '"slider" is typed as a door', "Den: 20' x 14' x 8', door 72x80 wall 2"],
    [
      "Den: 20' x 14' x 8', archway",
      '"archway" is typed as an opening',
      "Den: 20' x 14' x 8', opening 60x84 wall 3 at 2' bead arch 18",
    ],
    [
      "Den: 20' x 14' x 8', cased opening 48 x 80",
      '"cased" is typed as an opening',
      "Den: 20' x 14' x 8', opening 48x80 wall 3 casing",
    ],
    ["Den: 20' x 14' x 8', post", '"post" is typed as a column', "Den: 20' x 14' x 8', column 8x8 at 5' x 4'"],
    [
      "Bed 2 12' x 10' x 8', closet 5'x2', level 3",
      'A closet is a room of its own, on its own line.',
      "Bed 2 12' x 10' x 8', level 3\nBed closet: 5'x2'",
    ],
    [
      "Den 20' x 15' x 9', l-shaped",
      'Walk along the walls instead of typing a length and a width.',
      "Den: r 20' d 7'6 l 10' d 7'6 l 10' u",
    ],
  ])('refuses %s and says how it is typed', (line, reason, after) => {
    const hint = mended(line);
    expect(hint.reason).toContain(reason);
    expect(hint.after).toBe(after);
    expect(hint.reads.every(Boolean)).toBe(true);
  });

  it.each([
    ["L-shaped den 20' x 16' x 9', level 5", "L-shaped den: r 20' d 8' l 10' d 8' l 10' u, h 9', level 5"],
    ["Bay room 16' x 12'", "Bay room: r 16' d 12' l 4' dl 2' x 2' l 4' ul 2' x 2' l 4' u, h 8'"],
    ["Vaulted living 16' x 12' x 8'", "Vaulted living 16' x 12' x 8', gable 5' walls 1 3"],
  ])('reads %s as a box, and hints at its shape', (line, after) => {
    expect(read(line).ok).toBe(true);
    expect(mended(line)).toMatchObject({ after, reads: [true] });
    const again = read(after);
    expect(again.ok && again.hint).toBeUndefined();
  });

  it('reads and writes them in mm too', () => {
    expect(mended('L-shaped den 6000 x 4500 x 2500', 'mm')).toMatchObject({
      after: 'L-shaped den: r 6000 d 2250 l 3000 d 2250 l 3000 u, h 2500',
      reads: [true],
    });
    expect(mended('Den 6000 x 4500, closet', 'mm').after).toBe('Den 6000 x 4500\nDen closet: 1800 x 600');
  });

  it.each(["Pantry 7' x 5'", "Closet 6' x 2'", "Bed 12' x 10', door 32x80", "Bayside room 12' x 10'"])(
    'leaves %s alone',
    (line) => {
      const reading = read(line);
      expect(reading.ok && reading.hint).toBe(undefined);
    },
  );
});
