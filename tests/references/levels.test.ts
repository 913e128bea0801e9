import { describe, expect, it } from 'vitest';
import type { CoatedClass } from '@/core/method/coat';
import { coatKeysFor } from '@/core/method/coatKeysFor';
import type { Level } from '@/core/room/level';

// source: Gypsum Association GA-214; ASTM C840 (from memory)
describe('levels of finish', () => {
  const coats = (kind: CoatedClass, level: Level) => coatKeysFor(kind, level).length;

  it.each([
    // level, flats and butts (with the tape coat), angles, fasteners and accessories, whole surface
    [0, 0, 0, 0, 0],
    [1, 1, 1, 0, 0],
    [2, 1, 1, 1, 0],
    [3, 2, 2, 2, 0],
    [4, 3, 2, 3, 0],
    [5, 3, 2, 3, 1],
  ] as const)(
    'level %i: seams %i, angles %i, fasteners and bead %i, surface %i',
    (level, seams, angles, accessories, surface) => {
      expect([coats('flat', level), coats('butt', level), coats('angle', level)]).toEqual([seams, seams, angles]);
      expect([coats('fasteners', level), coats('bead', level)]).toEqual([accessories, accessories]);
      expect(coats('surface', level)).toBe(surface);
    },
  );
});
