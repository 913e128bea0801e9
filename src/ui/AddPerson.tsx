'use client';

import { useForm } from 'react-hook-form';
import { useSubmit } from '@/client/useSubmit';
import type { Person } from '@/core/log/person';
import { SelectField } from './SelectField';
import { TextField } from './TextField';

interface NewPerson {
  name: string;
  role: Person['role'];
  password: string;
}

/** Adds somebody to the crew, with a first password that they change. */
export function AddPerson({ added }: { readonly added: () => void }) {
  const form = useForm<NewPerson>({ defaultValues: { name: '', role: 'finisher', password: '' } });
  const { send, busy, message } = useSubmit('invite', form);
  const { errors } = form.formState;
  return (
    <form
      noValidate
      className="grid items-start gap-3 sm:grid-cols-[1fr_1fr_1fr_auto]"
      onSubmit={form.handleSubmit((input) =>
        send(input, () => {
          form.reset();
          added();
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
        Add person
      </button>
      {message && (
        <p role="alert" className="text-error sm:col-span-4">
          {message}
        </p>
      )}
    </form>
  );
}
