/**
 * A function that remembers, for each first argument, what it made last: asked again with the same others it works nothing out.
 * For what is made anew for every page of what seldom changes; objects are the same only when they are the same object.
 *
 * @example const doubled = memoizeLast((list: readonly number[], by: number) => list.map((one) => one * by))
 */
export function memoizeLast<Key extends object, Rest extends readonly unknown[], Value>(
  work: (key: Key, ...rest: Rest) => Value,
): (key: Key, ...rest: Rest) => Value {
  const last = new WeakMap<Key, { readonly rest: Rest; readonly value: Value }>();
  return (key, ...rest) => {
    const known = last.get(key);
    if (known?.rest.every((part, index) => part === rest[index])) return known.value;
    const value = work(key, ...rest);
    last.set(key, { rest, value });
    return value;
  };
}
