'use client';

import { useState } from 'react';
import { useLog } from '@/client/useLog';
import { STOCK_WHAT } from '@/core/log/choices';
import { GOODS, type Good } from '@/core/materials/goods';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { GOOD_WORDS, type StockRow } from './stockRows';

const WHAT_WORDS: Readonly<Record<(typeof STOCK_WHAT)[number], string>> = {
  delivered: 'came',
  thrown: 'was thrown away',
  counted: 'is there, counted',
};

/** What came, went on, is there and is still needed of each good, and what to order; said in packs. */
export function StockPanel({
  rows,
  last,
  packs: sizes,
  now,
  works,
}: {
  readonly rows: readonly StockRow[];
  /** Recent entries, in words. */
  readonly last: readonly { readonly id: string; readonly words: string; readonly mine: boolean }[];
  /** What a pack of each holds. */
  readonly packs: Readonly<Record<Good, number>>;
  readonly now: number;
  readonly works: boolean;
}) {
  const log = useLog(now);
  const [good, setGood] = useState<Good>(rows[0]?.good ?? 'taping');
  const [what, setWhat] = useState<(typeof STOCK_WHAT)[number]>('delivered');
  const [packs, setPacks] = useState('');
  const [fault, setFault] = useState<string>();
  const say = async () => {
    const count = Number(packs.replace(',', '.'));
    if (packs.trim() === '' || !(count >= 0) || (count === 0 && what !== 'counted'))
      return setFault(`how many ${GOOD_WORDS[good].pack}s?`);
    setFault(undefined);
    const amount = count * sizes[good];
    if (await log.write([{ kind: 'stock', room: null, payload: { good, what, amount } }])) setPacks('');
  };
  return (
    <section className="sheet space-y-3 p-4 sm:p-5" aria-label="On hand">
      <h2>On hand and still needed</h2>
      <p className="text-sm text-muted">
        Material on the walls comes from the log. Enter deliveries and waste; a count corrects the rest.
      </p>
      <div className="overflow-x-auto">
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">Goods</th>
              <th scope="col" className="text-right">
                Came
              </th>
              <th scope="col" className="text-right">
                Went on
              </th>
              <th scope="col" className="text-right">
                On hand
              </th>
              <th scope="col" className="text-right">
                Still goes on
              </th>
              <th scope="col" className="text-right">
                Order now
              </th>
              <th scope="col">Lasts (at last week’s pace)</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.good}>
                <th scope="row" className="font-semibold">
                  {row.name}
                  {row.called && <span className="block text-sm font-normal text-muted">{row.called}</span>}
                  {row.found && <span className="block text-sm font-normal text-muted">{row.found}</span>}
                </th>
                <td className="text-right whitespace-nowrap">{row.delivered}</td>
                <td className="text-right whitespace-nowrap">{row.used}</td>
                <td className="text-right whitespace-nowrap">
                  {row.isShort ? <span className="text-warning">more used than delivered</span> : row.onHand}
                </td>
                <td className="text-right whitespace-nowrap">{row.needed}</td>
                <td className="text-right font-bold whitespace-nowrap">{row.order || 'enough'}</td>
                <td>{row.lasts}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {works && (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void say();
          }}
        >
          <TextField
            label={`How many ${GOOD_WORDS[good].pack}s`}
            className="w-40"
            inputMode="decimal"
            value={packs}
            error={fault}
            onChange={(event) => setPacks(event.target.value)}
          />
          <SelectField
            label="Of"
            className="w-48"
            value={good}
            onChange={(event) => setGood(GOODS.find((own) => own === event.target.value) ?? 'taping')}
            options={GOODS.map((own) => [own, GOOD_WORDS[own].name] as const)}
          />
          <SelectField
            label="What happened"
            className="w-48"
            value={what}
            onChange={(event) => setWhat(STOCK_WHAT.find((own) => own === event.target.value) ?? 'delivered')}
            options={STOCK_WHAT.map((own) => [own, WHAT_WORDS[own]] as const)}
          />
          <button type="submit" className="btn btn-primary" disabled={log.busy}>
            Say it
          </button>
        </form>
      )}
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
      {last.length > 0 && (
        <details>
          <summary className="flex min-h-11 cursor-pointer items-center text-muted">Recent entries</summary>
          <ul className="divide-y divide-base-300">
            {last.map(({ id, words, mine }) => (
              <li key={id} className="flex flex-wrap items-center justify-between gap-3 py-1">
                {words}
                {mine && (
                  <button
                    type="button"
                    className="btn btn-sm"
                    disabled={log.busy}
                    aria-label={`Undo ${words}`}
                    onClick={() => void log.write([{ kind: 'void', room: null, payload: { target: id } }])}
                  >
                    Undo
                  </button>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
