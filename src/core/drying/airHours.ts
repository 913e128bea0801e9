import type { AirFrom } from './airClock';

/** The air of one hour as one device saw it: its mean, or each reading where it read seldom. */
export interface AirHour {
  readonly device: string;
  /** '' for readings of no one room. */
  readonly room: string;
  /** When it begins, ms since 1970. */
  readonly hour: number;
  /** The batch of readings that changed it last. */
  readonly batch: number;
  readonly count: number;
  readonly steps: readonly AirFrom[];
}

/**
 * The readings of one place as steps in order of time. Devices that read the same hour through count by how often they
 * did; what was read seldom stands beside them from when it was read.
 */
export function stepsOfHours(hours: readonly AirHour[]): readonly AirFrom[] {
  const steps = hours.flatMap(({ steps: own, count }) => own.map((step) => ({ step, weight: count / own.length })));
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
