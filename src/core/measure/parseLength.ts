import { type LengthUnit, MM_PER_FOOT, MM_PER_INCH } from './unit';

/** A length as typed, or why it cannot be read and at which character (from 0). */
export type LengthResult = { readonly ok: true; readonly mm: number } | ParseError;
export interface ParseError {
  readonly ok: false;
  readonly at: number;
  readonly reason: string;
}

type Part =
  | { readonly kind: 'number'; readonly at: number; readonly value: number; readonly fraction: boolean }
  | { readonly kind: 'unit'; readonly at: number; readonly unit: 'ft' | 'in' | 'mm' | 'cm' | 'm' }
  | { readonly kind: 'dash'; readonly at: number };

const VULGAR: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};
const UNIT = /^(?:feet|foot|ft|inches|inch|in|mm|cm|m|''|["”″]|['’′])\.?/i;
const MM_PER = { ft: MM_PER_FOOT, in: MM_PER_INCH, mm: 1, cm: 10, m: 1000 } as const;

/**
 * Reads a length the way a tape is called out. A bare number is in the house's unit; after feet it is inches.
 *
 * @example parseLength(`12'4 1/2"`, 'in')  // { ok: true, mm: 3771.9 }
 * @example parseLength('12-4.5', 'in')     // the same: feet, a dash, inches
 * @example parseLength('3.766m', 'in')     // { ok: true, mm: 3766 }
 * @example parseLength('12q', 'in')        // { ok: false, at: 2, reason: '"q" does not belong in a length' }
 */
export function parseLength(text: string, bareUnit: LengthUnit): LengthResult {
  const parts = split(text);
  if ('reason' in parts) return parts;
  if (parts.length === 0) return refuse(0, 'no length is written here');
  return assemble(parts, text, bareUnit);
}

function split(text: string): readonly Part[] | ParseError {
  const parts: Part[] = [];
  let at = 0;
  while (at < text.length) {
    const rest = text.slice(at);
    const space = /^\s+/.exec(rest);
    if (space) {
      at += space[0].length;
      continue;
    }
    const number = /^(\d+)\s*[/⁄]\s*(\d+)|^(?:\d+(?:\.\d*)?|\.\d+)/.exec(rest);
    if (number) {
      const [whole, above, below] = number;
      if (below !== undefined && Number(below) === 0)
        return refuse(at + whole.lastIndexOf(below), 'a fraction cannot be over 0');
      const value = above === undefined || below === undefined ? Number(whole) : Number(above) / Number(below);
      parts.push({ kind: 'number', at, value, fraction: below !== undefined });
      at += whole.length;
      continue;
    }
    const letter = rest.charAt(0);
    const vulgar = VULGAR[letter];
    if (vulgar !== undefined) {
      parts.push({ kind: 'number', at, value: vulgar, fraction: true });
      at += 1;
      continue;
    }
    const unit = UNIT.exec(rest);
    if (unit) {
      parts.push({ kind: 'unit', at, unit: unitOf(unit[0]) });
      at += unit[0].length;
      continue;
    }
    if (/[-–]/.test(letter)) {
      parts.push({ kind: 'dash', at });
      at += 1;
      continue;
    }
    return refuse(at, `"${letter}" does not belong in a length`);
  }
  return parts;
}

function unitOf(written: string): 'ft' | 'in' | 'mm' | 'cm' | 'm' {
  const word = written.toLowerCase().replace('.', '');
  if (word === 'mm' || word === 'cm' || word === 'm') return word;
  return /^(f|['’′]$)/.test(word) ? 'ft' : 'in';
}

/** Walks the parts as `number [fraction] unit`, larger units first; `12-4.5` reads as feet and inches. */
function assemble(parts: readonly Part[], text: string, bareUnit: LengthUnit): LengthResult {
  let mm = 0;
  let index = 0;
  let last: 'ft' | 'in' | 'mm' | 'cm' | 'm' | undefined;
  while (index < parts.length) {
    const part = parts[index];
    if (part?.kind === 'dash' && last === 'ft') {
      index += 1;
      if (index === parts.length) return refuse(part.at, 'nothing follows the dash');
      continue;
    }
    if (part?.kind !== 'number')
      return refuse(part?.at ?? text.length, last ? 'a number is missing here' : 'a length starts with a number');
    let value = part.value;
    index += 1;
    const fraction = parts[index];
    if (fraction?.kind === 'number' && fraction.fraction && !part.fraction) {
      if (!Number.isInteger(part.value)) return refuse(fraction.at, 'a decimal and a fraction do not go together');
      value += fraction.value;
      index += 1;
    }
    const next = parts[index];
    const dashAfterFeet = next?.kind === 'dash' && last === undefined && bareUnit === 'in';
    let unit: 'ft' | 'in' | 'mm' | 'cm' | 'm';
    if (next?.kind === 'unit') {
      unit = next.unit;
      index += 1;
    } else if (dashAfterFeet) unit = 'ft';
    else if (next !== undefined)
      return refuse(
        next.at,
        next.kind === 'dash' ? 'a dash stands between feet and inches only' : 'the unit before this number is missing',
      );
    else unit = last === 'ft' ? 'in' : bareUnit;
    if (last !== undefined && !(last === 'ft' && unit === 'in'))
      return refuse(part.at, 'only inches can follow, and only after feet');
    mm += value * MM_PER[unit];
    last = unit;
  }
  return { ok: true, mm };
}

function refuse(at: number, reason: string): ParseError {
  return { ok: false, at, reason };
}
