'use client';

import { useState } from 'react';
import { useLog } from '@/client/useLog';
import { TextField } from './TextField';

/** Notes an open item in a room: what the light shows, what somebody broke. */
export function NoteItem({
  now,
  room,
  label,
}: {
  readonly now: number;
  readonly room: string;
  readonly label: string;
}) {
  const log = useLog(now);
  const [text, setText] = useState('');
  const add = async () => {
    if (text.trim() !== '' && (await log.write([{ kind: 'item', room, payload: { text: text.trim() } }]))) setText('');
  };
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <TextField
        label={label}
        className="flex-1"
        value={text}
        maxLength={500}
        error={log.message}
        onChange={(event) => setText(event.target.value)}
      />
      <button type="submit" className={`btn ${log.message ? 'mb-6' : ''}`} disabled={log.busy || text.trim() === ''}>
        Note
      </button>
    </form>
  );
}
