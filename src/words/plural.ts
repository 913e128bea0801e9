/**
 * So many of something.
 *
 * @example plural(2, 'room')  // '2 rooms'
 */
export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
