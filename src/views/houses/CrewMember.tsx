'use client';

import { ChevronRight } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useCommand } from '@/client/useCommand';
import { useSubmit } from '@/client/useSubmit';
import type { Person } from '@/core/log/person';
import { TextField } from '@/ui/TextField';
import { SeenHouses } from './SeenHouses';
import { type CrewSecret, type CrewSession, SignIns } from './SignIns';

/** A house with the viewers who were let into it. */
export interface SeenHouse {
  readonly id: string;
  readonly name: string;
  readonly viewers: readonly string[];
}

/** Somebody on the crew, as a lead sees them: where they are signed in, a new password, and taking them off. */
export function CrewMember({
  person,
  houses,
  sessions,
  secrets,
  locked,
  now,
}: {
  readonly person: Person;
  readonly houses: readonly SeenHouse[];
  readonly sessions: readonly CrewSession[];
  readonly secrets: readonly CrewSecret[];
  /** Whether wrong passwords keep them from signing in. */
  readonly locked: boolean;
  readonly now: number;
}) {
  const seen = houses.filter(({ viewers }) => viewers.includes(person.id)).map(({ id }) => id);
  return (
    <details className="group">
      <summary className="flex min-h-11 cursor-pointer items-center gap-2">
        <ChevronRight className="size-4 text-muted transition-transform group-open:rotate-90" aria-hidden="true" />
        <span className="font-semibold">{person.name}</span>
        <span className="text-muted">
          {person.role}
          {person.role === 'viewer' && `, ${seen.length === 1 ? '1 house' : `${seen.length || 'no'} houses`}`}
          {locked && (
            <>
              , <strong className="text-warning">locked out</strong>
            </>
          )}
          {sessions.length > 0 && `, ${sessions.length} ${sessions.length === 1 ? 'sign-in' : 'sign-ins'}`}
        </span>
      </summary>
      <div className="grid gap-5 py-3 pl-6 md:grid-cols-2">
        <div>
          <h3 className="mb-1 text-sm font-semibold">Sign-ins</h3>
          <SignIns sessions={sessions} secrets={secrets} now={now} />
        </div>
        <div className="space-y-4">
          {locked && <Unlock person={person} />}
          {person.role === 'viewer' && <SeenHouses person={person} houses={houses} seen={seen} />}
          <NewPassword person={person} />
          <TakeOff person={person} />
        </div>
      </div>
    </details>
  );
}

function Unlock({ person: { id, name } }: { readonly person: Person }) {
  const { run, busy, message } = useCommand();
  return (
    <div className="space-y-2">
      <p>Too many wrong passwords for {name}. Signing in is locked for a few minutes on some devices.</p>
      <button type="button" className="btn" disabled={busy} onClick={() => void run('unlockSignIn', { person: id })}>
        Unlock sign-in
      </button>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
    </div>
  );
}

function NewPassword({ person: { id, name } }: { readonly person: Person }) {
  const router = useRouter();
  const form = useForm({ defaultValues: { password: '' } });
  const { send, busy, message } = useSubmit('resetPassword', form);
  const [given, setGiven] = useState(false);
  return (
    <form
      noValidate
      className="flex items-start gap-2"
      onSubmit={form.handleSubmit(({ password }) =>
        send({ person: id, password }, () => {
          form.reset();
          setGiven(true);
          router.refresh();
        }),
      )}
    >
      <TextField
        className="flex-1"
        label={`New password for ${name}`}
        type="password"
        autoComplete="new-password"
        hint={
          given
            ? 'Password changed. Signed out everywhere.'
            : 'Signs them out everywhere, and ends their calendar address and laser key.'
        }
        error={form.formState.errors.password?.message ?? message}
        {...form.register('password', { minLength: { value: 8, message: 'must have at least 8 characters' } })}
      />
      <button type="submit" className="btn mt-6" disabled={busy}>
        Set password
      </button>
    </form>
  );
}

/** Asked twice: they cannot sign in any more from the moment on. */
function TakeOff({ person: { id, name } }: { readonly person: Person }) {
  const [asked, setAsked] = useState(false);
  const { run, busy, message } = useCommand();
  return (
    <div>
      {asked ? (
        <div className="space-y-2">
          <p>{name} will be signed out everywhere and cannot sign in again. What they did stays in the record.</p>
          <div className="flex gap-2">
            <button
              type="button"
              className="btn btn-error"
              disabled={busy}
              onClick={() => void run('removePerson', { person: id })}
            >
              Take {name} off the crew
            </button>
            <button type="button" className="btn btn-ghost" onClick={() => setAsked(false)}>
              Cancel
            </button>
          </div>
        </div>
      ) : (
        <button type="button" className="btn" onClick={() => setAsked(true)}>
          Take {name} off …
        </button>
      )}
      {message && (
        <p role="alert" className="mt-1 text-error">
          {message}
        </p>
      )}
    </div>
  );
}
