import { type Air, airWithVapour, saturationPressure } from '../src/core/air/air';
import type { AirFrom } from '../src/core/air/airClock';
import { wander } from './noise';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/**
 * Made-up weather of a cool season at an instant: days and nights, fronts that pass, damp that comes with them.
 *
 * @param at ms since 1970
 */
export function weatherAt(seed: number, at: number): Air {
  const afternoon = Math.cos(((at - 20 * HOUR_MS) / DAY_MS) * 2 * Math.PI);
  const front = wander(seed, at, 3 * DAY_MS);
  const temperature = 8 + 4 * afternoon + 6 * front + 0.8 * wander(seed + 1, at, 4 * HOUR_MS);
  // The air brings its water along; at night it comes near to its dew point.
  const vapour = saturationPressure(2.5 + 6 * front + 1.5 * wander(seed + 2, at, DAY_MS));
  return airWithVapour(temperature, vapour);
}

/** The weather by the hour, each from the whole hour on. */
export function weatherHours(seed: number, from: number, to: number): readonly AirFrom[] {
  const first = Math.ceil(from / HOUR_MS);
  const last = Math.floor(to / HOUR_MS);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => {
    const at = (first + index) * HOUR_MS;
    return { from: at, air: weatherAt(seed, at) };
  });
}

const round = (value: number): number => Math.round(value * 10) / 10;

/** A report as a weather service would send it: hours that were and hours to come. */
export const weatherReport = (seed: number, now: number) => ({
  hours: weatherHours(seed, now - 3 * DAY_MS, now + 4 * DAY_MS).map(({ from, air }) => ({
    at: new Date(from).toISOString(),
    temperature: round(air.temperature),
    humidity: round(air.humidity),
  })),
});
