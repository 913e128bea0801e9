import { isTape, type Wares } from '@/core/materials/catalogue';
import { GOODS, type Good } from '@/core/materials/goods';
import type { LengthUnit } from '@/core/measure/unit';
import { lastsDays, type Moved, missingOf, stockOf } from '@/core/stock/stock';
import { roughLength } from '@/words/lengthWords';
import { storeVolumeWords } from '@/words/mudWords';

/** What goods are called, and what they are bought in. */
export const GOOD_WORDS: Readonly<Record<Good, { readonly name: string; readonly pack: string }>> = {
  taping: { name: 'Taping mud', pack: 'pail' },
  'all-purpose': { name: 'All-purpose mud', pack: 'pail' },
  lightweight: { name: 'Lightweight mud', pack: 'pail' },
  topping: { name: 'Topping mud', pack: 'pail' },
  setting: { name: 'Setting mud', pack: 'bag' },
  paper: { name: 'Paper tape', pack: 'roll' },
  mesh: { name: 'Mesh tape', pack: 'roll' },
  sealer: { name: 'Sealer', pack: 'pail' },
};

/** One good: how much went on, is there, is still needed, and what to order. */
export interface StockRow {
  readonly good: Good;
  readonly name: string;
  /** In the shop. */
  readonly called: string | undefined;
  readonly delivered: string;
  readonly used: string;
  readonly onHand: string;
  /** More went on than was ever said to have come. */
  readonly isShort: boolean;
  readonly needed: string;
  /** Packs to order, with their name; empty where it is enough. */
  readonly order: string;
  readonly lasts: string;
  readonly found: string;
}

/**
 * Returns a row for every good that the house still takes, or of which anything was recorded: what is left of it, and what to order.
 *
 * @param needed what the work that is left takes, see `stillNeeded`
 */
export function stockRows(
  moves: readonly Moved[],
  needed: ReadonlyMap<Good, number>,
  { of }: Pick<Wares, 'of'>,
  unit: LengthUnit,
  now: number,
): readonly StockRow[] {
  const stocks = new Map(stockOf(moves, now).map((stock) => [stock.good, stock]));
  return GOODS.flatMap((good): readonly StockRow[] => {
    const still = needed.get(good) ?? 0;
    const { waste, pack: size, called } = of[good];
    const stock = stocks.get(good);
    if (!stock && still === 0) return [];
    const { delivered, used, onHand, found, thrown, lastWeek } = stock ?? NOTHING;
    const words = (amount: number) => amountWords(good, amount, unit);
    const packs = Math.ceil(missingOf(still, waste, { onHand }) / size - 1e-6);
    const { name, pack } = GOOD_WORDS[good];
    const days = lastsDays({ onHand, lastWeek });
    return [
      {
        good,
        name,
        called,
        delivered: words(delivered),
        used: words(used),
        onHand: words(Math.max(0, onHand)),
        isShort: onHand < -1e-6,
        needed: words(still),
        order: packs > 0 ? `${packs} ${packs === 1 ? pack : `${pack}s`}` : '',
        lasts: days === undefined ? '' : days >= 60 ? 'over two months' : `${Math.floor(days)} days`,
        found: [
          ...(thrown > 0 ? [`${words(thrown)} thrown away`] : []),
          ...(Math.abs(found) > 1e-6 ? [`${found > 0 ? '+' : '−'}${words(Math.abs(found))} by count`] : []),
        ].join(', '),
      },
    ];
  });
}

const NOTHING = { delivered: 0, used: 0, onHand: 0, found: 0, thrown: 0, lastWeek: 0 };

const amountWords = (good: Good, amount: number, unit: LengthUnit): string =>
  isTape(good) ? roughLength(amount, unit) : storeVolumeWords(amount, unit);

const WHAT_PAST = { delivered: 'came', thrown: 'thrown away', counted: 'counted' } as const;

/** What was said of a good, in its packs: 3 pails of taping mud came. */
export function stockWords(
  { good, what, amount }: { readonly good: Good; readonly what: keyof typeof WHAT_PAST; readonly amount: number },
  { of }: Pick<Wares, 'of'>,
): string {
  const { name, pack } = GOOD_WORDS[good];
  const packs = Math.round((amount / of[good].pack) * 100) / 100;
  return `${packs} ${packs === 1 ? pack : `${pack}s`} of ${name.toLowerCase()} ${WHAT_PAST[what]}`;
}
