'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { CommandName, InputOf, ValueOf } from '@/contract/commands';
import { useSend } from './useSend';

/** Sends commands from a page, with what to say while one runs and when it failed; then the page is shown anew. */
export function useCommand() {
  const router = useRouter();
  const { send, busy } = useSend();
  const [message, setMessage] = useState<string>();

  /** @returns what it answered; undefined when it was refused or lost, which `message` says */
  async function run<Name extends CommandName>(name: Name, input: InputOf<Name>): Promise<ValueOf<Name> | undefined> {
    if (!busy) setMessage(undefined);
    const answer = await send(name, input);
    if (!answer) return undefined;
    if (!answer.ok) {
      setMessage(answer.problems[0]?.reason ?? answer.message);
      return undefined;
    }
    router.refresh();
    return answer.value;
  }
  return { run, busy, message, setMessage };
}
