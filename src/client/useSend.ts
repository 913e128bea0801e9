'use client';

import { useRef, useState } from 'react';
import type { Answer } from '@/contract/answer';
import type { CommandName, InputOf, ValueOf } from '@/contract/commands';
import { SERVER_LOST, sendCommand } from './sendCommand';

/** An answer, or that there was none. */
type Sent<Value> =
  | Answer<Value>
  | { readonly ok: false; readonly kind: 'lost'; readonly message: string; readonly problems: readonly [] };

/** Sends commands one at a time; what was lost on the way is a refusal like the others. */
export function useSend() {
  const [busy, setBusy] = useState(false);
  const sending = useRef(false);

  /** @returns undefined while another one is on its way: a double tap sends nothing twice */
  async function send<Name extends CommandName>(
    name: Name,
    input: InputOf<Name>,
  ): Promise<Sent<ValueOf<Name>> | undefined> {
    if (sending.current) return undefined;
    sending.current = true;
    setBusy(true);
    try {
      // The answers of a command are those of its name.
      return (await sendCommand(name, input)) as Answer<ValueOf<Name>>;
    } catch {
      return { ok: false, kind: 'lost', message: SERVER_LOST, problems: [] };
    } finally {
      sending.current = false;
      setBusy(false);
    }
  }
  return { send, busy };
}
