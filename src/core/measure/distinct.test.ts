import { describe, expect, it } from 'vitest';
import { distinct } from './distinct';

describe('values that differ', () => {
  it('are told once, each with the place where it is found', () => {
    const all = [{ a: 1 }, { a: 2 }, { a: 1 }, { a: 3 }, { a: 2 }];
    const { values, places } = distinct(all);
    expect(values).toEqual([{ a: 1 }, { a: 2 }, { a: 3 }]);
    expect(places.map((place) => values[place])).toEqual(all);
    expect(distinct([])).toEqual({ values: [], places: [] });
  });
});
