import { GOODS, type Good } from '../materials/goods';
import type { Moved } from './stock';

/** How much of a good a crew really puts on beside what the sections of its joints say. */
export interface LearnedUse {
  readonly good: Good;
  /** So many times as much; drawn toward what is in use as long as little was counted. */
  readonly factor: number;
  /** From one count to the next: how often that was. */
  readonly intervals: number;
  /** How far the factor may be off: half of what the counts differ by; undefined for one alone. */
  readonly spread: number | undefined;
}

/** What is in use counts as so much that was counted: two pails, half a roll. Common practice, no source. */
const USUAL = { litres: 34, mm: 75_000 } as const;
/** Between two counts less than this says nothing. */
const LEAST = { litres: 2, mm: 5_000 } as const;

/**
 * What the crew really uses, from one count to the next: what was there and came, less what was thrown away and what is left, beside
 * what went on by the log in between.
 *
 * @param moves what went on by the sections alone, whatever is in use
 * @param inUse the factor that is reckoned with now
 * @example learnUse(moves, () => 1)  // [{ good: 'taping', factor: 1.12, intervals: 3, spread: 0.04 }]
 */
export function learnUse(moves: readonly Moved[], inUse: (good: Good) => number): readonly LearnedUse[] {
  return GOODS.flatMap((good): readonly LearnedUse[] => {
    const measure = good === 'paper' || good === 'mesh' ? 'mm' : 'litres';
    const between = intervalsOf(moves.filter((move) => move.good === good)).filter(
      ({ model, real }) => model >= LEAST[measure] && real > 0,
    );
    if (between.length === 0) return [];
    const [real, model] = [sum(between.map((one) => one.real)), sum(between.map((one) => one.model))];
    const ratios = between.map((one) => one.real / one.model);
    return [
      {
        good,
        factor: (real + USUAL[measure] * inUse(good)) / (model + USUAL[measure]),
        intervals: between.length,
        spread: between.length > 1 ? (Math.max(...ratios) - Math.min(...ratios)) / 2 : undefined,
      },
    ];
  });
}

/** What really went and what should have, between each count and the next. */
function intervalsOf(moves: readonly Moved[]): readonly { readonly real: number; readonly model: number }[] {
  const found: { real: number; model: number }[] = [];
  let open: { there: number; model: number } | undefined;
  for (const { kind, amount } of moves.toSorted((a, b) => a.at - b.at)) {
    if (kind === 'counted') {
      if (open) found.push({ real: open.there - amount, model: open.model });
      open = { there: amount, model: 0 };
    } else if (open && kind === 'used') open.model += amount;
    else if (open) open.there += kind === 'delivered' ? amount : -amount;
  }
  return found;
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
