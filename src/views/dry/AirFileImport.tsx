'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { SERVER_LOST, sendCommand } from '@/client/sendCommand';
import type { LengthUnit } from '@/core/measure/unit';
import { SelectField } from '@/ui/SelectField';
import { AirFilePreview } from './AirFilePreview';
import { MappingFields } from './MappingFields';
import { useAirFile } from './useAirFile';

/** A file of readings: which column says what, a look at what would be taken, and then it is taken. */
export function AirFileImport({
  houseId,
  rooms,
  unit,
  timeZone,
  now,
}: {
  readonly houseId: string;
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
  readonly unit: LengthUnit;
  readonly timeZone: string;
  readonly now: number;
}) {
  const router = useRouter();
  const file = useAirFile(timeZone, now);
  const { opened } = file;
  const [room, setRoom] = useState('');
  const [busy, setBusy] = useState(false);
  const [told, setTold] = useState<{ readonly ok: boolean; readonly words: string }>();

  const open = async (chosen: File | undefined) => {
    if (!chosen) return;
    setTold(undefined);
    const trouble = await file.open(chosen);
    if (trouble !== undefined) setTold({ ok: false, words: trouble });
  };
  const take = async () => {
    if (!opened) return;
    setBusy(true);
    try {
      const answer = await sendCommand('importAir', {
        house: houseId,
        room: room === '' ? null : room,
        text: opened.text,
        mapping: opened.mapping,
      });
      if (!answer.ok) return setTold({ ok: false, words: answer.message });
      const { recorded, known, refused } = answer.value;
      setTold({ ok: true, words: `${recorded} readings taken, ${known} known before, ${refused} left out.` });
      file.close();
      router.refresh();
    } catch {
      setTold({ ok: false, words: SERVER_LOST });
    } finally {
      setBusy(false);
    }
  };
  return (
    <section className="sheet space-y-3 p-4" aria-label="Bring in a file of readings">
      <h2>Bring in a file of readings</h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <label className="block">
          <span className="mb-1 block text-sm font-semibold">File (CSV)</span>
          <input
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            className="file-input w-full"
            disabled={busy}
            onChange={(event) => {
              void open(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </label>
        <SelectField
          label="Measured in"
          value={room}
          onChange={(event) => setRoom(event.target.value)}
          options={[['', 'the house'], ...rooms.map(({ id, name }) => [id, name] as const)]}
        />
      </div>
      {told && (
        <p role={told.ok ? 'status' : 'alert'} className={told.ok ? 'text-success' : 'text-error'}>
          {told.words}
        </p>
      )}
      {file.failed && (
        <p role="alert" className="text-error">
          The file cannot be read here. Reload the page, then choose it again.
        </p>
      )}
      {opened && (
        <>
          <MappingFields headers={opened.headers} mapping={opened.mapping} change={file.change} />
          {opened.look ? (
            <AirFilePreview
              name={opened.name}
              look={opened.look}
              unit={unit}
              timeZone={timeZone}
              mend={(doubt) => file.change({ ...opened.mapping, unit: doubt === 'looksLikeFahrenheit' ? 'F' : 'C' })}
            />
          ) : (
            <p role="status" className="text-muted">
              Reading {opened.name} …
            </p>
          )}
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-primary"
              disabled={busy || !opened.look?.readings}
              onClick={() => void take()}
            >
              Take {(opened.look?.readings ?? 0).toLocaleString('en-US')} readings
            </button>
            <button type="button" className="btn" disabled={busy} onClick={file.close}>
              Leave it
            </button>
          </div>
        </>
      )}
    </section>
  );
}
