'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { CommandName, InputOf, ValueOf } from '@/contract/commands';
import { SERVER_LOST, sendCommand } from './sendCommand';

/** Sends commands from a page: one at a time, with what to say while it runs and when it failed; then the page is shown anew. */
export function useCommand() {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [message, setMessage] = useState<string>();

  /** @returns what it answered; undefined when it was refused or lost, which `message` says */
  async function run<Name extends CommandName>(name: Name, input: InputOf<Name>): Promise<ValueOf<Name> | undefined> {
    if (busy) return undefined;
    setBusy(true);
    setMessage(undefined);
    try {
      const answer = await sendCommand(name, input);
      if (!answer.ok) {
        setMessage(answer.problems[0]?.reason ?? answer.message);
        return undefined;
      }
      router.refresh();
      return answer.value;
    } catch {
      setMessage(SERVER_LOST);
      return undefined;
    } finally {
      setBusy(false);
    }
  }
  return { run, busy, message, setMessage };
}
