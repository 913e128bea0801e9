import { formatLength } from '../measure/formatLength';
import { parseLength } from '../measure/parseLength';
import { fromMm, type LengthUnit, TOLERANCE_MM, toMm } from '../measure/unit';

/** `12'4 1/2`: as short as it reads back; what sixteenths cannot say stays decimal inches. */
export function shortFeet(mm: number): string {
  const text = formatLength(mm, 'in').replace("' ", "'").replace(/"$/, '');
  const reading = parseLength(text, 'in');
  return reading.ok && Math.abs(reading.mm - mm) <= TOLERANCE_MM / 10 ? text : String(fromMm(mm, 'in'));
}

/** A length of the house's unit as the quick line writes it: from a foot on as a tape shows it, else plain. */
export const inchesText = (length: number, unit: LengthUnit): string =>
  unit === 'in' && Number.isInteger(length * 16) && length >= 12 ? shortFeet(toMm(length, 'in')) : String(length);
