import { describe, expect, it } from 'vitest';
import { surpriseWords } from './surpriseWords';

const HOUR = 3_600_000;

describe('a touch check far from the clock', () => {
  it.each([
    ['white', 7, '7 h earlier than expected.'],
    ['white', 1, undefined],
    ['white', -5, undefined],
    ['grey', -4, '4 h later than expected.'],
    ['patchy', -3, '3 h later than expected.'],
    ['grey', 6, undefined],
    ['white', Number.POSITIVE_INFINITY, 'The clock had it wet until the air is drier.'],
  ] as const)('%s with %s h to go by the clock: %s', (found, hours, words) => {
    expect(surpriseWords(found, hours * HOUR)).toBe(words);
  });
});
