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
  /** The first also holds for what lies before it, the last holds on. */
  readonly steps: readonly Step[];
  /** Usual coats dried since the first step began, at the beginning of each. */
  readonly dried: Float64Array;
  /** Usual coats dried per millisecond in the last step. */
  readonly lastRate: number;
}

const HOUR_MS = 3_600_000;

/**
 * @param steps in order of time, at least one
 */
export function airClock<Step extends AirFrom>(steps: readonly Step[]): AirClock<Step> {
  const dried = new Float64Array(steps.length);
  let sum = 0;
  let rate = 0;
  let before: Step | undefined;
  for (let index = 0; index < steps.length; index += 1) {
    const step = steps[index];
    if (!step) continue;
    if (before) sum += (step.from - before.from) * rate;
    dried[index] = sum;
    // A sensor mostly says what it said a minute ago.
    if (!before || !isSameAir(before.air, step.air)) rate = 1 / (usualHours(step.air) * HOUR_MS);
    before = step;
  }
  return { steps, dried, lastRate: rate };
}

const isSameAir = (a: Air, b: Air): boolean =>
  a.temperature === b.temperature && a.humidity === b.humidity && a.speed === b.speed;

/** The step of the air in which an instant lies. */
export function stepAt<Step extends AirFrom>({ steps }: AirClock<Step>, at: number): Step {
  const step = steps[placeAt(steps, at)];
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
  const { steps, dried } = clock;
  const index = Math.max(0, firstWhere(dried.length, (place) => (dried[place] ?? 0) > goal) - 1);
  const rate = rateIn(clock, index);
  const from = steps[index]?.from ?? 0;
  if (rate > 0) return from + (goal - (dried[index] ?? 0)) / rate;
  return goal > (dried[index] ?? 0) ? Number.POSITIVE_INFINITY : Math.max(start, from);
}

function driedUntil(clock: AirClock, at: number): number {
  const index = placeAt(clock.steps, at);
  return (clock.dried[index] ?? 0) + (at - (clock.steps[index]?.from ?? 0)) * rateIn(clock, index);
}

/** Usual coats dried per millisecond in a step. */
function rateIn({ steps, dried, lastRate }: AirClock, index: number): number {
  const [step, next] = [steps[index], steps[index + 1]];
  return step && next ? ((dried[index + 1] ?? 0) - (dried[index] ?? 0)) / (next.from - step.from) : lastRate;
}

const placeAt = (steps: readonly AirFrom[], at: number): number => Math.max(0, firstAfter(steps, at) - 1);

/** The first of steps in order of time that begins after an instant. */
export const firstAfter = (steps: readonly AirFrom[], at: number): number =>
  firstWhere(steps.length, (place) => (steps[place]?.from ?? 0) > at);

/** The first of so many places from which on something holds; their number where it holds nowhere. */
function firstWhere(count: number, holds: (place: number) => boolean): number {
  let [low, high] = [0, count];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (holds(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}
