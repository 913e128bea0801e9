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

/** What mud lies on. Board takes up part of the water, the others none or little. */
export const SUBSTRATES = ['board', 'mud', 'metal', 'painted'] as const;
export type Substrate = (typeof SUBSTRATES)[number];

/** How much longer a coat takes on it than on board, for which the handbook's table is. Common practice, no source. */
const SUBSTRATE_FACTOR: Readonly<Record<Substrate, number>> = { board: 1, mud: 1.1, metal: 1.25, painted: 1.35 };

/**
 * How much longer a coat of drying mud takes than a usual tape coat on board, in any air.
 *
 * @param thickness mm
 */
export const effortOf = (thickness: number, substrate: Substrate = 'board'): number =>
  (thickness / USUAL_THICKNESS_MM) ** THICKNESS_EXPONENT * SUBSTRATE_FACTOR[substrate];

/**
 * Hours until a coat of drying mud is dry in air that does not change: the handbook's table interpolated in the logarithm
 * of hours, scaled for thickness, moving air and what it lies on. Outside the table the vapour-pressure law carries on
 * from its border.
 *
 * @param thickness mm
 * @returns hours; Infinity in saturated air
 * @example dryingHours({ temperature: 21.1, humidity: 50 })  // 17
 */
export const dryingHours = (air: Air, thickness = USUAL_THICKNESS_MM, substrate: Substrate = 'board'): number =>
  usualHours(air) * effortOf(thickness, substrate);

/** Hours that a usual tape coat on board takes, in still or moving air. */
export function usualHours({ temperature, humidity, speed = 0 }: Air): number {
  return stillAirHours(temperature, humidity) / (1 + AIR_SPEED_FACTOR * speed);
}

const COLDEST_F = TABLE_FAHRENHEIT[0];
const HOTTEST_F = TABLE_FAHRENHEIT[TABLE_FAHRENHEIT.length - 1] ?? COLDEST_F;
const HUMIDITIES = TABLE_HOURS.map(({ humidity }) => humidity);
const DAMPEST = HUMIDITIES.at(-1) ?? 0;
// The house's clocks ask this for every reading of a week: the logarithms are taken once.
const LOG_HOURS = Float64Array.from(TABLE_HOURS.flatMap(({ hours }) => hours.map(Math.log)));

function stillAirHours(temperature: number, humidity: number): number {
  if (humidity >= 100) return Number.POSITIVE_INFINITY;
  const fahrenheit = fahrenheitFromCelsius(temperature);
  const insideF = Math.min(HOTTEST_F, Math.max(COLDEST_F, fahrenheit));
  const insideHumidity = Math.min(DAMPEST, Math.max(0, humidity));
  const table = tableHours(insideF, insideHumidity);
  if (insideF === fahrenheit && insideHumidity === humidity) return table;
  const border = { temperature: celsiusFromFahrenheit(insideF), humidity: insideHumidity };
  return (table * lawHours({ temperature, humidity })) / lawHours(border);
}

/**
 * The law that the table follows: hours fall with the vapour-pressure deficit. Fitted on the table, which it misses by 6 %
 * in the median and 27 % at worst.
 */
export const lawHours = (air: Air): number => 20.35 * vapourDeficit(air) ** -0.939;

function tableHours(fahrenheit: number, humidity: number): number {
  const column = cellOf(TABLE_FAHRENHEIT, fahrenheit);
  const row = cellOf(HUMIDITIES, humidity);
  const along = partOf(TABLE_FAHRENHEIT, column, fahrenheit);
  const down = partOf(HUMIDITIES, row, humidity);
  const at = row * TABLE_FAHRENHEIT.length + column;
  const below = at + TABLE_FAHRENHEIT.length;
  const top = mix(LOG_HOURS[at] ?? 0, LOG_HOURS[at + 1] ?? 0, along);
  const bottom = mix(LOG_HOURS[below] ?? 0, LOG_HOURS[below + 1] ?? 0, along);
  return Math.exp(mix(top, bottom, down));
}

/** The cell of sorted stops that holds a value within them. */
function cellOf(stops: readonly number[], value: number): number {
  let cell = 0;
  while (cell < stops.length - 2 && (stops[cell + 1] ?? 0) <= value) cell += 1;
  return cell;
}

function partOf(stops: readonly number[], cell: number, value: number): number {
  const from = stops[cell] ?? 0;
  return (value - from) / ((stops[cell + 1] ?? 1) - from);
}

const mix = (a: number, b: number, part: number): number => a + (b - a) * part;
