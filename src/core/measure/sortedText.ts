/**
 * A value as text that does not depend on the order of its keys: the database hands documents back in an order of its own.
 *
 * @example sortedText({ b: 1, a: 2 }) === sortedText({ a: 2, b: 1 })
 */
export const sortedText = (value: unknown): string =>
  JSON.stringify(value, (_, part: unknown) =>
    part !== null && typeof part === 'object' && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1)))
      : part,
  );
