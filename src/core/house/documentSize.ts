import { type Problem, pathText } from '../room/problem';

/** The largest document that is read: values in all, values in one list or object, and one in another. */
export interface DocumentBounds {
  readonly values: number;
  readonly list: number;
  readonly depth: number;
}

/** A request without a file: the largest is a file of readings. */
export const REQUEST_BOUNDS: DocumentBounds = { values: 60_000, list: 5000, depth: 16 };
/** A house of 2,000 rooms has 300,000 values. */
const HOUSE: DocumentBounds = { values: 1_000_000, list: 10_000, depth: 16 };

const inWords = (count: number): string => count.toLocaleString('en-US');

/**
 * Finds out whether a document is so large that it would take long to check; of any other this takes milliseconds.
 *
 * @returns the first problem, or none
 */
export function checkDocumentSize(json: unknown, { values, list, depth }: DocumentBounds = HOUSE): readonly Problem[] {
  let left = values;
  /** Tells where it is too large, from the inside out, and why. */
  const lookAt = (
    value: unknown,
    deep: number,
  ): { readonly steps: PropertyKey[]; readonly reason: string } | undefined => {
    left -= 1;
    if (left < 0) return { steps: [], reason: `more than ${inWords(values)} values are more than can be read at once` };
    if (typeof value !== 'object' || value === null) return undefined;
    if (deep > depth) return { steps: [], reason: `is nested more than ${depth} deep` };
    const entries: readonly (readonly [PropertyKey, unknown])[] = Array.isArray(value)
      ? [...value.entries()]
      : Object.entries(value);
    if (entries.length > list) return { steps: [], reason: `must hold at most ${inWords(list)}` };
    for (const [key, one] of entries) {
      const found = lookAt(one, deep + 1);
      if (found) {
        found.steps.push(key);
        return found;
      }
    }
    return undefined;
  };
  const found = lookAt(json, 0);
  return found ? [{ path: pathText(found.steps.toReversed()), reason: found.reason }] : [];
}
