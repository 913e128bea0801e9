'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useSend } from '@/client/useSend';
import { useSubmit } from '@/client/useSubmit';
import type { Person, Role } from '@/core/log/person';
import type { LengthUnit } from '@/core/measure/unit';
import type { Problem } from '@/core/room/problem';
import { FileField } from '@/ui/FileField';
import { PageLink } from '@/ui/PageLink';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { CrewCard } from './CrewCard';
import type { SeenHouse } from './CrewMember';
import { MyAccount } from './MyAccount';
import type { CrewSecret, CrewSession } from './SignIns';

interface HousesViewProps {
  readonly houses: readonly SeenHouse[];
  readonly people: readonly Person[];
  /** Who looks. */
  readonly me: string;
  readonly sessions: readonly CrewSession[];
  readonly secrets: readonly CrewSecret[];
  /** The names that are locked out by wrong passwords. */
  readonly locked: readonly string[];
  readonly now: number;
  readonly role: Role;
}

const hereZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

const NO_HOUSE: Readonly<Record<Role, string>> = {
  lead: 'No house yet. Start one below, or bring one in from a file.',
  finisher: 'No house yet. The lead starts the first one.',
  viewer: 'No house to look at yet. The lead lets you into one.',
};

/** All houses: open one, start one, bring one in from a file; and the crew. */
export function HousesView({ houses, people, me, sessions, secrets, locked, now, role }: HousesViewProps) {
  const mayEdit = role === 'lead';
  return (
    <main className="mx-auto grid w-full max-w-5xl gap-5 p-4 lg:grid-cols-2">
      <section className="sheet p-5 lg:col-span-2">
        <h1>Houses</h1>
        {houses.length === 0 && <p className="text-muted">{NO_HOUSE[role]}</p>}
        <ul className="mt-2 divide-y divide-base-300">
          {houses.map(({ id, name }) => (
            <li key={id} className="flex items-center justify-between gap-3 py-2">
              <PageLink
                href={`/h/${id}`}
                className="flex min-h-11 flex-1 items-center text-lg font-semibold text-primary hover:underline"
              >
                {name}
              </PageLink>
              <a href={`/h/${id}/file`} className="btn" download aria-label={`House file of ${name}`}>
                House file
              </a>
            </li>
          ))}
        </ul>
      </section>
      {mayEdit && <NewHouse />}
      {mayEdit && <ImportHouse />}
      {role !== 'viewer' && (
        <CrewCard
          houses={houses}
          people={people}
          me={me}
          sessions={sessions}
          secrets={secrets}
          locked={locked}
          now={now}
          mayEdit={mayEdit}
        />
      )}
      <MyAccount
        sessions={sessions.filter(({ person }) => person === me)}
        secrets={secrets.filter(({ person }) => person === me)}
        now={now}
      />
    </main>
  );
}

function NewHouse() {
  const router = useRouter();
  const form = useForm<{ name: string; unit: LengthUnit }>({ defaultValues: { name: '', unit: 'in' } });
  const { send, busy, message } = useSubmit('createHouse', form);
  return (
    <form
      noValidate
      className="sheet space-y-4 p-5"
      onSubmit={form.handleSubmit((input) =>
        send({ ...input, timeZone: hereZone() }, ({ id }) => router.push(`/h/${id}/tally?new`)),
      )}
    >
      <h2>Start a house</h2>
      <TextField
        label="Name of the house"
        error={form.formState.errors.name?.message}
        {...form.register('name', { required: 'needs a name' })}
      />
      <SelectField
        label="Measured in"
        options={[
          ['in', 'feet and inches'],
          ['mm', 'millimetres'],
        ]}
        {...form.register('unit')}
      />
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <button type="submit" className="btn btn-primary" disabled={busy}>
        Start house
      </button>
    </form>
  );
}

const SHOWN_PROBLEMS = 12;

function ImportHouse() {
  const router = useRouter();
  const [refusal, setRefusal] = useState<{
    readonly file: File;
    readonly message: string;
    readonly problems: readonly Problem[];
  }>();
  const { send, busy } = useSend();
  const turnMends =
    refusal && refusal.problems.length > 0 && refusal.problems.every(({ mend }) => mend === 'reverse-outline');
  const take = async (file: File, turn = false) => {
    setRefusal(undefined);
    const answer = await send('importHouse', { text: await file.text(), turn, timeZone: hereZone() });
    if (answer?.ok) router.push(`/h/${answer.value.id}`);
    else if (answer) setRefusal({ file, message: answer.message, problems: answer.problems });
  };
  return (
    <section className="sheet space-y-4 p-5">
      <h2>Bring in a house file</h2>
      <FileField
        label="House file (JSON)"
        accept=".json,application/json"
        disabled={busy}
        onFile={(file) => void take(file)}
      />
      <p className="text-sm text-muted">If anything is wrong in the file, nothing is imported.</p>
      {refusal && (
        <div role="alert" className="rounded-xl border-2 border-error p-3">
          <p className="font-semibold">{refusal.message}</p>
          <ul className="mt-1 space-y-1 text-sm">
            {refusal.problems.slice(0, SHOWN_PROBLEMS).map(({ path, reason }) => (
              <li key={`${path} ${reason}`}>
                <code>{path}</code> {reason}
              </li>
            ))}
          </ul>
          {refusal.problems.length > SHOWN_PROBLEMS && (
            <p className="text-sm">and {refusal.problems.length - SHOWN_PROBLEMS} more</p>
          )}
          {turnMends && (
            <button type="button" className="btn mt-3" disabled={busy} onClick={() => void take(refusal.file, true)}>
              Turn these outlines round and bring it in
            </button>
          )}
        </div>
      )}
    </section>
  );
}
