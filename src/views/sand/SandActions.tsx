'use client';

import { useState } from 'react';
import { useLog } from '@/client/useLog';
import { TextField } from '@/ui/TextField';

/** Closes an open item. */
export function CloseItem({
  houseId,
  now,
  room,
  item,
}: {
  readonly houseId: string;
  readonly now: number;
  readonly room: string;
  readonly item: { readonly id: string; readonly text: string };
}) {
  const log = useLog(houseId, now);
  return (
    <span>
      <button
        type="button"
        className="btn"
        disabled={log.busy}
        aria-label={`Mended: ${item.text}`}
        onClick={() => void log.write([{ kind: 'itemClosed', room, payload: { item: item.id } }])}
      >
        Mended
      </button>
      {log.message && (
        <span role="alert" className="text-sm text-error">
          {log.message}
        </span>
      )}
    </span>
  );
}

/** Notes what the light showed. */
export function AddItem({
  houseId,
  now,
  room,
  name,
}: {
  readonly houseId: string;
  readonly now: number;
  readonly room: string;
  readonly name: string;
}) {
  const log = useLog(houseId, now);
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
        label={`Note what the light shows in ${name}`}
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
