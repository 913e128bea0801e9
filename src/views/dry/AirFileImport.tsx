'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { type AirMapping, type AirTable, airTable, guessMapping } from '@/core/drying/airFile/airTable';
import { readAirFile } from '@/core/drying/airFile/readAirFile';
import type { LengthUnit } from '@/core/measure/unit';
import { SelectField } from '@/ui/SelectField';
import { SERVER_LOST } from '@/ui/useSubmit';
import { AirFilePreview } from './AirFilePreview';
import type { AirActions } from './airActions';
import { MappingFields } from './MappingFields';

interface Opened {
  readonly name: string;
  readonly text: string;
  readonly table: AirTable;
  readonly openedAt: number;
}

const LARGEST = 4_000_000;

/** A file of readings: which column says what, a look at what would be taken, and then it is taken. */
export function AirFileImport({
  houseId,
  rooms,
  unit,
  timeZone,
  importAir,
}: {
  readonly houseId: string;
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
  readonly unit: LengthUnit;
  readonly timeZone: string;
  readonly importAir: AirActions['importAir'];
}) {
  const router = useRouter();
  const [opened, setOpened] = useState<Opened>();
  const [mapping, setMapping] = useState<AirMapping>();
  const [room, setRoom] = useState('');
  const [busy, setBusy] = useState(false);
  const [told, setTold] = useState<{ readonly ok: boolean; readonly words: string }>();
  const file = useMemo(
    () => opened && mapping && readAirFile(opened.table, mapping, opened.openedAt),
    [opened, mapping],
  );

  const open = async (chosen: File | undefined) => {
    if (!chosen) return;
    setTold(undefined);
    setOpened(undefined);
    if (chosen.size > LARGEST)
      return setTold({
        ok: false,
        words: 'The file is larger than 4 MB. Split it, and bring the parts in one by one.',
      });
    const text = await chosen.text();
    const table = airTable(text);
    if (!table || table.rows.length === 0)
      return setTold({ ok: false, words: `${chosen.name} holds no table: one line per reading, columns set apart.` });
    setOpened({ name: chosen.name, text, table, openedAt: Date.now() });
    setMapping(guessMapping(table, timeZone));
  };
  const take = async () => {
    if (!opened || !mapping) return;
    setBusy(true);
    try {
      const answer = await importAir({ house: houseId, room: room === '' ? null : room, text: opened.text, mapping });
      if (!answer.ok) return setTold({ ok: false, words: answer.message });
      const { recorded, known, refused } = answer.value;
      setTold({ ok: true, words: `${recorded} readings taken, ${known} known before, ${refused} left out.` });
      setOpened(undefined);
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
      {opened && mapping && file && (
        <>
          <MappingFields table={opened.table} mapping={mapping} change={setMapping} />
          <AirFilePreview
            name={opened.name}
            file={file}
            unit={unit}
            timeZone={timeZone}
            mend={(doubt) => setMapping({ ...mapping, unit: doubt === 'looksLikeFahrenheit' ? 'F' : 'C' })}
          />
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-primary"
              disabled={busy || file.readings.length === 0}
              onClick={() => void take()}
            >
              Take {file.readings.length.toLocaleString('en-US')} readings
            </button>
            <button type="button" className="btn" disabled={busy} onClick={() => setOpened(undefined)}>
              Leave it
            </button>
          </div>
        </>
      )}
    </section>
  );
}
