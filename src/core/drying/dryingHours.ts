import { celsiusFromFahrenheit, fahrenheitFromCelsius, MM_PER_INCH } from '../measure/unit';
import { type Air, vapourDeficit } from './air';
import { TABLE_FAHRENHEIT, TABLE_HOURS } from './handbookTable';

/** A tape coat is about 1/16 in thick. Common practice, no source. */
export const USUAL_THICKNESS_MM = MM_PER_INCH / 16;

/** A 3/8–1/2 in fill takes about a week in the air in which a tape coat takes 17 h (70 °F, 50 %): hours grow with
 * thickness by this exponent, between evaporation (1) and diffusion (2). Calibrated; common practice, no source. */
const THICKNESS_EXPONENT = Math.log((7 * 24) / 17) / Math.log(7 / 16 / (1 / 16));

/** source: ASHRAE Handbook, HVAC Applications, natatoriums (from memory): evaporation grows as 1 + 0.879 V, V in m/s. */
const AIR_SPEED_FACTOR = 0.0782 / 0.089;

/**
 * Hours until a coat of drying mud is dry in air that does not change: the handbook's table interpolated in the logarithm
 * of hours, scaled for thickness and moving air. Outside the table the vapour-pressure law carries on from its border.
 *
 * @param thickness mm
 * @returns hours; Infinity in saturated air
 * @example dryingHours({ temperature: 21.1, humidity: 50 })  // 17
 */
export function dryingHours(air: Air, thickness = USUAL_THICKNESS_MM): number {
  const still = stillAirHours(air);
  return (still * (thickness / USUAL_THICKNESS_MM) ** THICKNESS_EXPONENT) / (1 + AIR_SPEED_FACTOR * (air.speed ?? 0));
}

function stillAirHours(air: Air): number {
  if (air.humidity >= 100) return Number.POSITIVE_INFINITY;
  const fahrenheit = fahrenheitFromCelsius(air.temperature);
  const insideF = clamp(fahrenheit, 32, 100);
  const insideHumidity = clamp(air.humidity, 0, 98);
  const table = tableHours(insideF, insideHumidity);
  if (insideF === fahrenheit && insideHumidity === air.humidity) return table;
  const border = { temperature: celsiusFromFahrenheit(insideF), humidity: insideHumidity };
  return (table * lawHours(air)) / lawHours(border);
}

/**
 * The law that the table follows: hours fall with the vapour-pressure deficit. Fitted on the table, which it misses by 6 %
 * in the median and 27 % at worst.
 */
export const lawHours = (air: Air): number => 20.35 * vapourDeficit(air) ** -0.939;

function tableHours(fahrenheit: number, humidity: number): number {
  const row = bracket(
    TABLE_HOURS.map((entry) => entry.humidity),
    humidity,
  );
  const column = bracket(TABLE_FAHRENHEIT, fahrenheit);
  const logHours = (rowIndex: number, columnIndex: number) =>
    Math.log(TABLE_HOURS[rowIndex]?.hours[columnIndex] ?? Number.NaN);
  const along = (rowIndex: number) =>
    mix(logHours(rowIndex, column.index), logHours(rowIndex, column.index + 1), column.part);
  return Math.exp(mix(along(row.index), along(row.index + 1), row.part));
}

/** The cell of sorted stops that holds a value, and how far into it the value lies. */
function bracket(stops: readonly number[], value: number): { readonly index: number; readonly part: number } {
  const index = Math.min(
    stops.length - 2,
    Math.max(
      0,
      stops.findLastIndex((stop) => stop <= value),
    ),
  );
  const from = stops[index] ?? 0;
  const to = stops[index + 1] ?? 1;
  return { index, part: (value - from) / (to - from) };
}

const mix = (a: number, b: number, part: number): number => a + (b - a) * part;
const clamp = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));
