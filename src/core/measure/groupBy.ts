/** A list in groups that share a key, in the order in which the keys come. */
export function groupBy<One, Key>(list: Iterable<One>, keyOf: (one: One) => Key): Map<Key, One[]> {
  const groups = new Map<Key, One[]>();
  for (const one of list) {
    const key = keyOf(one);
    const known = groups.get(key);
    if (known) known.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}
