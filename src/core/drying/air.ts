/** The air of a room: °C, relative humidity 0–100 %, and how fast it moves over the wall, m/s. */
export interface Air {
  readonly temperature: number;
  readonly humidity: number;
  readonly speed?: number;
}

/** Below this nothing is finished. source: ASTM C840, GA-216 (from memory) */
export const COLDEST_FOR_FINISHING_C = 10;

/**
 * Pressure of water vapour over saturated air, kPa.
 *
 * source: ASHRAE Handbook, Fundamentals: Hyland and Wexler's formulas over ice and over water (from memory)
 *
 * @param temperature °C, −100 to 200
 */
export function saturationPressure(temperature: number): number {
  const kelvin = temperature + 273.15;
  const [c1, c2, c3, c4, c5, c6, c7] =
    temperature <= 0.01
      ? [-5.6745359e3, 6.3925247, -9.677843e-3, 6.2215701e-7, 2.0747825e-9, -9.484024e-13, 4.1635019]
      : [-5.8002206e3, 1.3914993, -4.8640239e-2, 4.1764768e-5, -1.4452093e-8, 0, 6.5459673];
  const log =
    c1 / kelvin + c2 + c3 * kelvin + c4 * kelvin ** 2 + c5 * kelvin ** 3 + c6 * kelvin ** 4 + c7 * Math.log(kelvin);
  return Math.exp(log) / 1000;
}

/** How much more water vapour the air could hold, kPa: what dries mud. */
export const vapourDeficit = ({ temperature, humidity }: Air): number =>
  saturationPressure(temperature) * (1 - humidity / 100);
