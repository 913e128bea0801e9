'use client';

import { useState } from 'react';
import { MarkButton } from '@/ui/entries/MarkButton';
import { TextField } from '@/ui/TextField';

const MOST_HOURS = 72;

/** Logs that a room is sealed, with the drying time on the label of the sealer. */
export function SealButton({
  now,
  room,
}: {
  readonly now: number;
  readonly room: { readonly id: string; readonly name: string };
}) {
  const [hours, setHours] = useState('');
  const dryHours = Number(hours.replace(',', '.'));
  const isRead = hours.trim() === '' || (dryHours > 0 && dryHours <= MOST_HOURS);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <TextField
        label="Drying time on the label (hours)"
        className="w-44"
        inputMode="decimal"
        placeholder="1"
        value={hours}
        error={isRead ? undefined : `Type hours, at most ${MOST_HOURS}.`}
        onChange={(event) => setHours(event.target.value)}
      />
      <MarkButton
        now={now}
        disabled={!isRead}
        said={{ kind: 'sealed', room: room.id, payload: hours.trim() === '' ? {} : { dryHours } }}
        words={`${room.name} is sealed`}
      />
    </div>
  );
}
