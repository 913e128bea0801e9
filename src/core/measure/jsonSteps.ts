import type { Steps } from './steps';

/** So many elements of a list are written in one step. */
const CHUNK = 100;

/**
 * Writes plain data as JSON in steps, the same text as `JSON.stringify`.
 *
 * @example allSteps(jsonSteps({ a: [1, undefined], b: undefined }))  // '{"a":[1,null]}'
 */
export function* jsonSteps(value: unknown): Steps<string> {
  if (Array.isArray(value)) {
    const parts: string[] = [];
    for (let from = 0; from < value.length; from += CHUNK) {
      parts.push(JSON.stringify(value.slice(from, from + CHUNK)).slice(1, -1));
      yield;
    }
    return `[${parts.join(',')}]`;
  }
  if (typeof value !== 'object' || value === null || Object.getPrototypeOf(value) !== Object.prototype)
    return JSON.stringify(value);
  const parts: string[] = [];
  for (const [key, own] of Object.entries(value)) {
    const text = yield* jsonSteps(own);
    if (text !== undefined) parts.push(`${JSON.stringify(key)}:${text}`);
  }
  return `{${parts.join(',')}}`;
}
