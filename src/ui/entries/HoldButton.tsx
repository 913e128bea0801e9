'use client';

import { useState } from 'react';
import type { Said } from '@/client/useLog';
import { instantOn } from '@/core/work/shifts';
import { Dialog } from '../Dialog';
import { TextField } from '../TextField';

interface HoldProps {
  readonly row: { readonly id: string; readonly name: string; readonly held: string | undefined };
  readonly timeZone: string;
  readonly busy: boolean;
  readonly write: (said: readonly Said[]) => Promise<boolean>;
}

/** Holds a room for others with the reason, or releases it. */
export function HoldButton({ row, timeZone, busy, write }: HoldProps) {
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
      {asking && <HoldDialog row={row} timeZone={timeZone} busy={busy} write={write} close={() => setAsking(false)} />}
    </>
  );
}

function HoldDialog({ row, timeZone, busy, write, close }: HoldProps & { readonly close: () => void }) {
  const [why, setWhy] = useState('');
  const [until, setUntil] = useState('');
  const [forBuilder, setForBuilder] = useState(false);
  const hold = async () => {
    const [day = '', time = ''] = until.split('T');
    const [hours = 0, minutes = 0] = time.split(':').map(Number);
    const free = until === '' ? {} : { until: new Date(instantOn(day, hours + minutes / 60, timeZone)).toISOString() };
    if (
      await write([
        { kind: 'held', room: row.id, payload: { why: why.trim(), ...free, ...(forBuilder && { forBuilder }) } },
      ])
    )
      close();
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
          label="Who has it"
          value={why}
          maxLength={500}
          onChange={(event) => setWhy(event.target.value)}
          hint="For example: electrician until noon"
        />
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="checkbox"
            checked={forBuilder}
            onChange={(event) => setForBuilder(event.target.checked)}
          />
          The builder can read this reason (if not, they read “on hold”)
        </label>
        <TextField
          label="Free again (optional)"
          type="datetime-local"
          value={until}
          onChange={(event) => setUntil(event.target.value)}
          hint="It is free again by itself then; without it the plan runs it last"
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
