import { describe, expect, it } from 'vitest';
import { minutesTyped } from './minutesTyped';

describe('minutes as they are typed', () => {
  it.each([
    ['', undefined],
    ['  ', undefined],
    ['7', 7],
    ['7,5', 7.5],
    ['0', 0],
    ['1440', 1440],
    ['1441', 'wrong'],
    ['-1', 'wrong'],
    ['ten', 'wrong'],
  ])('%j', (typed, minutes) => {
    expect(minutesTyped(typed)).toBe(minutes);
  });
});
