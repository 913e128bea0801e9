'use client';

import { useState } from 'react';
import { useLog } from '@/client/useLog';
import { Dialog } from '@/ui/Dialog';
import { DialogEnd } from '@/ui/DialogEnd';

/** Logs that new boards hang on faces of a room: all of their joints start over, and the record of the old ones stays. */
export function NewBoards({
  room,
  faces,
  now,
  close,
}: {
  readonly room: { readonly id: string; readonly name: string };
  readonly faces: readonly (readonly [id: string, name: string])[];
  readonly now: number;
  readonly close: () => void;
}) {
  const log = useLog(now);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [isMissing, setMissing] = useState(false);
  const toggle = (face: string, on: boolean) => {
    setChosen((before) => new Set(on ? [...before, face] : [...before].filter((other) => other !== face)));
    setMissing(false);
  };
  const startOver = async () => {
    if (chosen.size === 0) return setMissing(true);
    if (await log.write([{ kind: 'boards', room: room.id, payload: { faces: [...chosen], are: 'new' } }])) close();
  };
  const message = log.message ?? (isMissing ? 'Choose the faces with new boards.' : undefined);
  return (
    <Dialog title={`New boards in ${room.name}`} close={close}>
      <p>All joints on these faces start over, tape first. What was logged on the old boards stays in the record.</p>
      <fieldset className="grid grid-cols-2 gap-2">
        <legend className="sr-only">Faces with new boards</legend>
        {faces.map(([id, name]) => (
          <label key={id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox"
              checked={chosen.has(id)}
              onChange={(event) => toggle(id, event.target.checked)}
            />
            <span className="first-letter:uppercase">{name}</span>
          </label>
        ))}
      </fieldset>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <DialogEnd words="Start joints over" disabled={log.busy} go={() => void startOver()} close={close} />
    </Dialog>
  );
}
