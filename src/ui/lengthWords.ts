import { feetAndInches } from '@/core/measure/formatLength';
import type { LengthUnit } from '@/core/measure/unit';

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

/** A long length where inches do not matter: 3,482 ft, or 1,061 m. */
export function roughLength(mm: number, unit: LengthUnit): string {
  return unit === 'in'
    ? `${Math.round(mm / 304.8).toLocaleString('en-US')} ft`
    : `${Math.round(mm / 1000).toLocaleString('en-US')} m`;
}

/** Board area: 442 ft², or 41.1 m². */
export function areaWords(mm2: number, unit: LengthUnit): string {
  return unit === 'in' ? `${Math.round(mm2 / 304.8 ** 2).toLocaleString('en-US')} ft²` : `${(mm2 / 1e6).toFixed(1)} m²`;
}

const digits = (value: number, set: readonly string[]): string =>
  [...String(value)].map((digit) => set[Number(digit)]).join('');
