'use client';

import { useState } from 'react';
import { PASSES, type Pass } from '@/core/work/pass';
import { type CrewTimes, nextOn } from '@/core/work/shifts';
import { CLASS_NAMES, PASS_NAMES } from '@/words/stateWords';
import { untilWords } from '@/words/when';
import type { StripRoom } from './dryRooms';

const HOURS: readonly number[] = [4, 5, 6, 7, 8, 9, 10, 12];
const MINUTES = 60;

interface Work {
  readonly pass: Pass;
  readonly rooms: readonly { readonly name: string; readonly classes: readonly string[] }[];
}

/** What can be coated when the crew arrives on its next day, as the clocks and the forecast have it now. */
export function ArrivalList({
  rooms,
  crew: { begins, days },
  now,
  timeZone,
}: {
  readonly rooms: readonly StripRoom[];
  readonly crew: CrewTimes;
  readonly now: number;
  readonly timeZone: string;
}) {
  const [hour, setHour] = useState(begins);
  const arrival = nextOn(
    days.map(({ day }) => day),
    hour,
    now,
    timeZone,
  );
  if (arrival === undefined)
    return (
      <section className="sheet p-4" aria-label="When the crew arrives">
        <h2>When the crew arrives</h2>
        <p className="mt-1">Nobody of the crew works in the next two months, by its days on the run sheet.</p>
      </section>
    );
  const works = worksAt(rooms, arrival);
  const wet = rooms.filter(({ all }) => all !== undefined && all > arrival);
  return (
    <section className="sheet p-4" aria-label="When the crew arrives">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>When the crew arrives</h2>
        <label className="flex items-center gap-2 text-sm">
          at
          <select className="select w-24" value={hour} onChange={(event) => setHour(Number(event.target.value))}>
            {[...new Set([...HOURS, begins])]
              .sort((a, b) => a - b)
              .map((option) => (
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
          {wet.map(({ name, all }) => `${name} (until ${untilWords(all ?? 0, now, timeZone)})`).join(', ')}
        </p>
      )}
    </section>
  );
}

/** The work of an instant, by pass in the order of the work. */
export function worksAt(rooms: readonly StripRoom[], at: number): readonly Work[] {
  const open = rooms.filter(({ stuck, done, classes }) => stuck === undefined && !done && classes.length > 0);
  return PASSES.flatMap((pass): readonly Work[] => {
    const own = open.flatMap(({ name, classes }) => {
      if (pass === 'sand')
        return classes.every((kind) => kind.at <= at && kind.round === undefined) ? [{ name, classes: [] }] : [];
      const ready = classes.filter((kind) => kind.round === pass && kind.at <= at);
      return ready.length > 0 ? [{ name, classes: ready.map((kind) => CLASS_NAMES[kind.class].toLowerCase()) }] : [];
    });
    return own.length > 0 ? [{ pass, rooms: own }] : [];
  });
}
