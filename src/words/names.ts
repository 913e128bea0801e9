/**
 * What people are called, from their ids.
 *
 * @example namesIn(people)([tobin, ines])  // 'Tobin and Ines'
 */
export function namesIn(people: readonly { readonly id: string; readonly name: string }[]) {
  const names = new Map(people.map(({ id, name }) => [id, name]));
  return (ids: readonly string[]): string => {
    const all = ids.map((id) => names.get(id) ?? 'somebody');
    return all.length < 2 ? (all[0] ?? 'nobody') : `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`;
  };
}
