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
      makeWords={has ? 'Create new address' : 'Create address'}
      make={() => void make()}
      endWords="End address"
      end={has ? () => void drop() : undefined}
    >
      Add this address to your calendar to see your jobs. Anyone who has it can read them.
    </OwnSecret>
  );
}
