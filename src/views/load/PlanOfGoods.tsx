'use client';

import { useMemo } from 'react';
import { usePlanAnswer } from '@/client/usePlanAnswer';
import type { GoodsAnswer } from '@/contract/plan';
import { isTape, type Wares } from '@/core/materials/catalogue';
import type { Good } from '@/core/materials/goods';
import { dayOf } from '@/core/measure/dayOf';
import type { LengthUnit } from '@/core/measure/unit';
import type { RoundBatches } from '@/core/supply/batchesFor';
import { roughLength } from '@/words/lengthWords';
import { mudVolumeWords } from '@/words/mudWords';
import { plural } from '@/words/plural';
import { dayWords, instantWords } from '@/words/when';
import { BatchPanel } from './BatchPanel';
import { GOOD_WORDS } from './stockRows';

/** By the plan: until when each good is enough and when it has to be ordered, and the batches in the order in which they are mixed. */
export function PlanOfGoods({
  version,
  bag,
  batches,
  names,
  unit,
}: {
  /** Of what the page shows. */
  readonly version: string;
  readonly bag: Wares['of']['setting'];
  readonly batches: readonly RoundBatches[];
  /** Of rooms. */
  readonly names: Readonly<Record<string, string>>;
  readonly unit: LengthUnit;
}) {
  const { answer, failed } = usePlanAnswer<GoodsAnswer>('plan/goods', version);
  const starts = useMemo(
    () => new Map(answer?.starts.map((start) => [`${start.room} ${start.round}`, start] as const)),
    [answer],
  );
  const startOf = ({ room, round }: RoundBatches) => starts.get(`${room} ${round}`);
  const begins = (batch: RoundBatches) => startOf(batch)?.at ?? Number.MAX_SAFE_INTEGER;
  return (
    <>
      <section className="sheet space-y-3 p-4 sm:p-5" aria-label="Enough until">
        <div>
          <h2>Enough until</h2>
          <p className="text-sm text-muted">From the run sheet, with waste. Order by: so that it arrives in time.</p>
        </div>
        {failed && (
          <p role="alert" className="text-error">
            {failed}
          </p>
        )}
        {answer && answer.unplanned > 0 && (
          <p className="font-semibold">Excludes {plural(answer.unplanned, 'room')} not in the plan yet.</p>
        )}
        {!answer && !failed && <p className="text-muted">Planning…</p>}
        {answer?.enough.length === 0 && <p>{nothingWords(answer)}</p>}
        {answer && answer.enough.length > 0 && <EnoughTable {...answer} unit={unit} />}
      </section>
      <BatchPanel
        batches={batches.toSorted((a, b) => begins(a) - begins(b))}
        nameOf={(room) => names[room] ?? 'a room'}
        whenOf={(batch) => {
          const start = startOf(batch);
          return start && answer ? `${instantWords(start.at, answer.timeZone)}, ${start.who.join(' and ')}` : undefined;
        }}
        bag={bag}
        unit={unit}
      />
    </>
  );
}

/** Returns why a plan uses no goods. */
function nothingWords({ open, planned }: GoodsAnswer): string {
  if (!open) return 'No work is left.';
  return planned
    ? 'The planned work uses no tape, mud or sealer.'
    : 'No work is planned: nobody on the crew can do what is left. Add people on the Run sheet.';
}

function EnoughTable({
  enough,
  from,
  timeZone,
  unit,
}: Pick<GoodsAnswer, 'enough' | 'from' | 'timeZone'> & { readonly unit: LengthUnit }) {
  const today = dayOf(from, timeZone);
  return (
    <div className="overflow-x-auto">
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">Goods</th>
            <th scope="col">Enough until</th>
            <th scope="col">Order by</th>
            <th scope="col" className="text-right">
              On hand
            </th>
            <th scope="col" className="text-right">
              The plan takes
            </th>
          </tr>
        </thead>
        <tbody>
          {enough.map(({ good, onHand, takes, out, orderBy }) => {
            const isLate = orderBy !== undefined && orderBy < today;
            return (
              <tr key={good}>
                <th scope="row" className="font-semibold">
                  {GOOD_WORDS[good].name}
                </th>
                <td>{out === undefined ? 'the end' : instantWords(out, timeZone)}</td>
                <td className={isLate ? 'font-semibold text-warning' : ''}>
                  {orderBy === undefined ? '' : isLate ? 'now (arrives late)' : dayWords(orderBy)}
                </td>
                <td className="text-right whitespace-nowrap">{takenWords(good, onHand, unit)}</td>
                <td className="text-right whitespace-nowrap">{takenWords(good, takes, unit)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

const takenWords = (good: Good, amount: number, unit: LengthUnit): string =>
  isTape(good) ? roughLength(amount, unit) : amount > 0 ? mudVolumeWords(amount, unit) : 'none';
