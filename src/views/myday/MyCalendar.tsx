'use client';

import { useState } from 'react';
import { useCommand } from '@/client/useCommand';

/** The secret address under which a calendar reads one's list; made, made anew and ended here. */
export function MyCalendar({ has }: { readonly has: boolean }) {
  const command = useCommand();
  const [address, setAddress] = useState<string>();
  const make = async () => {
    const made = await command.run('makeCalendar', {});
    if (made) setAddress(`${location.origin}/api/calendar/${made.secret}.ics`);
  };
  const drop = async () => {
    if ((await command.run('dropCalendar', {})) !== undefined) setAddress(undefined);
  };
  return (
    <details className="text-sm text-muted">
      <summary>My list in a calendar</summary>
      <div className="mt-2 space-y-2">
        <p>A calendar that reads this address shows what is handed to you. Whoever has it can read it too.</p>
        {address && (
          <p>
            <code className="break-all select-all">{address}</code>
            <br />
            It is shown this once.
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn btn-sm" disabled={command.busy} onClick={() => void make()}>
            {has ? 'Make a new address' : 'Make an address'}
          </button>
          {has && (
            <button type="button" className="btn btn-sm" disabled={command.busy} onClick={() => void drop()}>
              End it
            </button>
          )}
        </div>
        {command.message && (
          <p role="alert" className="text-error">
            {command.message}
          </p>
        )}
      </div>
    </details>
  );
}
