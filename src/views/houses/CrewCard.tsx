'use client';

import { useRouter } from 'next/navigation';
import { useForm } from 'react-hook-form';
import { useSubmit } from '@/client/useSubmit';
import type { Person } from '@/core/log/person';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';

interface NewPerson {
  name: string;
  role: Person['role'];
  password: string;
}

/** The crew, and adding to it. */
export function CrewCard({ people, mayEdit }: { readonly people: readonly Person[]; readonly mayEdit: boolean }) {
  const router = useRouter();
  const form = useForm<NewPerson>({ defaultValues: { name: '', role: 'finisher', password: '' } });
  const { send, busy, message } = useSubmit('invite', form);
  const { errors } = form.formState;
  return (
    <section className="sheet space-y-4 p-5 lg:col-span-2">
      <h2>Crew</h2>
      <ul className="flex flex-wrap gap-x-6 gap-y-1">
        {people.map(({ id, name, role }) => (
          <li key={id}>
            <span className="font-semibold">{name}</span> <span className="text-muted">{role}</span>
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
