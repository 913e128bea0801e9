'use client';

import { useState } from 'react';
import { useCommand } from '@/client/useCommand';
import { OwnSecret } from '@/ui/OwnSecret';

/** The secret address under which a calendar reads one's list; made, made anew and ended here. */
export function MyCalendar({ has }: { readonly has: boolean }) {
  const command = useCommand();
  const [address, setAddress] = useState<string>();
  const make = async () => {
    const made = await command.run('makeCalendar', {});
    if (made) setAddress(`${location.origin}/api/calendar/${made.secret}.ics`);
  };
  const drop = async () => {
    if ((await command.run('endSecret', { kind: 'calendar' })) !== undefined) setAddress(undefined);
  };
  return (
    <OwnSecret
      title="My list in a calendar"
      secret={address}
      busy={command.busy}
      message={command.message}
      makeWords={has ? 'Make a new address' : 'Make an address'}
      make={() => void make()}
      endWords="End it"
      end={has ? () => void drop() : undefined}
    >
      A calendar that reads this address shows what is handed to you. Whoever has it can read it too.
    </OwnSecret>
  );
}
