'use client';

import { useState } from 'react';
import type { Said } from '@/client/useLog';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import type { BoardRow } from './boardRows';

interface HoldProps {
  readonly row: BoardRow;
  readonly busy: boolean;
  readonly write: (said: readonly Said[]) => Promise<boolean>;
}

/** Holds a room for others with the reason, or releases it. */
export function HoldButton({ row, busy, write }: HoldProps) {
  const [asking, setAsking] = useState(false);
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
  return (
    <>
      <button
        type="button"
        className="btn btn-ghost btn-sm px-1 text-muted"
        onClick={() => setAsking(true)}
        aria-label={`Hold ${row.name}`}
      >
        Hold
      </button>
      {asking && <HoldDialog row={row} busy={busy} write={write} close={() => setAsking(false)} />}
    </>
  );
}

function HoldDialog({ row, busy, write, close }: HoldProps & { readonly close: () => void }) {
  const [why, setWhy] = useState('');
  const hold = async () => {
    if (await write([{ kind: 'held', room: row.id, payload: { why: why.trim() } }])) close();
  };
  return (
    <Dialog title={`Hold ${row.name}`} close={close}>
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          void hold();
        }}
      >
        <TextField
          label="Who has it, and until when"
          value={why}
          maxLength={500}
          onChange={(event) => setWhy(event.target.value)}
          hint="For example: electrician until noon"
        />
        <div className="modal-action">
          <button type="button" className="btn" onClick={close}>
            Cancel
          </button>
          <button type="submit" className="btn btn-primary" disabled={busy || why.trim() === ''}>
            Hold the room
          </button>
        </div>
      </form>
    </Dialog>
  );
}
