import { type LengthUnit, MM_PER_INCH } from './unit';

/** A length in feet, whole inches and a reduced fraction of an inch. */
export interface FeetInches {
  readonly negative: boolean;
  readonly feet: number;
  readonly inches: number;
  readonly above: number;
  readonly below: number;
}

/** Rounds a length in mm to 1/16 in (or another power of two) and splits it. */
export function feetAndInches(mm: number, parts = 16): FeetInches {
  const total = Math.round((Math.abs(mm) / MM_PER_INCH) * parts);
  const rest = total % parts;
  const shared = rest === 0 ? parts : greatestCommonDivisor(rest, parts);
  const inches = Math.floor(total / parts);
  return {
    negative: mm < 0 && total > 0,
    feet: Math.floor(inches / 12),
    inches: inches % 12,
    above: rest / shared,
    below: parts / shared,
  };
}

/**
 * Prints a length in plain characters that `parseLength` reads back.
 *
 * @param mm length in millimetres
 * @example formatLength(3771.9, 'in')  // `12' 4 1/2"`
 * @example formatLength(38.1, 'in')    // `1 1/2"`
 * @example formatLength(3766.2, 'mm')  // `3766 mm`
 */
export function formatLength(mm: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${Math.round(mm)} mm`;
  const { negative, feet, inches, above, below } = feetAndInches(mm);
  const fraction = above > 0 ? `${above}/${below}` : '';
  const inchText = [inches > 0 || fraction === '' ? String(inches) : '', fraction].filter(Boolean).join(' ');
  const text = feet === 0 ? `${inchText}"` : inches === 0 && above === 0 ? `${feet}'` : `${feet}' ${inchText}"`;
  return (negative ? '-' : '') + text;
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}
