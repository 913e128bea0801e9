'use client';

import { useState } from 'react';
import type { FieldPath, FieldValues, UseFormReturn } from 'react-hook-form';
import type { Answer } from '@/core/house/answer';

/** What to say when the server did not answer; nothing that was typed is lost. */
export const SERVER_LOST = 'The server did not answer. What you typed is still here; try again.';

/**
 * Sends a form to an action. Problems with a path land beside their fields, everything else in `message`; the form
 * keeps what was typed.
 */
export function useSubmit<Values extends FieldValues, Input, Value>(
  submit: (input: Input) => Promise<Answer<Value>>,
  form: UseFormReturn<Values>,
) {
  const [busy, setBusy] = useState(false);
  const [message, setMessage] = useState<string>();
  async function send(input: Input, done: (value: Value) => void): Promise<void> {
    setBusy(true);
    setMessage(undefined);
    try {
      const answer = await submit(input);
      if (answer.ok) return done(answer.value);
      const fields = Object.keys(form.getValues());
      const placed = answer.problems.filter(({ path }) => fields.includes(path.split(/[.[]/)[0] ?? ''));
      for (const { path, reason } of placed) form.setError(path as FieldPath<Values>, { message: reason });
      if (placed.length === 0) setMessage(answer.message);
    } catch {
      setMessage(SERVER_LOST);
    } finally {
      setBusy(false);
    }
  }
  return { send, busy, message };
}
