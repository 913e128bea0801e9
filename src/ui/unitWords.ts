import { type LengthUnit, MM_PER_FOOT, MM_PER_INCH } from '@/core/measure/unit';

/** Tools are sold by the inch; where people measure in millimetres the same ones are sold by 25 mm. */
const NOMINAL_MM = 25;

/**
 * Words of the trade in the unit of a house: the core names tools, checks and troubles as they are called in inches.
 *
 * @example inUnit('10 in flat box, set to 2', 'mm')  // '250 mm flat box, set to 2'
 */
export function inUnit(words: string, unit: LengthUnit): string {
  if (unit === 'in') return words.replace(/(-?\d+) °C \((-?\d+) °F\)/g, '$2 °F');
  return words
    .replace(/(-?\d+) °C \(-?\d+ °F\)/g, '$1 °C')
    .replace(/(\d[\d,]*) ft\b/g, (_, feet: string) => `${Math.round((number(feet) * MM_PER_FOOT) / 1000)} m`)
    .replace(/(\d+) and (\d+) in(?= \w)/g, (_, one: string, other: string) => `${inches(one)} and ${inches(other)} mm`)
    .replace(/(\d+) to (\d+) in\b/g, (_, one: string, other: string) => `${inches(one)} to ${inches(other)} mm`)
    .replace(
      /(\d+\/\d+|\d+) in(?= (?:knife|trowel|flat box|and)|$|[,.;:)])/g,
      (_, length: string) => `${inches(length)} mm`,
    );
}

/** Tape is cut short of what it runs into. Common practice, no source. */
export const setBacks = (unit: LengthUnit): string =>
  unit === 'in'
    ? 'Tape stops ¼ in from a bead’s end, ½ in short of the angle it runs into, about 1 in above the floor.'
    : 'Tape stops 6 mm from a bead’s end, 12 mm short of the angle it runs into, about 25 mm above the floor.';

const number = (text: string): number => Number(text.replaceAll(',', ''));

function inches(text: string): number {
  const [over = 0, under = 1] = text.split('/').map(Number);
  const length = over / under;
  return Math.round(length * (length < 1 ? MM_PER_INCH : NOMINAL_MM));
}
