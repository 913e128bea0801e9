import { type AirTrouble, COLDEST_FOR_FINISHING_C } from '../core/air/air';
import type { CoatTrouble } from '../core/drying/milestones';
import { fahrenheitFromCelsius, type LengthUnit } from '../core/measure/unit';
import { deepFillWords } from './lengthWords';

/** A temperature the way the house is measured: °F with inches, °C with millimetres. */
const degrees = (celsius: number, unit: LengthUnit): string =>
  unit === 'in' ? `${Math.round(fahrenheitFromCelsius(celsius))} °F` : `${celsius.toFixed(1)} °C`;

/** 66 °F · 58 % */
export const airWords = (
  { temperature, humidity }: { readonly temperature: number; readonly humidity: number },
  unit: LengthUnit,
): string => `${degrees(temperature, unit)} · ${Math.round(humidity)} %`;

/**
 * What is said of a trouble of the air, or of a coat in it.
 *
 * @param unit of the house; in both units where there is no house
 */
export function troubleWords(trouble: AirTrouble | CoatTrouble, unit?: LengthUnit): string {
  const inEither = (words: (unit: LengthUnit) => string) => (unit ? words(unit) : `${words('mm')} (${words('in')})`);
  switch (trouble) {
    case 'cold':
      return `below ${inEither(coldest)}: stop finishing until the room is warmer`;
    case 'atDewPoint':
      return 'the air is at its dew point: mud will not dry at all';
    case 'nearDewPoint':
      return 'the air is near its dew point: on cold outside walls mud will not dry';
    case 'tooDeep':
      return 'so deep a fill of drying mud takes about a week and cracks; use setting mud';
    case 'driesBeforeItSets':
      return 'it dries before it sets, and bonds poorly: lay it thicker, or use a shorter label';
    case 'settingTooThin':
      return `setting mud is better over ${inEither(deepFillWords)}`;
  }
}

const coldest = (unit: LengthUnit): string =>
  unit === 'in' ? `${Math.round(fahrenheitFromCelsius(COLDEST_FOR_FINISHING_C))} °F` : `${COLDEST_FOR_FINISHING_C} °C`;
