'use client';

import { useRouter } from 'next/navigation';
import { useForm } from 'react-hook-form';
import { useSubmit } from '@/client/useSubmit';
import type { Person } from '@/core/log/person';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { CrewMember, type SeenHouse } from './CrewMember';
import type { CrewSession } from './SignIns';

interface NewPerson {
  name: string;
  role: Person['role'];
  password: string;
}

interface CrewCardProps {
  readonly houses: readonly SeenHouse[];
  readonly people: readonly Person[];
  readonly me: string;
  readonly sessions: readonly CrewSession[];
  readonly now: number;
  readonly mayEdit: boolean;
}

/** The crew: who is on it; a lead adds people, gives new passwords, ends sign-ins and takes people off. */
export function CrewCard({ houses, people, me, sessions, now, mayEdit }: CrewCardProps) {
  const router = useRouter();
  const form = useForm<NewPerson>({ defaultValues: { name: '', role: 'finisher', password: '' } });
  const { send, busy, message } = useSubmit('invite', form);
  const { errors } = form.formState;
  return (
    <section className="sheet space-y-4 p-5 lg:col-span-2" aria-label="Crew">
      <h2>Crew</h2>
      <ul className="divide-y divide-base-300">
        {people.map((person) => (
          <li key={person.id} className="py-1">
            {mayEdit && person.id !== me ? (
              <CrewMember
                person={person}
                houses={houses}
                sessions={sessions.filter((session) => session.person === person.id)}
                now={now}
              />
            ) : (
              <span className={`flex min-h-11 items-center gap-2 ${mayEdit ? 'pl-6' : ''}`}>
                <span className="font-semibold">{person.name}</span>
                <span className="text-muted">
                  {person.role}
                  {person.id === me && ', you'}
                </span>
              </span>
            )}
          </li>
        ))}
      </ul>
      {mayEdit && (
        <form
          noValidate
          className="grid items-start gap-3 sm:grid-cols-[1fr_1fr_1fr_auto]"
          onSubmit={form.handleSubmit((input) =>
            send(input, () => {
              form.reset();
              router.refresh();
            }),
          )}
        >
          <TextField
            label="Name"
            autoComplete="off"
            error={errors.name?.message}
            {...form.register('name', { required: 'needs a name' })}
          />
          <SelectField
            label="Role"
            options={[
              ['finisher', 'finisher'],
              ['lead', 'lead'],
              ['viewer', 'viewer'],
            ]}
            {...form.register('role')}
          />
          <TextField
            label="First password"
            type="password"
            autoComplete="new-password"
            error={errors.password?.message}
            {...form.register('password', { minLength: { value: 8, message: 'must have at least 8 characters' } })}
          />
          <button type="submit" className="btn btn-primary sm:mt-6" disabled={busy}>
            Add
          </button>
          {message && (
            <p role="alert" className="text-error sm:col-span-4">
              {message}
            </p>
          )}
        </form>
      )}
    </section>
  );
}
