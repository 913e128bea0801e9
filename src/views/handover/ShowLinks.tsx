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
    sees: 'Shows the cover, the sheets of all rooms and the chosen photos',
  },
  hanger: {
    title: 'For the hanger',
    sees: 'Shows this list, always up to date',
  },
};

/** Creates, lists and ends share links: each shows one thing of a house to anyone who has it. */
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
      <p className="text-muted">{WORDS[what].sees}. Anyone with the link can open it until it ends.</p>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="For"
          className="w-40"
          value={days}
          onChange={(event) => setDays(event.target.value)}
          options={DAYS}
        />
        <button type="button" className="btn btn-primary" disabled={command.busy} onClick={() => void make()}>
          Create share link
        </button>
        {what === 'handOver' && (
          <a className="btn" href={`/h/${house}/record`}>
            Download the record
          </a>
        )}
      </div>
      {address && (
        <p role="status">
          <code className="break-all select-all">{address}</code>
          <br />
          Copy it now. It is shown only once.
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
                aria-label={`End link: ${words}`}
                onClick={() => void command.run('hideHouse', { house, address: id })}
              >
                End link
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
