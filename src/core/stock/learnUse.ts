import { GOODS, type Good } from '../materials/goods';
import { COATED_CLASSES, type CoatedClass } from '../method/coat';
import { drawnFactors } from './leastSquares';
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
  /** The same for each class that it went on, as far as the counts tell them apart. */
  readonly classes: readonly { readonly class: CoatedClass; readonly factor: number }[];
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
    const factor = (real + USUAL[measure] * inUse(good)) / (model + USUAL[measure]);
    return [
      {
        good,
        factor,
        intervals: between.length,
        spread: between.length > 1 ? (Math.max(...ratios) - Math.min(...ratios)) / 2 : undefined,
        classes: ofClasses(between, factor, USUAL[measure] / between.length),
      },
    ];
  });
}

interface Interval {
  readonly real: number;
  readonly model: number;
  readonly byClass: ReadonlyMap<CoatedClass, number>;
}

/** One count after the other has another mix of joints: that tells the classes apart. */
function ofClasses(between: readonly Interval[], factor: number, weight: number): LearnedUse['classes'] {
  const kinds = COATED_CLASSES.filter((kind) => between.some(({ byClass }) => (byClass.get(kind) ?? 0) > 0));
  const rows = between.map(({ byClass }) => kinds.map((kind) => byClass.get(kind) ?? 0));
  // What went on no class, as into gaps, went as all of it did.
  const seen = between.map(({ real, model }, index) => real - factor * (model - sum(rows[index] ?? [])));
  const factors = drawnFactors(rows, seen, factor, weight);
  return kinds.map((kind, index) => ({ class: kind, factor: factors[index] ?? factor }));
}

/** What really went and what should have, between each count and the next. */
function intervalsOf(moves: readonly Moved[]): readonly Interval[] {
  const found: Interval[] = [];
  let open: { there: number; model: number; byClass: Map<CoatedClass, number> } | undefined;
  for (const { kind, amount, class: on } of moves.toSorted((a, b) => a.at - b.at)) {
    if (kind === 'counted') {
      if (open) found.push({ real: open.there - amount, model: open.model, byClass: open.byClass });
      open = { there: amount, model: 0, byClass: new Map() };
    } else if (open && kind === 'used') {
      open.model += amount;
      if (on) open.byClass.set(on, (open.byClass.get(on) ?? 0) + amount);
    } else if (open) open.there += kind === 'delivered' ? amount : -amount;
  }
  return found;
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
