import { describe, expect, it } from 'vitest';
import { isAwayPath } from './stations';

describe('a page that works without a server', () => {
  it.each([
    ['/h/1/my-day', true],
    ['/h/1/board', true],
    ['/h/1/walk', true],
    ['/h/1/run', false],
    ['/h/1/board/2', false],
    ['/h//board', false],
    ['/x/1/board', false],
    ['/', false],
  ])('%s: %s', (path, is) => {
    expect(isAwayPath(path)).toBe(is);
  });
});
