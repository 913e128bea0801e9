/** Returns whether all text in a document can be kept: the database takes neither the character 0 nor half a character. */
export function isStorable(json: unknown): boolean {
  if (typeof json === 'string') return !json.includes('\0') && isWhole(json);
  if (typeof json !== 'object' || json === null) return true;
  return Object.entries(json).every(([key, value]) => isStorable(key) && isStorable(value));
}

const isWhole = (text: string): boolean => !/[\uD800-\uDFFF]/u.test(text);
