'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { useForm } from 'react-hook-form';
import { useSubmit } from '@/client/useSubmit';
import { Sign } from '@/ui/Sign';
import { TextField } from '@/ui/TextField';

interface Credentials {
  firm: string;
  name: string;
  password: string;
}

const WORDS = {
  signIn: { title: 'Sign in', lead: 'Your name and password, as the crew lead gave them to you.', button: 'Sign in' },
  setUp: {
    title: 'Start Oak Tally',
    lead: 'Create the crew lead’s account. You can add the crew later.',
    button: 'Make the account',
  },
} as const;

interface SignInViewProps {
  readonly purpose: keyof typeof WORDS;
  /** Where several firms work with one server, and where one is made; also once the server has said that it needs it. */
  readonly asksFirm: boolean;
}

/** Signing in, and making the first account; the two differ in words only. */
export function SignInView({ purpose, asksFirm }: SignInViewProps) {
  const words = WORDS[purpose];
  const router = useRouter();
  const form = useForm<Credentials>({ defaultValues: { firm: '', name: '', password: '' } });
  const { send, busy, message } = useSubmit(purpose, form);
  // Nobody is signed in here: what the device keeps of houses is nobody's any more.
  useEffect(() => {
    void import('@/client/outbox/deviceStore').then(({ leaveNothing }) => leaveNothing()).catch(() => undefined);
  }, []);
  return (
    <main className="grid min-h-dvh place-items-center p-4">
      <form
        noValidate
        className="sheet w-full max-w-md space-y-5 p-6 sm:p-8"
        onSubmit={form.handleSubmit((input) =>
          send(input, () => {
            router.push('/');
            router.refresh();
          }),
        )}
      >
        <div className="flex items-center gap-3">
          <Sign className="size-10" />
          <span className="narrow text-2xl font-bold">Oak Tally</span>
        </div>
        <div>
          <h1>{words.title}</h1>
          <p className="text-muted">{words.lead}</p>
        </div>
        {(asksFirm || form.formState.errors.firm || form.watch('firm') !== '') && (
          <TextField
            label="Firm"
            autoComplete="organization"
            hint={purpose === 'setUp' ? 'What the crew calls itself; may stay empty.' : undefined}
            error={form.formState.errors.firm?.message}
            {...form.register('firm')}
          />
        )}
        <TextField
          label="Name"
          autoComplete="username"
          error={form.formState.errors.name?.message}
          {...form.register('name', { required: 'needs a name' })}
        />
        <TextField
          label="Password"
          type="password"
          autoComplete={purpose === 'signIn' ? 'current-password' : 'new-password'}
          error={form.formState.errors.password?.message}
          {...form.register('password', { required: 'needs the password' })}
        />
        {message && (
          <p role="alert" className="text-error">
            {message}
          </p>
        )}
        <button type="submit" className="btn btn-primary btn-lg w-full" disabled={busy}>
          {busy ? 'One moment …' : words.button}
        </button>
      </form>
    </main>
  );
}
