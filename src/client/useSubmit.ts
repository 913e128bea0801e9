'use client';

import { useState } from 'react';
import type { FieldPath, FieldValues, UseFormReturn } from 'react-hook-form';
import type { CommandName, InputOf, ValueOf } from '@/contract/commands';
import { useSend } from './useSend';

/**
 * Sends a form as a command. Problems with a path land beside their fields, everything else in `message`; the form keeps
 * what was typed.
 */
export function useSubmit<Values extends FieldValues, Name extends CommandName>(
  name: Name,
  form: UseFormReturn<Values>,
) {
  const { send: sendIt, busy } = useSend();
  const [message, setMessage] = useState<string>();
  async function send(input: InputOf<Name>, done: (value: ValueOf<Name>) => void): Promise<void> {
    setMessage(undefined);
    const answer = await sendIt(name, input);
    if (!answer) return;
    if (answer.ok) return done(answer.value);
    const fields = Object.keys(form.getValues());
    const placed = answer.problems.filter(({ path }) => fields.includes(path.split(/[.[]/)[0] ?? ''));
    for (const { path, reason } of placed) form.setError(path as FieldPath<Values>, { message: reason });
    if (placed.length === 0) setMessage(answer.message);
  }
  return { send, busy, message };
}
