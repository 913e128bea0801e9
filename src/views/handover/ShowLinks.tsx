'use client';

import { useState } from 'react';
import { useCommand } from '@/client/useCommand';
import type { Shown } from '@/core/log/choices';
import { SelectField } from '@/ui/SelectField';

const DAYS = [
  ['7', 'a week'],
  ['30', 'a month'],
  ['180', 'half a year'],
] as const;

/** Who is shown what. */
const WORDS: Readonly<Record<Shown, { readonly title: string; readonly sees: string }>> = {
  handOver: {
    title: 'For the builder',
    sees: 'Who has this address sees the cover and the sheets of all rooms, with the photos that were chosen, and nothing else',
  },
  hanger: {
    title: 'For the hanger',
    sees: 'Who has this address sees this list as it stands by then, and nothing else',
  },
};

/** Secret addresses under which somebody sees one thing of a house and nothing else: made, listed, taken back. */
export function ShowLinks({
  house,
  what,
  shown,
}: {
  readonly house: string;
  readonly what: Shown;
  readonly shown: readonly { readonly id: string; readonly words: string }[];
}) {
  const command = useCommand();
  const [days, setDays] = useState('30');
  const [address, setAddress] = useState<string>();
  const make = async () => {
    const made = await command.run('showHouse', { house, what, days: Number(days) });
    if (made) setAddress(`${window.location.origin}/shown/${made.secret}`);
  };
  return (
    <section className="sheet no-print space-y-3 p-4" aria-label={WORDS[what].title}>
      <h2>{WORDS[what].title}</h2>
      <p className="text-muted">{WORDS[what].sees}; without signing in, until it ends or is taken back.</p>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="For"
          className="w-40"
          value={days}
          onChange={(event) => setDays(event.target.value)}
          options={DAYS}
        />
        <button type="button" className="btn btn-primary" disabled={command.busy} onClick={() => void make()}>
          Make an address
        </button>
        {what === 'handOver' && (
          <a className="btn" href={`/h/${house}/record`}>
            The record as a file
          </a>
        )}
      </div>
      {address && (
        <p role="status">
          <code className="break-all select-all">{address}</code>
          <br />
          It is shown this once.
        </p>
      )}
      {shown.length > 0 && (
        <ul className="divide-y divide-base-300">
          {shown.map(({ id, words }) => (
            <li key={id} className="flex flex-wrap items-center justify-between gap-3 py-2">
              {words}
              <button
                type="button"
                className="btn"
                disabled={command.busy}
                aria-label={`Take back: ${words}`}
                onClick={() => void command.run('hideHouse', { house, address: id })}
              >
                Take back
              </button>
            </li>
          ))}
        </ul>
      )}
      {command.message && (
        <p role="alert" className="text-error">
          {command.message}
        </p>
      )}
    </section>
  );
}
