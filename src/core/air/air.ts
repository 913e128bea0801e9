/** The air of a room: °C, relative humidity 0–100 %, and how fast it moves over the wall, m/s. */
export interface Air {
  readonly temperature: number;
  readonly humidity: number;
  readonly speed?: number;
}

/** Below this nothing is finished. source: ASTM C840, GA-216 (from memory) */
export const COLDEST_FOR_FINISHING_C = 10;

/** Air where none was ever measured: a heated house. Common practice, no source. */
export const ASSUMED_AIR: Air = { temperature: 20, humidity: 50 };

/** An outside wall is colder than the air by about this much: nearer to the dew point it takes up water. Common practice,
 * no source. */
const WALL_COLDER_K = 3;

/**
 * Pressure of water vapour over saturated air, kPa.
 *
 * source: ASHRAE Handbook, Fundamentals: Hyland and Wexler's formulas over ice and over water (from memory)
 *
 * @param temperature °C, −100 to 200
 */
export function saturationPressure(temperature: number): number {
  const k = temperature + 273.15;
  const log =
    temperature <= 0.01
      ? -5.6745359e3 / k +
        6.3925247 -
        9.677843e-3 * k +
        6.2215701e-7 * k ** 2 +
        2.0747825e-9 * k ** 3 -
        9.484024e-13 * k ** 4 +
        4.1635019 * Math.log(k)
      : -5.8002206e3 / k +
        1.3914993 -
        4.8640239e-2 * k +
        4.1764768e-5 * k ** 2 -
        1.4452093e-8 * k ** 3 +
        6.5459673 * Math.log(k);
  return Math.exp(log) / 1000;
}

/** Pressure of the water vapour that is in the air, kPa. */
export const vapourPressure = ({ temperature, humidity }: Air): number =>
  (saturationPressure(temperature) * humidity) / 100;

/** How much more water vapour the air could hold, kPa: what dries mud. */
export const vapourDeficit = ({ temperature, humidity }: Air): number =>
  saturationPressure(temperature) * (1 - humidity / 100);

/** Air at a temperature that holds so much water vapour (kPa); what it cannot hold condenses. */
export const airWithVapour = (temperature: number, vapour: number): Air => ({
  temperature,
  humidity: Math.min(100, Math.max(0, (100 * vapour) / saturationPressure(temperature))),
});

/**
 * The temperature at which the air would be saturated, °C; −Infinity for air without any water.
 *
 * @example dewPoint({ temperature: 21.1, humidity: 50 })  // 10.3
 */
export function dewPoint(air: Air): number {
  const pressure = vapourPressure(air);
  if (pressure <= 0) return Number.NEGATIVE_INFINITY;
  let [low, high] = [-100, air.temperature];
  // Saturation pressure grows with temperature: halving 45 times is nearer than any thermometer.
  for (let step = 0; step < 45; step += 1) {
    const middle = (low + high) / 2;
    if (saturationPressure(middle) < pressure) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What speaks against finishing in some air: too cold, too near to its dew point. */
export type AirTrouble = 'cold' | 'atDewPoint' | 'nearDewPoint';

export function airTroubles(air: Air): readonly AirTrouble[] {
  const above = air.temperature - dewPoint(air);
  return [
    ...(air.temperature < COLDEST_FOR_FINISHING_C ? (['cold'] as const) : []),
    // As long as the air takes up any water, there are hours, however many.
    ...(vapourDeficit(air) <= 0 ? (['atDewPoint'] as const) : above < WALL_COLDER_K ? (['nearDewPoint'] as const) : []),
  ];
}
