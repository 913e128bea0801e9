import { type Air, airWithVapour, vapourPressure } from './air';
import { type AirFrom, firstAfter } from './airClock';

const HOUR_MS = 3_600_000;
const FITTED_MS = 72 * HOUR_MS;
const LEAST_HOURS = 12;
/** The weather so long before the last reading is needed: the hour that the first pair lies in, and three days. */
export const WEATHER_BEFORE_MS = FITTED_MS + HOUR_MS;

/** How much of what happens outside arrives in a heated house under work, where nothing was measured of it. Common
 * practice, no source. */
const USUAL_SHARE = { temperature: 0.3, vapour: 0.6 } as const;

/**
 * The air to come inside: it follows the outdoor forecast by the share by which it has followed the weather in the last
 * three days, from where it is now.
 *
 * @param inside what was measured, in order of time, at least one
 * @param outside the weather by the hour, past and to come, in order of time
 * @param from where the forecast takes over, ms since 1970
 * @returns steps from there on; none when the forecast does not reach so far
 */
export function forecastAir(inside: readonly AirFrom[], outside: readonly AirFrom[], from: number): readonly AirFrom[] {
  const indoors = airIn(inside, from);
  const outdoors = airIn(outside, from);
  if (!indoors || !outdoors) return [];
  const share = sharesOf(inside, outside, from);
  const vapour = vapourPressure(indoors);
  const vapourOut = vapourPressure(outdoors);
  return outside.slice(firstAfter(outside, from)).map(({ from: at, air }) => ({
    from: at,
    air: airWithVapour(
      indoors.temperature + share.temperature * (air.temperature - outdoors.temperature),
      Math.max(0, vapour + share.vapour * (vapourPressure(air) - vapourOut)),
    ),
  }));
}

/** How much of the swing outside was seen inside: the slope of a straight line through the hours that were measured. */
function sharesOf(inside: readonly AirFrom[], outside: readonly AirFrom[], until: number) {
  const first = inside[0]?.from ?? until;
  const pairs = outside.flatMap(({ from, air }) => {
    const indoors = from >= Math.max(first, until - FITTED_MS) && from <= until ? airIn(inside, from) : undefined;
    return indoors ? [{ indoors, outdoors: air }] : [];
  });
  if (pairs.length < LEAST_HOURS) return USUAL_SHARE;
  const slope = (of: (air: Air) => number, usual: number) =>
    Math.min(
      1,
      Math.max(0, slopeOf(pairs.map(({ indoors, outdoors }) => [of(outdoors), of(indoors)] as const)) ?? usual),
    );
  return {
    temperature: slope(({ temperature }) => temperature, USUAL_SHARE.temperature),
    vapour: slope(vapourPressure, USUAL_SHARE.vapour),
  };
}

function slopeOf(points: readonly (readonly [x: number, y: number])[]): number | undefined {
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / points.length;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / points.length;
  const spread = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0);
  if (spread < 1e-9) return undefined;
  return points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / spread;
}

const airIn = (steps: readonly AirFrom[], at: number): Air | undefined => steps[firstAfter(steps, at) - 1]?.air;
