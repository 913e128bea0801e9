/** A set with a value put in where it was not, and taken out where it was. */
export function turned<Value>(set: ReadonlySet<Value>, value: Value): ReadonlySet<Value> {
  const next = new Set(set);
  if (!next.delete(value)) next.add(value);
  return next;
}
