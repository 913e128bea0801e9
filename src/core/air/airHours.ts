import type { Air } from './air';
import type { AirFrom } from './airClock';

/** The air of one hour as one device saw it. */
export interface AirHour {
  readonly device: string;
  /** '' for readings of no one room. */
  readonly room: string;
  /** When it begins, ms since 1970. */
  readonly hour: number;
  /** The batch of readings that changed it last. */
  readonly batch: number;
  readonly count: number;
  readonly mean: Air;
  /** Each reading, where they are told one by one. */
  readonly readings?: readonly AirFrom[];
}

/** An hour with so few readings counts reading by reading: what was read by hand holds from when it was read. */
export const SELDOM = 2;

/**
 * The readings of one place as steps in order of time: the mean of each hour, but each reading where they are few, and in
 * the newest hour of a device, so that what it said last is what holds. Devices that read the same hour through count by
 * how often they did.
 */
export function stepsOfHours(hours: readonly AirHour[]): readonly AirFrom[] {
  const newest = new Map<string, number>();
  for (const { device, hour } of hours) newest.set(device, Math.max(hour, newest.get(device) ?? hour));
  const steps = hours.flatMap(({ device, hour, count, mean, readings }) =>
    readings && (count <= SELDOM || newest.get(device) === hour)
      ? readings.map((step) => ({ step, weight: 1 }))
      : [{ step: { from: hour, air: mean }, weight: count }],
  );
  steps.sort((a, b) => a.step.from - b.step.from);
  const out: AirFrom[] = [];
  let weight = 0;
  for (const next of steps) {
    const last = out.at(-1);
    if (last?.from !== next.step.from) {
      out.push(next.step);
      weight = next.weight;
      continue;
    }
    out[out.length - 1] = mixed(last, weight, next.step, next.weight);
    weight += next.weight;
  }
  return out;
}

function mixed({ from, air: a }: AirFrom, weightA: number, { air: b }: AirFrom, weightB: number): AirFrom {
  const mean = (one: number, other: number) => (one * weightA + other * weightB) / (weightA + weightB);
  const speed = a.speed !== undefined && b.speed !== undefined ? mean(a.speed, b.speed) : (a.speed ?? b.speed);
  return {
    from,
    air: {
      temperature: mean(a.temperature, b.temperature),
      humidity: mean(a.humidity, b.humidity),
      ...(speed === undefined ? {} : { speed }),
    },
  };
}
