import { type HouseResult, readHouse } from '../../core/house/readHouse';
import { isStorable } from '../isStorable';

/** A house file that was read, why it was refused, or why it is no JSON. */
export type ReadFile = HouseResult | { readonly ok: false; readonly why: string };

/** Reads the text of a house file and checks all that is in it. */
export function readText(text: string, turn: boolean): ReadFile {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return { ok: false, why: `The file is not JSON: ${error instanceof Error ? error.message : String(error)}` };
  }
  const read = readHouse(json, { turn });
  if (read.ok && !isStorable(read.house)) return { ok: false, why: 'The file holds characters that are no text.' };
  return read;
}
