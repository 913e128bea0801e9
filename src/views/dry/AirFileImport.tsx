'use client';

import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import type { LengthUnit } from '@/core/measure/unit';
import { FileField } from '@/ui/FileField';
import { SelectField } from '@/ui/SelectField';
import { AirFilePreview } from './AirFilePreview';
import { MappingFields } from './MappingFields';
import { useAirFile } from './useAirFile';
import { type Told, useTaking } from './useTaking';

/** A file of readings: which column says what, a look at what would be taken, and then it is taken. */
export function AirFileImport({
  rooms,
  unit,
  timeZone,
  now,
}: {
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
  readonly unit: LengthUnit;
  readonly timeZone: string;
  readonly now: number;
}) {
  const { id: houseId } = useHouse();
  const file = useAirFile(timeZone, now);
  const { opened } = file;
  const [room, setRoom] = useState('');
  const [trouble, setTrouble] = useState<Told>();
  const taking = useTaking(houseId, file);
  const busy = taking.taken !== undefined;

  const open = async (chosen: File) => {
    taking.forget();
    const words = await file.open(chosen);
    setTrouble(words === undefined ? undefined : { ok: false, words });
  };
  const told = taking.told ?? trouble;
  const place = room === '' ? null : room;
  return (
    <section className="sheet space-y-3 p-4" aria-label="Bring in a file of readings">
      <h2>Bring in a file of readings</h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <FileField
          label="File (CSV)"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          disabled={busy}
          onFile={(chosen) => void open(chosen)}
        />
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
          {taking.taken !== undefined && (
            <label className="block text-sm">
              {taking.taken.toLocaleString('en-US')} of {(opened.look?.readings ?? 0).toLocaleString('en-US')} readings
              are in
              <progress className="progress progress-primary" value={taking.taken} max={opened.look?.readings ?? 0} />
            </label>
          )}
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-primary"
              disabled={busy || !opened.look?.readings}
              onClick={() => void taking.take(place)}
            >
              Take {(opened.look?.readings ?? 0).toLocaleString('en-US')} readings
            </button>
            {busy ? (
              <button type="button" className="btn" onClick={taking.stop}>
                Stop
              </button>
            ) : (
              <button type="button" className="btn" onClick={file.close}>
                Leave it
              </button>
            )}
          </div>
        </>
      )}
    </section>
  );
}
