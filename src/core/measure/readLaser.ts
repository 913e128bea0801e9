import { type LengthResult, parseLength } from './parseLength';

/** Nearer than this is the measure's own length; farther no room goes. */
const NEAREST_MM = 20;
const FARTHEST_MM = 60_000;

/**
 * A reading of a laser measure as it sends it: a length with its unit.
 *
 * @example readLaser('3.766 m')  // { ok: true, mm: 3766 }
 */
export function readLaser(line: string): LengthResult {
  const text = line.trim().replace(/^(\d+),(\d+)/, '$1.$2');
  const read = parseLength(text, 'mm');
  if (!read.ok) return read;
  if (!/[a-z'"’′″”]/i.test(text)) return refused('says no unit: 3.766 m, 3766 mm, 12\' 4 1/2", 148.5 in');
  if (read.mm < NEAREST_MM) return refused('is too near to be a length');
  return read.mm > FARTHEST_MM ? refused('is farther than any room') : read;
}

const refused = (reason: string): LengthResult => ({ ok: false, reason, at: 0 });
