/** The unit that a house's lengths are typed and stored in. */
export type LengthUnit = 'in' | 'mm';

export const MM_PER_INCH = 25.4;
export const MM_PER_FOOT = 304.8;
const LITRES_PER_GALLON = 3.785411784;

/** The one tolerance of the core's geometry: lengths closer than this, in mm, are the same. */
export const TOLERANCE_MM = 0.05;

/** Millimetres from a length in the house's unit. */
export const toMm = (length: number, unit: LengthUnit): number => (unit === 'in' ? length * MM_PER_INCH : length);

/** A length in the house's unit from millimetres, without the noise of the conversion (to a millionth). */
export const fromMm = (mm: number, unit: LengthUnit): number => round(unit === 'in' ? mm / MM_PER_INCH : mm);

/** An area in the house's unit squared from mm², without the noise of the conversion. */
export const areaFromMm2 = (mm2: number, unit: LengthUnit): number =>
  round(unit === 'in' ? mm2 / (MM_PER_INCH * MM_PER_INCH) : mm2);

/** US gallons from litres. */
export const gallonsFromLitres = (litres: number): number => litres / LITRES_PER_GALLON;

/** Litres from US gallons. */
export const litresFromGallons = (gallons: number): number => gallons * LITRES_PER_GALLON;

/** °C from °F. */
export const celsiusFromFahrenheit = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;

/** °F from °C. */
export const fahrenheitFromCelsius = (celsius: number): number => (celsius * 9) / 5 + 32;

function round(value: number): number {
  return Math.round(value * 1e6) / 1e6;
}
