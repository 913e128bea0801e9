import { feetAndInches } from '../core/measure/formatLength';
import { type LengthUnit, MM_PER_FOOT, MM_PER_INCH } from '../core/measure/unit';

const OVER: Readonly<Record<string, string>> = {
  '1/2': '½',
  '1/4': '¼',
  '3/4': '¾',
  '1/8': '⅛',
  '3/8': '⅜',
  '5/8': '⅝',
  '7/8': '⅞',
};
const RAISED = ['⁰', '¹', '²', '³', '⁴', '⁵', '⁶', '⁷', '⁸', '⁹'];
const LOWERED = ['₀', '₁', '₂', '₃', '₄', '₅', '₆', '₇', '₈', '₉'];

/** A length in proper type: 12′ 4 ½″, or 3,766 mm. */
export function lengthWords(mm: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${Math.round(mm).toLocaleString('en-US')} mm`;
  const { negative, feet, inches, above, below } = feetAndInches(mm);
  const fraction =
    above === 0 ? '' : (OVER[`${above}/${below}`] ?? `${digits(above, RAISED)}⁄${digits(below, LOWERED)}`);
  const inchText = `${inches > 0 || fraction === '' ? inches : ''}${inches > 0 && fraction ? ' ' : ''}${fraction}″`;
  return `${negative ? '−' : ''}${feet > 0 ? `${feet.toLocaleString('en-US')}′ ` : ''}${inchText}`;
}

/** A size where feet are usual: 4′ × 12′. */
export const sizeWords = (width: number, length: number, unit: LengthUnit): string =>
  [width, length]
    .map((mm) => lengthWords(mm, unit).replace(/ 0″$/, '').replaceAll(' ', '\u00a0'))
    .join('\u00a0×\u00a0');

/** Rounds a length to what a person measures of many joints: 3,482 ft, or 1,061 m; under 10 m to a tenth. */
export function roughLength(mm: number, unit: LengthUnit): string {
  return unit === 'in' ? `${Math.round(mm / MM_PER_FOOT).toLocaleString('en-US')} ft` : `${metres(mm / 1000)} m`;
}

const metres = (length: number): string =>
  length < 10 ? String(Math.round(length * 10) / 10) : Math.round(length).toLocaleString('en-US');

/** A small height: thousandths of an inch are no one's measure, so sixty-fourths; or tenths of a mm. */
export function smallWords(mm: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${mm.toFixed(1)} mm`;
  const parts = Math.round((mm / MM_PER_INCH) * 64);
  if (parts === 0) return 'under 1/64 in';
  const [over, under] = [6, 5, 4, 3, 2, 1, 0]
    .map((power) => [parts / 2 ** power, 64 / 2 ** power] as const)
    .find(([above]) => Number.isInteger(above)) ?? [parts, 64];
  const whole = Math.floor(over / under);
  const rest = over - whole * under;
  return `${whole > 0 ? `${whole} ` : ''}${rest > 0 ? `${rest}/${under}` : ''} in`.replace('  ', ' ');
}

/** Tools are sold by the inch; where people measure in millimetres the same ones are sold by 25 mm. */
const NOMINAL_MM = 25;

/**
 * The width of a tool as it is sold, to the half of an inch.
 *
 * @example bladeWords(254, 'mm')  // '250 mm'
 */
export const bladeWords = (mm: number, unit: LengthUnit): string => `${nominal(mm / MM_PER_INCH, unit)} ${unit}`;

/** Widths that a joint or a blade may have, in inches: 10 to 12 in, or 250 to 300 mm. */
export const inchesTo = (least: number, most: number, unit: LengthUnit): string =>
  `${nominal(least, unit)} to ${nominal(most, unit)} ${unit}`;

function nominal(inches: number, unit: LengthUnit): number {
  const sold = Math.round(inches * 2) / 2;
  return unit === 'in' ? sold : Math.round(sold * NOMINAL_MM);
}

/** The depth from which a fill of drying mud takes long and cracks. */
export const deepFillWords = (unit: LengthUnit): string => (unit === 'in' ? '1/8 in' : '3 mm');

/** Board area: 442 ft², or 41.1 m². */
export function areaWords(mm2: number, unit: LengthUnit): string {
  return unit === 'in'
    ? `${Math.round(mm2 / MM_PER_FOOT ** 2).toLocaleString('en-US')} ft²`
    : `${(mm2 / 1e6).toFixed(1)} m²`;
}

const digits = (value: number, set: readonly string[]): string =>
  [...String(value)].map((digit) => set[Number(digit)]).join('');
