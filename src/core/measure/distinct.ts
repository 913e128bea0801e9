/** Values that differ, and the place among them of each that was asked for. */
export interface Distinct<Value> {
  readonly values: readonly Value[];
  readonly places: readonly number[];
}

/**
 * Tells values that say the same only once. For what is JSON.
 *
 * @example distinct(['a', 'b', 'a'])  // { values: ['a', 'b'], places: [0, 1, 0] }
 */
export function distinct<Value>(all: readonly Value[]): Distinct<Value> {
  const known = new Map<string, number>();
  const values: Value[] = [];
  const places = all.map((value) => {
    const key = JSON.stringify(value);
    const place = known.get(key) ?? values.push(value) - 1;
    known.set(key, place);
    return place;
  });
  return { values, places };
}
