import type { Air } from './air';

/** Air that holds from an instant until the next one; instants in ms since 1970. */
export interface AirFrom {
  readonly from: number;
  readonly air: Air;
}

const HOUR_MS = 3_600_000;

/**
 * When a coat is dry: progress is the integral of 1 / hours over the air it had, and the last air holds on. The first
 * air also counts for what lies before it.
 *
 * @param start when it was put on, ms since 1970
 * @param history in order of time, at least one
 * @param hoursIn hours that the coat would take in one air throughout
 * @returns ms since 1970; Infinity when it never dries
 * @example dryAt(start, [{ from: start, air }], () => 17) - start  // 17 h in ms
 */
export function dryAt(start: number, history: readonly AirFrom[], hoursIn: (air: Air) => number): number {
  let left = 1;
  let at = start;
  for (const [index, { air }] of history.entries()) {
    const end = history[index + 1]?.from ?? Number.POSITIVE_INFINITY;
    if (end <= at) continue;
    const whole = hoursIn(air) * HOUR_MS;
    const finish = at + left * whole;
    if (finish <= end) return finish;
    left -= (end - at) / whole;
    at = end;
  }
  return Number.POSITIVE_INFINITY;
}

/**
 * How far a coat has dried at an instant, 0–1: the same integral as `dryAt`.
 *
 * @param at ms since 1970
 */
export function drynessAt(
  start: number,
  at: number,
  history: readonly AirFrom[],
  hoursIn: (air: Air) => number,
): number {
  let done = 0;
  for (const [index, { from, air }] of history.entries()) {
    const begin = index === 0 ? start : Math.max(start, from);
    const end = Math.min(at, history[index + 1]?.from ?? Number.POSITIVE_INFINITY);
    if (end > begin) done += (end - begin) / (hoursIn(air) * HOUR_MS);
  }
  return Math.min(1, done);
}
