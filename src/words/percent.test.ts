import { describe, expect, it } from 'vitest';
import { percent } from './percent';

describe('a part as whole percent', () => {
  it.each([
    [0, 0],
    [1e-9, 0],
    [0.001, 1],
    [0.126, 13],
    [0.5, 50],
    [0.998, 99],
    [1 - 1e-9, 100],
    [1, 100],
  ])('%d is %d', (part, whole) => {
    expect(percent(part)).toBe(whole);
  });
});
