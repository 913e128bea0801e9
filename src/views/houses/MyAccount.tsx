'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useSubmit } from '@/client/useSubmit';
import { TextField } from '@/ui/TextField';
import { type CrewSecret, type CrewSession, SignIns } from './SignIns';

/** One's own sign-ins and password. */
export function MyAccount({
  sessions,
  secrets,
  now,
}: {
  readonly sessions: readonly CrewSession[];
  readonly secrets: readonly CrewSecret[];
  readonly now: number;
}) {
  const router = useRouter();
  const form = useForm({ defaultValues: { password: '', next: '' } });
  const { send, busy, message } = useSubmit('changePassword', form);
  const { errors } = form.formState;
  const [changed, setChanged] = useState(false);
  return (
    <section className="sheet grid gap-5 p-5 md:grid-cols-2 lg:col-span-2" aria-label="My account">
      <div>
        <h2>Where I am signed in</h2>
        <SignIns sessions={sessions} secrets={secrets} now={now} />
      </div>
      <form
        noValidate
        className="space-y-3"
        onSubmit={form.handleSubmit((input) =>
          send(input, () => {
            form.reset();
            setChanged(true);
            router.refresh();
          }),
        )}
      >
        <h2>My password</h2>
        <TextField
          label="Password now"
          type="password"
          autoComplete="current-password"
          error={errors.password?.message}
          {...form.register('password', { required: 'needs the password' })}
        />
        <TextField
          label="New password"
          type="password"
          autoComplete="new-password"
          hint="Signs you out on all other devices."
          error={errors.next?.message}
          {...form.register('next', { minLength: { value: 8, message: 'must have at least 8 characters' } })}
        />
        <div className="flex items-center gap-3">
          <button type="submit" className="btn" disabled={busy}>
            Change password
          </button>
          <p role="status" className="text-sm">
            {changed && !form.formState.isDirty && 'Changed. Other sign-ins have ended.'}
          </p>
        </div>
        {message && (
          <p role="alert" className="text-error">
            {message}
          </p>
        )}
      </form>
    </section>
  );
}
