import fc from 'fast-check';
import { expect, it } from 'vitest';
import { linePath } from './linePath';

it('leaves out what lies between its neighbours, and nothing else', () => {
  expect(linePath([])).toBe('');
  expect(linePath([[1, 2]])).toBe('M1 2');
  // To a tenth, and without what is nought.
  expect(
    linePath([
      [0, 0],
      [10, 0.04],
      [20, 0],
      [20, 5.5],
    ]),
  ).toBe('M0 0L20 0L20 5.5');
  // There and back is not on the way.
  expect(
    linePath([
      [0, 0],
      [10, 0],
      [5, 0],
    ]),
  ).toBe('M0 0L10 0L5 0');
  expect(
    linePath([
      [0, 0],
      [0, 0],
      [1, 1],
      [2, 2],
      [2, 2],
    ]),
  ).toBe('M0 0L2 2');
});

it('keeps the length of any line', () => {
  const tenth = fc.integer({ min: 0, max: 40 }).map((value) => value / 10);
  const lengthOf = (places: readonly (readonly [number, number])[]) =>
    places
      .slice(1)
      .reduce(
        (sum, [x, y], index) => sum + Math.hypot(x - (places[index]?.[0] ?? 0), y - (places[index]?.[1] ?? 0)),
        0,
      );
  fc.assert(
    fc.property(fc.array(fc.tuple(tenth, tenth), { minLength: 1 }), (places) => {
      const kept = [...linePath(places).matchAll(/([\d.]+) ([\d.]+)/g)].map(
        ([, x, y]) => [Number(x), Number(y)] as const,
      );
      expect(lengthOf(kept)).toBeCloseTo(lengthOf(places), 6);
      expect([kept[0], kept.at(-1)]).toEqual([places[0], places.at(-1)]);
    }),
  );
});
