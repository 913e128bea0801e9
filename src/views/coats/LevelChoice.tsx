import type { PricedMethod } from '@/core/estimate/priceAnswers';
import type { LengthUnit } from '@/core/measure/unit';
import { LEVELS, type Level } from '@/core/room/level';
import { spanWords } from '@/words/when';
import { litresWords } from './priceWords';

const MEANINGS: Readonly<Record<Level, string>> = {
  0: 'nothing: temporary work',
  1: 'joints and angles taped',
  2: 'taped and wiped tight, one coat on screws and bead',
  3: 'one more coat; for heavy texture',
  4: 'two more coats on seams; for flat paint',
  5: 'level 4 and a skim over everything',
};

/** The six levels with their price for this house; the lead picks one. */
export function LevelChoice({
  level,
  prices,
  unit,
  mayEdit,
  choose,
}: {
  readonly level: Level;
  readonly prices: PricedMethod | undefined;
  readonly unit: LengthUnit;
  readonly mayEdit: boolean;
  readonly choose: (level: Level) => void;
}) {
  return (
    <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-6">
      {LEVELS.map((own) => {
        const price = prices?.levels.find((priced) => priced.level === own)?.price;
        const current = own === level;
        const more = price && prices ? price.hours - prices.now.hours : undefined;
        return (
          <li key={own}>
            <button
              type="button"
              disabled={!mayEdit}
              aria-pressed={current}
              onClick={() => choose(own)}
              className={`sheet flex h-full w-full flex-col items-stretch justify-start p-3 text-left ${current ? 'border-2 border-secondary' : ''} ${mayEdit ? 'hover:bg-base-200' : ''}`}
            >
              <span className="narrow flex justify-between text-lg font-bold">
                Level {own} {current && <span className="text-sm font-semibold text-secondary">chosen</span>}
              </span>
              <span className="block text-sm text-muted">{MEANINGS[own]}</span>
              <span className="mt-2 block font-semibold">{price ? spanWords(price.hours) : '…'}</span>
              <span className="block text-sm">
                {price ? `${litresWords(price.litres, unit)} of mud, ${price.visits} visits` : '…'}
              </span>
              <span className="block text-sm text-muted">
                {current ? 'as planned' : more !== undefined && `${more >= 0 ? '+' : '−'}${spanWords(Math.abs(more))}`}
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
