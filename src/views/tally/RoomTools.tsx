'use client';

import { Copy, Trash2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Answer } from '@/core/house/answer';
import { MIRRORINGS, type Mirroring } from '@/core/house/copyRoom';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { SERVER_LOST } from '@/ui/useSubmit';

/** What can be done with a whole room. */
export interface RoomActions {
  readonly copyRoom: (input: {
    house: string;
    room: string;
    times: number;
    mirror: Mirroring;
  }) => Promise<Answer<{ readonly ids: readonly string[] }>>;
  readonly removeRoom: (input: { house: string; room: string }) => Promise<Answer<null>>;
  readonly restoreRoom: (input: { house: string; room: string }) => Promise<Answer<null>>;
}

const MIRROR_WORDS: Readonly<Record<Mirroring, string>> = {
  none: 'as it is',
  all: 'all mirrored, framing too',
  alternate: 'every other one mirrored',
};

/** Copy, mirror, multiply and remove a room. */
export function RoomTools({
  houseId,
  room,
  copyRoom,
  removeRoom,
}: Omit<RoomActions, 'restoreRoom'> & {
  readonly houseId: string;
  readonly room: { readonly id: string; readonly name: string };
}) {
  const router = useRouter();
  const dialog = useRef<HTMLDialogElement>(null);
  const [times, setTimes] = useState('1');
  const [mirror, setMirror] = useState<Mirroring>('none');
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();

  async function send<Value>(ask: () => Promise<Answer<Value>>, done: (value: Value) => void): Promise<void> {
    if (busy) return;
    setBusy(true);
    setError(undefined);
    try {
      const answer = await ask();
      if (answer.ok) done(answer.value);
      else setError(answer.problems[0]?.reason ?? answer.message);
    } catch {
      setError(SERVER_LOST);
    } finally {
      setBusy(false);
    }
  }
  const copy = () => {
    const count = Number(times);
    if (!Number.isInteger(count) || count < 1) return setError('how many is a whole number from 1 to 60');
    void send(
      () => copyRoom({ house: houseId, room: room.id, times: count, mirror }),
      ({ ids }) => {
        dialog.current?.close();
        router.push(`/h/${houseId}/tally?room=${ids[0] ?? room.id}`);
      },
    );
  };
  const remove = () =>
    void send(
      () => removeRoom({ house: houseId, room: room.id }),
      () => router.push(`/h/${houseId}/tally?removed=${room.id}`),
    );

  return (
    <>
      <button type="button" className="btn" onClick={() => dialog.current?.showModal()}>
        <Copy className="size-5" aria-hidden="true" /> Copy
      </button>
      <button
        type="button"
        className="btn btn-square"
        aria-label={`Remove ${room.name}`}
        title="Remove"
        onClick={remove}
        disabled={busy}
      >
        <Trash2 className="size-5" aria-hidden="true" />
      </button>
      {error && !dialog.current?.open && (
        <span role="alert" className="text-error">
          {error}
        </span>
      )}
      <dialog ref={dialog} className="modal" aria-labelledby="copy-title">
        <div className="modal-box space-y-4">
          <h2 id="copy-title">Copy {room.name}</h2>
          <TextField
            label="How many"
            inputMode="numeric"
            value={times}
            onChange={({ target }) => setTimes(target.value)}
            error={error}
          />
          <SelectField
            label="Copies are"
            options={MIRRORINGS.map((choice) => [choice, MIRROR_WORDS[choice]] as const)}
            value={mirror}
            onChange={({ target }) => setMirror(MIRRORINGS.find((choice) => choice === target.value) ?? 'none')}
          />
          <form method="dialog" className="flex justify-end gap-2">
            <button type="submit" className="btn">
              Cancel
            </button>
            <button type="button" className="btn btn-primary" onClick={copy} disabled={busy}>
              {busy ? 'Copying …' : 'Copy'}
            </button>
          </form>
        </div>
      </dialog>
    </>
  );
}
