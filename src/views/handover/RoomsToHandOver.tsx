'use client';

import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { type Said, useLog } from '@/client/useLog';
import { Dialog } from '@/ui/Dialog';
import { PageLink } from '@/ui/PageLink';
import { StateMark } from '@/ui/state/StateMark';
import { turned } from '@/ui/turned';
import type { HandOverRow } from './handOverRows';
import { SignPad } from './SignPad';

/** Every room on its way to the painters; a lead chooses several and logs, signs or prints them in one go. */
export function RoomsToHandOver({
  rows,
  leads,
  now,
}: {
  readonly rows: readonly HandOverRow[];
  readonly leads: boolean;
  readonly now: number;
}) {
  const { id: house } = useHouse();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const all = chosen.size === rows.length && rows.length > 0;
  return (
    <>
      {rows.length === 0 && <p>No rooms yet.</p>}
      {leads && rows.length > 0 && (
        <label className="flex min-h-12 w-fit items-center gap-3 pl-1 font-semibold">
          <input
            type="checkbox"
            className="checkbox"
            checked={all}
            onChange={() => setChosen(all ? new Set() : new Set(rows.map(({ id }) => id)))}
          />
          All rooms
        </label>
      )}
      <ul className="divide-y divide-base-300 border-y border-base-300">
        {rows.map((row) => (
          <li
            key={row.id}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 py-2 md:grid-cols-[minmax(10rem,1.2fr)_minmax(12rem,1.5fr)_5rem_12rem_auto]"
          >
            <Name
              row={row}
              isChosen={chosen.has(row.id)}
              turn={leads ? () => setChosen(turned(chosen, row.id)) : undefined}
            />
            <StateMark words={row.state} className="max-md:row-start-2" />
            <span className="text-sm max-md:row-start-2 max-md:text-right">{row.open > 0 && `${row.open} open`}</span>
            <span className="text-sm text-muted max-md:hidden">{row.checked && `checked ${row.checked}`}</span>
            <PageLink
              className="btn min-h-12 max-md:col-start-2 max-md:row-start-1"
              href={`/h/${house}/hand-over/${row.id}`}
              aria-label={`Sheet of ${row.name}`}
            >
              Sheet
            </PageLink>
          </li>
        ))}
      </ul>
      {leads && (
        <Actions
          rows={rows.filter(({ id }) => chosen.has(id))}
          now={now}
          house={house}
          done={() => setChosen(new Set())}
        />
      )}
    </>
  );
}

/** A room's name and level; a lead chooses it by them. */
function Name({
  row: { name, level },
  isChosen,
  turn,
}: {
  readonly row: HandOverRow;
  readonly isChosen: boolean;
  readonly turn: (() => void) | undefined;
}) {
  const words = (
    <span>
      <b className="font-semibold">{name}</b> <span className="text-muted">level {level}</span>
    </span>
  );
  if (!turn) return <span className="flex min-h-12 items-center">{words}</span>;
  return (
    <label className="flex min-h-12 items-center gap-3 pl-1">
      <input type="checkbox" className="checkbox" aria-label={name} checked={isChosen} onChange={turn} />
      {words}
    </label>
  );
}

/** The buttons for the chosen rooms; each says in how many of them it can be done. */
function Actions({
  rows,
  now,
  house,
  done,
}: {
  readonly rows: readonly HandOverRow[];
  readonly now: number;
  readonly house: string;
  readonly done: () => void;
}) {
  const log = useLog(now);
  const [signs, setSigns] = useState(false);
  const steps: readonly (readonly [words: string, entries: readonly (readonly Said[])[]])[] = [
    ['Log sanded', rows.filter(({ canSand }) => canSand).map(({ id }) => [{ kind: 'sanded', room: id, payload: {} }])],
    [
      'Log light check',
      rows
        .filter(({ checks }) => checks.length > 0)
        .map(({ id, checks }) =>
          checks.map(({ level, faces }): Said => {
            return { kind: 'checked', room: id, payload: { level, light: 'lamp', faces: [...faces] } };
          }),
        ),
    ],
    [
      'Hand over',
      rows.filter(({ canHandOver }) => canHandOver).map(({ id }) => [{ kind: 'handedOver', room: id, payload: {} }]),
    ],
  ];
  const write = async (entries: readonly (readonly Said[])[]) => {
    if (await log.write(entries.flat())) done();
  };
  const title = rows.length === 1 ? `Sign for ${rows[0]?.name}` : `Sign for ${rows.length} rooms`;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2">
      {steps.map(([words, entries]) => (
        <button
          key={words}
          type="button"
          className="btn btn-lg"
          disabled={entries.length === 0 || log.busy}
          onClick={() => void write(entries)}
        >
          {words}
          {entries.length > 0 && ` (${entries.length})`}
        </button>
      ))}
      <button type="button" className="btn btn-lg" disabled={rows.length === 0} onClick={() => setSigns(true)}>
        Sign {rows.length > 0 && `(${rows.length})`}
      </button>
      <PageLink
        className="btn btn-primary btn-lg"
        href={`/h/${house}/sheets${rows.length > 0 ? `?rooms=${rows.map(({ id }) => id).join(',')}` : ''}`}
      >
        {rows.length > 0 ? `Print (${rows.length})` : 'Print whole house'}
      </PageLink>
      {log.message && (
        <p role="alert" className="basis-full text-error">
          {log.message}
        </p>
      )}
      {signs && (
        <Dialog title={title} close={() => setSigns(false)}>
          <p className="text-muted">{rows.map(({ name }) => name).join(', ')}</p>
          <SignPad now={now} rooms={rows.map(({ id }) => id)} signed={() => setSigns(false)} />
        </Dialog>
      )}
    </div>
  );
}
