'use client';

import { useRef, useState } from 'react';
import { TextField } from '@/ui/TextField';
import type { Said } from '@/ui/useLog';
import type { BoardRow } from './boardRows';

/** Holds a room for others with the reason, or releases it. */
export function HoldButton({
  row,
  busy,
  write,
}: {
  readonly row: BoardRow;
  readonly busy: boolean;
  readonly write: (said: readonly Said[]) => Promise<boolean>;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [why, setWhy] = useState('');
  if (row.held !== undefined) {
    return (
      <button
        type="button"
        className="btn btn-sm"
        disabled={busy}
        onClick={() => void write([{ kind: 'released', room: row.id, payload: {} }])}
      >
        Release
      </button>
    );
  }
  const hold = async () => {
    if (why.trim() !== '' && (await write([{ kind: 'held', room: row.id, payload: { why: why.trim() } }])))
      dialog.current?.close();
  };
  return (
    <>
      <button
        type="button"
        className="btn btn-ghost btn-sm px-1 text-muted"
        onClick={() => dialog.current?.showModal()}
        aria-label={`Hold ${row.name}`}
      >
        Hold
      </button>
      <dialog ref={dialog} className="modal" aria-label={`Hold ${row.name}`}>
        <form
          method="dialog"
          className="modal-box space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            void hold();
          }}
        >
          <h2>Hold {row.name}</h2>
          <TextField
            label="Who has it, and until when"
            value={why}
            maxLength={500}
            onChange={(event) => setWhy(event.target.value)}
            hint="For example: electrician until noon"
          />
          <div className="modal-action">
            <button type="button" className="btn" onClick={() => dialog.current?.close()}>
              Cancel
            </button>
            <button type="submit" className="btn btn-primary" disabled={busy || why.trim() === ''}>
              Hold the room
            </button>
          </div>
        </form>
      </dialog>
    </>
  );
}
