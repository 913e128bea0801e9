import { describe, expect, it } from 'vitest';
import { INES, TOBIN } from '../../../tests/houses/logEntry';
import { HOUR, iso, type Said, told } from '../../../tests/houses/roomLog';
import { handedIn, heldAt, isGivenAlike } from './roomState';

describe('who has a room, and its work', () => {
  const HELD: readonly (readonly [words: string, until: number | undefined, at: number, is: boolean])[] = [
    ['nobody knows how long', undefined, 1000, true],
    ['until an hour that has not come', 5, 4.9, true],
    ['until an hour that has come', 5, 5, false],
    ['until an hour that has passed', 5, 6, false],
  ];
  it.each(HELD)('it is held while %s', (_words, until, at, is) => {
    const state = told([1, 'held', { why: 'tile', ...(until !== undefined && { until: iso(until) }) }]);
    expect(heldAt(state, at * HOUR) !== undefined).toBe(is);
  });

  const give = (hours: number, work: string, ...people: string[]): Said => [
    hours,
    'assigned',
    { work, people, day: '2031-05-06' },
  ];
  const GIVEN: readonly (readonly [
    words: string,
    said: readonly Said[],
    work: string,
    block: 'walls' | 'ceiling' | undefined,
    to: readonly string[] | undefined,
  ])[] = [
    ['nothing was said', [[0, 'released']], 'fill.flat', undefined, undefined],
    ['the whole pass', [give(1, 'fill', TOBIN)], 'fill.flat', undefined, [TOBIN]],
    ['this kind of its work', [give(1, 'fill.flat', TOBIN)], 'fill.flat', undefined, [TOBIN]],
    ['another kind of its work', [give(1, 'fill.angle', TOBIN)], 'fill.flat', undefined, undefined],
    ['the pass, then the kind', [give(1, 'fill', TOBIN), give(2, 'fill.flat', INES)], 'fill.flat', undefined, [INES]],
    ['the kind, then the pass', [give(1, 'fill.flat', INES), give(2, 'fill', TOBIN)], 'fill.flat', undefined, [TOBIN]],
    ['it was let go', [give(1, 'fill', TOBIN), give(2, 'fill.flat')], 'fill.flat', undefined, undefined],
    ['its walls, and the walls are asked for', [give(1, 'fill.flat@walls', TOBIN)], 'fill.flat', 'walls', [TOBIN]],
    ['its walls, and the ceiling is asked for', [give(1, 'fill.flat@walls', TOBIN)], 'fill.flat', 'ceiling', undefined],
    ['its walls, and the whole is asked for', [give(1, 'fill.flat@walls', TOBIN)], 'fill.flat', undefined, undefined],
    ['the walls of the pass', [give(1, 'fill@walls', TOBIN)], 'fill.flat', 'walls', [TOBIN]],
  ];
  it.each(GIVEN)('given was: %s', (_words, said, work, block, to) => {
    expect(handedIn(told(...said), work, 'fill', block)?.people).toEqual(to);
  });

  it.each([
    ['neither to anybody', undefined, undefined, true],
    ['one to somebody', { people: [TOBIN], day: 'a' }, undefined, false],
    ['both alike', { people: [TOBIN], day: 'a' }, { people: [TOBIN], day: 'a' }, true],
    ['for another day', { people: [TOBIN], day: 'a' }, { people: [TOBIN], day: 'b' }, false],
    ['to another one', { people: [TOBIN], day: 'a' }, { people: [INES], day: 'a' }, false],
  ] as const)('two are given alike: %s', (_words, a, b, is) => {
    expect(isGivenAlike(a, b)).toBe(is);
  });
});
