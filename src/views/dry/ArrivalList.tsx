'use client';

import { useState } from 'react';
import { PASS_NAMES } from '@/words/stateWords';
import { untilWords } from '@/words/when';
import type { ArrivalRow } from './arrivalRows';

const MINUTES = 60;

/** What can be coated when the crew arrives on its next day, as the clocks and the forecast have it now. */
export function ArrivalList({
  rows,
  begins,
  now,
  timeZone,
}: {
  readonly rows: readonly ArrivalRow[];
  /** The hour at which the crew begins. */
  readonly begins: number;
  readonly now: number;
  readonly timeZone: string;
}) {
  const [hour, setHour] = useState(begins);
  const row = rows.find((own) => own.hour === hour);
  if (!row)
    return (
      <section className="sheet p-4" aria-label="When the crew arrives">
        <h2>When the crew arrives</h2>
        <p className="mt-1">No one on the crew works in the next two months. Check the days on the run sheet.</p>
      </section>
    );
  const { at: arrival, works, wet } = row;
  return (
    <section className="sheet p-4" aria-label="When the crew arrives">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>When the crew arrives</h2>
        <label className="flex items-center gap-2 text-sm">
          at
          <select className="select w-24" value={hour} onChange={(event) => setHour(Number(event.target.value))}>
            {rows.map(({ hour: option }) => (
              <option key={option} value={option}>
                {Math.floor(option)}:{String(Math.round((option % 1) * MINUTES)).padStart(2, '0')}
              </option>
            ))}
          </select>
        </label>
      </div>
      <p className="text-sm text-muted">Ready for work {untilWords(arrival, now, timeZone)}:</p>
      {works.length === 0 && <p className="mt-2 font-semibold">Nothing will be ready by then.</p>}
      <ul className="mt-2 space-y-2">
        {works.map(({ pass, rooms: own }) => (
          <li key={pass}>
            <p className="state-go font-semibold">{PASS_NAMES[pass]}</p>
            <ul className="text-sm">
              {own.map(({ name, classes }) => (
                <li key={name}>
                  <b className="font-semibold">{name}</b>
                  {classes.length > 0 && `: ${classes.join(', ')}`}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      {wet.length > 0 && (
        <p className="mt-3 border-t border-base-300 pt-2 text-sm">
          <b className="state-wet font-semibold">Still wet then:</b>{' '}
          {wet.map(({ name, until }) => `${name} (until ${untilWords(until, now, timeZone)})`).join(', ')}
        </p>
      )}
    </section>
  );
}
