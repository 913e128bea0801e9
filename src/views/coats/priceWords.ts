import type { Price } from '@/core/estimate/priceOf';
import { gallonsFromLitres, type LengthUnit } from '@/core/measure/unit';
import type { CrewPace } from '@/core/rates/learn';
import { spanWords } from '@/words/when';

/** Mud in the house's unit. */
export const litresWords = (litres: number, unit: LengthUnit): string =>
  unit === 'in' ? `${gallonsFromLitres(litres).toFixed(0)} gal` : `${litres.toFixed(0)} l`;

/** By whose pace hours are told, where it is known. */
export function crewWords(crew: CrewPace): string {
  const kinds = Object.values(crew);
  if (kinds.length === 0) return '';
  const passes = Math.max(...kinds.map((own) => own.passes));
  const timed = `${passes} timed ${passes === 1 ? 'pass' : 'passes'}`;
  return ` Hours by this crew’s pace where it was timed (up to ${timed} of a kind), else by usual rates.`;
}

/** What an answer would change: hours, sanding, nights and mud, each only where it differs. */
export function differenceWords(price: Price, now: Price, unit: LengthUnit): string {
  const parts = [
    differs(price.hours - now.hours, 0.05, spanWords),
    differs(price.sandingHours - now.sandingHours, 0.05, (hours) => `${spanWords(hours)} of it sanding`),
    differs(price.rounds - now.rounds, 0.5, (rounds) => `${Math.round(rounds)} ${rounds < 1.5 ? 'round' : 'rounds'}`),
    differs(price.nights - now.nights, 0.5, (nights) => `${Math.round(nights)} ${nights < 1.5 ? 'night' : 'nights'}`),
    differs(price.litres - now.litres, unit === 'in' ? 1.9 : 0.5, (litres) => litresWords(litres, unit)),
  ].filter((part) => part !== '');
  return parts.length === 0 ? 'the same' : parts.join(', ');
}

function differs(by: number, least: number, words: (amount: number) => string): string {
  if (Math.abs(by) < least) return '';
  return `${by > 0 ? '+' : '−'}${words(Math.abs(by))}`;
}
