import type { OtherStock, StockAnswer } from '@/core/estimate/betterStock';
import { type LengthUnit, MM_PER_FOOT } from '@/core/measure/unit';
import { roughLength } from '@/words/lengthWords';
import { mudVolumeWords } from '@/words/mudWords';
import { plural } from '@/words/plural';
import { spanWords } from '@/words/when';
import { FinishDates } from './FinishDates';

const STOCK_WORDS: Readonly<Record<LengthUnit, Readonly<Record<OtherStock, string>>>> = {
  in: {
    wider: '54 in boards too',
    longer: '14 ft boards too',
    longest: '14 and 16 ft boards too',
    upright: 'Walls upright',
  },
  mm: {
    wider: '1,350 mm boards too',
    longer: '3,600 mm boards too',
    longest: '3,600 and 4,200 mm boards too',
    upright: 'Walls upright',
  },
};

/** What other boards than those that are planned would save the finishers, so that the hanger can be asked in time. */
export function BetterBoards({
  answers,
  unit,
  whole,
}: {
  readonly answers: readonly StockAnswer[];
  readonly unit: LengthUnit;
  /** Whether they are for the whole house. */
  readonly whole: boolean;
}) {
  return (
    <section aria-label="Boards that would help" className="space-y-1 border-t border-base-300 pt-3">
      <h3 className="font-semibold">Boards that would help</h3>
      {answers.length === 0 ? (
        <p className="text-muted">No other board would save time or waste here.</p>
      ) : (
        <ul className="divide-y divide-base-300">
          {answers.map((answer) => (
            <li key={answer.stock} className="flex flex-wrap justify-between gap-x-4 py-1.5">
              <b className="font-semibold">{STOCK_WORDS[unit][answer.stock]}</b>
              <span>{savedWords(answer, unit)}</span>
            </li>
          ))}
        </ul>
      )}
      {whole && answers.length > 0 && (
        <FinishDates stocks={answers.map(({ stock }) => stock)} words={STOCK_WORDS[unit]} />
      )}
    </section>
  );
}

/** Butts, flats, sheets, mud, nights and hours, each only where it differs. */
function savedWords({ flat, butt, butts, sheets, hours, litres, nights }: StockAnswer, unit: LengthUnit): string {
  const signed = (by: number, words: (amount: number) => string) => `${by < 0 ? '−' : '+'}${words(Math.abs(by))}`;
  return [
    ...(butts === 0
      ? []
      : [
          `${signed(butts, (count) => plural(count, 'butt'))}${Math.abs(butt) < MM_PER_FOOT / 2 ? '' : ` (${signed(butt, (mm) => roughLength(mm, unit))})`}`,
        ]),
    ...(Math.abs(flat) < MM_PER_FOOT / 2 ? [] : [signed(flat, (mm) => `${roughLength(mm, unit)} of flats`)]),
    ...(sheets === 0 ? [] : [signed(sheets, (count) => plural(count, 'sheet'))]),
    signed(litres, (volume) => `${mudVolumeWords(volume, unit)} of mud`),
    ...(nights === 0 ? [] : [signed(nights, (count) => plural(count, 'night'))]),
    signed(hours, spanWords),
  ].join(', ');
}
