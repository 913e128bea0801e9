/** A number from 0 to 1 that depends on nothing but what it is asked for: the same seed says the same again. */
export function chance(seed: number, ...of: readonly number[]): number {
  let hash = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b);
  for (const part of of) {
    hash = Math.imul(hash ^ (Math.floor(part) | 0), 0xc2b2ae35);
    hash ^= hash >>> 13;
    hash = Math.imul(hash, 0x27d4eb2f);
    hash ^= hash >>> 16;
  }
  return (hash >>> 0) / 2 ** 32;
}

/** A number around 0 that wanders smoothly within ±1, about so long for one swing (ms). */
export function wander(seed: number, at: number, swing: number): number {
  const place = at / swing;
  const step = Math.floor(place);
  const part = place - step;
  const smooth = part * part * (3 - 2 * part);
  const from = chance(seed, step);
  return (from + (chance(seed, step + 1) - from) * smooth) * 2 - 1;
}
