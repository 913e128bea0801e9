'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Answer } from '@/core/house/answer';
import type { MethodChoices } from '@/core/house/methodSchema';
import type { LengthUnit } from '@/core/measure/unit';
import { startingMethods } from '@/core/method/startingMethods';
import { sortedText } from '@/ui/sortedText';
import { SERVER_LOST } from '@/ui/useSubmit';

export interface KeptMethodRow {
  readonly id: string;
  readonly name: string;
  readonly unit: LengthUnit;
  readonly choices: MethodChoices;
}
export interface KeepActions {
  readonly keepMethod: (input: { name: string; unit: LengthUnit; choices: MethodChoices }) => Promise<Answer<null>>;
  readonly dropMethod: (input: { id: string }) => Promise<Answer<null>>;
}

/** Starting from a complete method: those that ship, and those that a lead kept. */
export function MethodStart({
  unit,
  choices,
  kept,
  mayEdit,
  start,
  keepMethod,
  dropMethod,
}: KeepActions & {
  readonly unit: LengthUnit;
  readonly choices: MethodChoices;
  readonly kept: readonly KeptMethodRow[];
  readonly mayEdit: boolean;
  readonly start: (choices: MethodChoices) => void;
}) {
  const router = useRouter();
  const [name, setName] = useState('');
  const [message, setMessage] = useState<string>();
  const usable = kept.filter((method) => method.unit === unit);
  const tell = async (answer: Promise<Answer<null>>, done: () => void) => {
    setMessage(undefined);
    try {
      const given = await answer;
      if (!given.ok) return setMessage(given.message);
      done();
      router.refresh();
    } catch {
      setMessage(SERVER_LOST);
    }
  };
  const same = (other: MethodChoices) => sortedText(other) === sortedText(choices);
  return (
    <section className="sheet space-y-2 p-4 xl:sticky xl:top-4">
      <h2>Start from a method</h2>
      <ul className="grid gap-2 sm:grid-cols-2 xl:grid-cols-1">
        {startingMethods(unit).map((method) => (
          <li key={method.id}>
            <MethodButton
              name={method.name}
              words={method.words}
              chosen={same(method.choices)}
              mayEdit={mayEdit}
              start={() => start(method.choices)}
            />
          </li>
        ))}
        {usable.map((method) => (
          <li key={method.id} className="flex gap-2">
            <MethodButton
              name={method.name}
              words="Kept by you"
              chosen={same(method.choices)}
              mayEdit={mayEdit}
              start={() => start(method.choices)}
            />
            {mayEdit && (
              <button
                type="button"
                className="btn btn-ghost h-auto"
                aria-label={`Forget ${method.name}`}
                onClick={() => void tell(dropMethod({ id: method.id }), () => {})}
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
            void tell(keepMethod({ name, unit, choices }), () => setName(''));
          }}
        >
          <label className="flex-1 text-sm font-semibold">
            Keep this method as
            <input
              className="input mt-1 w-full font-normal"
              value={name}
              maxLength={60}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          <button type="submit" className="btn" disabled={name.trim() === ''}>
            Keep
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
