'use client';

import { useState } from 'react';
import { ProblemButton } from '@/ui/problem/ProblemButton';
import { SelectField } from '@/ui/SelectField';

/** Notes an item in a room that is not at its sanding yet: a torn corner is seen on any day. */
export function NoteAnywhere({
  now,
  rooms,
}: {
  readonly now: number;
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
}) {
  const [chosen, setChosen] = useState('');
  const room = rooms.find(({ id }) => id === chosen) ?? rooms[0];
  if (!room) return null;
  return (
    <section className="sheet space-y-3 p-4">
      <h2>Report a problem in another room</h2>
      <SelectField
        label="Room"
        value={room.id}
        options={rooms.map(({ id, name }) => [id, name] as const)}
        onChange={(event) => setChosen(event.target.value)}
      />
      <ProblemButton now={now} room={room} />
    </section>
  );
}
