import type { Air } from './air';
import { usualHours } from './dryingHours';

/** Air that holds from an instant until the next one; instants in ms since 1970. */
export interface AirFrom {
  readonly from: number;
  readonly air: Air;
}

/**
 * The air of a room as a clock: how much drying it has done by any moment, counted in usual tape coats. Every coat of the
 * room reads the same clock, so a step in the air splits exactly for all of them.
 */
export interface AirClock<Step extends AirFrom = AirFrom> {
  readonly steps: readonly Step[];
  /** When each step begins, ms since 1970; the first also holds for what lies before it, the last holds on. */
  readonly from: Float64Array;
  /** Usual coats dried since the first step began, at the beginning of each. */
  readonly dried: Float64Array;
  /** Usual coats dried per millisecond in each step. */
  readonly rate: Float64Array;
}

const HOUR_MS = 3_600_000;

/**
 * @param steps in order of time, at least one
 */
export function airClock<Step extends AirFrom>(steps: readonly Step[]): AirClock<Step> {
  const from = new Float64Array(steps.length);
  const dried = new Float64Array(steps.length);
  const rate = new Float64Array(steps.length);
  let [sum, before, rateBefore] = [0, 0, 0];
  for (let index = 0; index < steps.length; index += 1) {
    const step = steps[index];
    if (!step) continue;
    if (index > 0) sum += (step.from - before) * rateBefore;
    before = step.from;
    rateBefore = 1 / (usualHours(step.air) * HOUR_MS);
    from[index] = before;
    dried[index] = sum;
    rate[index] = rateBefore;
  }
  return { steps, from, dried, rate };
}

/** The step of the air in which an instant lies. */
export function stepAt<Step extends AirFrom>({ steps, from }: AirClock<Step>, at: number): Step {
  const step = steps[placeAt(from, at)];
  if (!step) throw new Error('a clock has at least one step');
  return step;
}

/**
 * How much drying the air does between two instants, in usual tape coats.
 *
 * @example driedBetween(airClock([{ from: 0, air: { temperature: 21.1, humidity: 50 } }]), 0, 17 * 3_600_000)  // 1
 */
export const driedBetween = (clock: AirClock, start: number, end: number): number =>
  driedUntil(clock, end) - driedUntil(clock, start);

/**
 * When the air has done so much drying since an instant, located exactly within its step.
 *
 * @param amount usual tape coats
 * @returns ms since 1970; Infinity when it never will
 */
export function whenDried(clock: AirClock, start: number, amount: number): number {
  const goal = driedUntil(clock, start) + amount;
  const { from, dried, rate } = clock;
  const index = Math.max(0, lastAtMost(dried, goal));
  const speed = rate[index] ?? 0;
  if (speed > 0) return (from[index] ?? 0) + (goal - (dried[index] ?? 0)) / speed;
  return goal > (dried[index] ?? 0) ? Number.POSITIVE_INFINITY : Math.max(start, from[index] ?? 0);
}

function driedUntil({ from, dried, rate }: AirClock, at: number): number {
  const index = placeAt(from, at);
  return (dried[index] ?? 0) + (at - (from[index] ?? 0)) * (rate[index] ?? 0);
}

const placeAt = (from: Float64Array, at: number): number => Math.max(0, lastAtMost(from, at));

/** The last place of sorted numbers that is at most a value; −1 before the first. */
function lastAtMost(sorted: Float64Array, value: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] ?? 0) <= value) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}
