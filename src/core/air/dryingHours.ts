import { celsiusFromFahrenheit, fahrenheitFromCelsius, MM_PER_INCH } from '../measure/unit';
import { type Air, vapourDeficit } from './air';
import { TABLE_FAHRENHEIT, TABLE_HOURS } from './handbookTable';

/** A tape coat is about 1/16 in thick. Common practice, no source. */
export const USUAL_THICKNESS_MM = MM_PER_INCH / 16;

/** A usual tape coat at 70 °F and 50 %, by the handbook's table. */
export const USUAL_COAT_HOURS = 17;

/** A 3/8–1/2 in fill takes about a week in the air in which a tape coat takes 17 h: hours grow with
 * thickness by this exponent, between evaporation (1) and diffusion (2). Calibrated; common practice, no source. */
const THICKNESS_EXPONENT = Math.log((7 * 24) / USUAL_COAT_HOURS) / Math.log(7 / 16 / (1 / 16));

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

/** Where a coat lies: on an open joint, or in a corner, which the air reaches last. */
export type Lies = 'open' | 'corner';

/** The same coat in an inside angle takes so much longer than on a flat. Common practice, no source. */
export const CORNER_FACTOR = 1.25;
/** However thin, a coat on a joint is left overnight: about 12 h where a tape coat takes 17. Common practice, no source. */
const OVERNIGHT = 12 / USUAL_COAT_HOURS;

/**
 * The effort of mud as it lies on a wall: on a joint never less than overnight, in a corner longer, and so much longer as touch
 * checks found it.
 */
export function effortOfMud({
  thickness,
  substrate,
  lies,
  slowness = 1,
}: {
  readonly thickness: number;
  readonly substrate: Substrate;
  readonly lies?: Lies;
  readonly slowness?: number;
}): number {
  return asItLies(effortOf(thickness, substrate), lies, slowness);
}

function asItLies(effort: number, lies: Lies | undefined, slowness: number): number {
  if (lies === undefined) return effort * slowness;
  return Math.max(OVERNIGHT, effort) * slowness * (lies === 'corner' ? CORNER_FACTOR : 1);
}

/** A setting fill of 1/2 in can be sanded about a day after it went on, where a tape coat takes 17 h. Common practice, no source. */
const SET_HOURS = 24;
const SET_THICKNESS_MM = MM_PER_INCH / 2;
/** Setting mud dries faster than drying mud: its hours grow with the square root of its thickness. Common practice, no source. */
const SET_EXPONENT = 0.5;

/**
 * Returns how much longer setting mud takes than a usual tape coat until it can be sanded, in any air. Never longer than drying mud as
 * thick: most of its water is bound when it sets.
 *
 * @example effortOfSet({ thickness: 12.7, substrate: 'board' }) * 17  // 24 h
 */
export function effortOfSet(mud: Parameters<typeof effortOfMud>[0]): number {
  const { thickness, substrate, lies, slowness = 1 } = mud;
  const set = (SET_HOURS / USUAL_COAT_HOURS) * (thickness / SET_THICKNESS_MM) ** SET_EXPONENT;
  return asItLies(Math.min(set, effortOf(thickness)) * SUBSTRATE_FACTOR[substrate], lies, slowness);
}

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

/**
 * The logarithm of the table's hours at every whole degree from 32 °F and every whole percent from 0. The clocks of a house
 * ask for every reading of a week; as the table's stops are whole numbers, the finer table says exactly the same.
 */
const LOG_HOURS = fineTable();
const ROW = HOTTEST_F - COLDEST_F + 1;

function fineTable(): Float64Array {
  const degrees = Array.from({ length: HOTTEST_F - COLDEST_F + 1 }, (_, step) => COLDEST_F + step);
  const percents = Array.from({ length: DAMPEST + 1 }, (_, percent) => percent);
  return Float64Array.from(
    percents.flatMap((humidity) => {
      const row = cellOf(HUMIDITIES, humidity);
      return degrees.map((fahrenheit) => {
        const column = cellOf(TABLE_FAHRENHEIT, fahrenheit);
        const log = (down: number, along: number) =>
          Math.log(TABLE_HOURS[row.cell + down]?.hours[column.cell + along] ?? 0);
        return mix(mix(log(0, 0), log(0, 1), column.part), mix(log(1, 0), log(1, 1), column.part), row.part);
      });
    }),
  );
}

/** The cell of sorted stops that holds a value, and how far into it the value lies. */
function cellOf(stops: readonly number[], value: number): { readonly cell: number; readonly part: number } {
  const cell = Math.min(
    stops.length - 2,
    stops.findLastIndex((stop) => stop <= value),
  );
  const from = stops[cell] ?? 0;
  return { cell, part: (value - from) / ((stops[cell + 1] ?? 1) - from) };
}

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
  const degree = Math.min(ROW - 2, (fahrenheit - COLDEST_F) | 0);
  const percent = Math.min(DAMPEST - 1, humidity | 0);
  const along = fahrenheit - COLDEST_F - degree;
  const at = percent * ROW + degree;
  const top = mix(LOG_HOURS[at] ?? 0, LOG_HOURS[at + 1] ?? 0, along);
  const bottom = mix(LOG_HOURS[at + ROW] ?? 0, LOG_HOURS[at + ROW + 1] ?? 0, along);
  return Math.exp(mix(top, bottom, humidity - percent));
}

function mix(a: number, b: number, part: number): number {
  return a + (b - a) * part;
}
