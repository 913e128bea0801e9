'use client';

import { useState } from 'react';
import { useCommand } from '@/client/useCommand';
import { sortedText } from '@/core/measure/sortedText';
import type { LengthUnit } from '@/core/measure/unit';
import { startingMethods } from '@/core/method/startingMethods';
import type { MethodChoices } from '@/core/room/methodSchema';
import { schoolWords } from '@/words/methodWords';

export interface KeptMethodRow {
  readonly id: string;
  readonly name: string;
  readonly unit: LengthUnit;
  readonly choices: MethodChoices;
}

/** Starting from a complete method: those that ship, and those that a lead kept. */
export function MethodStart({
  unit,
  choices,
  kept,
  mayEdit,
  start,
}: {
  readonly unit: LengthUnit;
  readonly choices: MethodChoices;
  readonly kept: readonly KeptMethodRow[];
  readonly mayEdit: boolean;
  readonly start: (choices: MethodChoices) => void;
}) {
  const [name, setName] = useState('');
  const { run, busy, message } = useCommand();
  const usable = kept.filter((method) => method.unit === unit);
  const keep = async () => {
    if ((await run('keepMethod', { name, unit, choices })) !== undefined) setName('');
  };
  const same = (other: MethodChoices) => sortedText(other) === sortedText(choices);
  return (
    <section className="sheet space-y-2 p-4 xl:sticky xl:top-4">
      <h2>Start from a method</h2>
      <ul className="grid gap-2 sm:grid-cols-2 xl:grid-cols-1">
        {startingMethods(unit).map(({ id, choices: own }) => (
          <li key={id}>
            <MethodButton {...schoolWords(id, unit)} chosen={same(own)} mayEdit={mayEdit} start={() => start(own)} />
          </li>
        ))}
        {usable.map((method) => (
          <li key={method.id} className="flex gap-2">
            <MethodButton
              name={method.name}
              words="Your presets"
              chosen={same(method.choices)}
              mayEdit={mayEdit}
              start={() => start(method.choices)}
            />
            {mayEdit && (
              <button
                type="button"
                className="btn btn-ghost h-auto"
                aria-label={`Forget ${method.name}`}
                onClick={() => void run('dropMethod', { id: method.id })}
              >
                Forget
              </button>
            )}
          </li>
        ))}
      </ul>
      {mayEdit && (
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
        >
          <label className="flex-1 text-sm font-semibold">
            Save this method as
            <input
              className="input mt-1 w-full font-normal"
              value={name}
              maxLength={60}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          <button type="submit" className="btn" disabled={busy || name.trim() === ''}>
            Save preset
          </button>
        </form>
      )}
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
    </section>
  );
}

function MethodButton({
  name,
  words,
  chosen,
  mayEdit,
  start,
}: {
  readonly name: string;
  readonly words: string;
  readonly chosen: boolean;
  readonly mayEdit: boolean;
  readonly start: () => void;
}) {
  return (
    <button
      type="button"
      disabled={!mayEdit}
      aria-pressed={chosen}
      className={`w-full rounded-field border p-2.5 text-left ${chosen ? 'border-2 border-secondary bg-base-200' : 'border-base-300'} ${mayEdit ? 'hover:bg-base-200' : ''}`}
      onClick={start}
    >
      <span className="block font-semibold">{name}</span>
      <span className="block text-sm text-muted">{words}</span>
    </button>
  );
}
