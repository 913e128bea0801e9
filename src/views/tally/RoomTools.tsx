'use client';

import { Copy, Trash2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { useCommand } from '@/client/useCommand';
import { MIRRORINGS, type Mirroring } from '@/core/room/copyRoom';
import { Dialog } from '@/ui/Dialog';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';

const MIRROR_WORDS: Readonly<Record<Mirroring, string>> = {
  none: 'as it is',
  all: 'all mirrored, framing too',
  alternate: 'every other one mirrored',
};

/** Copy, mirror, multiply and remove a room. */
export function RoomTools({ room }: { readonly room: { readonly id: string; readonly name: string } }) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const [copying, setCopying] = useState(false);
  const [times, setTimes] = useState('1');
  const [mirror, setMirror] = useState<Mirroring>('none');
  const { run, busy, message: error, setMessage: setError } = useCommand();

  const copy = async () => {
    const count = Number(times);
    if (!Number.isInteger(count) || count < 1) return setError('how many is a whole number from 1 to 60');
    const copied = await run('copyRoom', { house: houseId, room: room.id, times: count, mirror });
    if (!copied) return;
    setCopying(false);
    router.push(`/h/${houseId}/tally?room=${copied.ids[0] ?? room.id}`);
  };
  const remove = async () => {
    const done = await run('removeRoom', { house: houseId, room: room.id });
    if (done !== undefined) router.push(`/h/${houseId}/tally?removed=${room.id}`);
  };

  return (
    <>
      <button type="button" className="btn" onClick={() => setCopying(true)}>
        <Copy className="size-5" aria-hidden="true" /> Copy
      </button>
      <button
        type="button"
        className="btn btn-square"
        aria-label={`Remove ${room.name}`}
        title="Remove"
        onClick={() => void remove()}
        disabled={busy}
      >
        <Trash2 className="size-5" aria-hidden="true" />
      </button>
      {error && !copying && (
        <span role="alert" className="text-error">
          {error}
        </span>
      )}
      {copying && (
        <Dialog title={`Copy ${room.name}`} close={() => setCopying(false)}>
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
            <button type="button" className="btn btn-primary" onClick={() => void copy()} disabled={busy}>
              {busy ? 'Copying …' : 'Copy'}
            </button>
          </form>
        </Dialog>
      )}
    </>
  );
}
