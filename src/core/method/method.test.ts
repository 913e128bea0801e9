import { describe, expect, it } from 'vitest';
import { isAngle } from '../joints/classTraits';
import { COATED_CLASSES } from './coat';
import { coatKeysFor } from './coatKeysFor';
import { coatsFor } from './coatsFor';
import { usualMethod } from './resolveMethod';
import { roundsOf } from './roomCoats';

const LEVELS = [0, 1, 2, 3, 4, 5] as const;

describe('coats of the three-coat hand method', () => {
  it('run one side of an angle per round, the second sides a round after the first', () => {
    const coats = coatsFor('angle', usualMethod(4));
    expect(coats.map(({ id }) => id)).toEqual(['angle.tape', 'angle.fill.first', 'angle.fill.second']);
    expect(coats.map(({ round }) => round)).toEqual(['tape', 'fill', 'finish']);
  });

  it('widen their knives, and never use one narrower than the tape after the tape coat', () => {
    for (const kind of COATED_CLASSES) {
      const widths = coatsFor(kind, usualMethod(4)).map(({ tool }) => tool.width);
      expect(
        [...widths].sort((a, b) => a - b),
        kind,
      ).toEqual(widths);
    }
    expect(coatsFor('butt', usualMethod(4)).map(({ tool: { width } }) => Math.round(width / 25.4))).toEqual([
      6, 12, 14,
    ]);
  });

  it('never grow fewer as the level rises', () => {
    for (const kind of COATED_CLASSES) {
      const counts = LEVELS.map((level) => coatKeysFor(kind, level).length);
      expect(
        [...counts].sort((a, b) => a - b),
        kind,
      ).toEqual(counts);
    }
  });

  it('make three rounds of a level 4 room and one of a level 2 room', () => {
    const rounds = (level: 2 | 4) => roundsOf(COATED_CLASSES.flatMap((kind) => coatsFor(kind, usualMethod(level))));
    expect(rounds(4)).toEqual(['tape', 'fill', 'finish']);
    expect(rounds(2)).toEqual(['tape']);
  });

  it('give every angle coat after the tape a side, and nothing else one', () => {
    for (const kind of COATED_CLASSES) {
      for (const coat of coatsFor(kind, usualMethod(5)))
        expect(coat.side !== undefined, coat.id).toBe(isAngle(kind) && coat.key !== 'tape');
    }
  });
});
