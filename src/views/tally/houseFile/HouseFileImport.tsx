'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { useCommand } from '@/client/useCommand';
import { useWorker } from '@/client/useWorker';
import type { HouseHead } from '@/core/house/schema';
import type { Room } from '@/core/room/schema';
import { Dialog } from '@/ui/Dialog';
import { DialogEnd } from '@/ui/DialogEnd';
import { FileField } from '@/ui/FileField';
import { turned } from '@/ui/turned';
import { plural } from '@/words/plural';
import type { HouseFileWorker } from '@/workers/houseFile.worker';
import { partWords } from './partWords';

type Compared = Extract<Awaited<ReturnType<HouseFileWorker['compare']>>, { ok: true }>;
type VersionedRooms = readonly { readonly room: Room; readonly version: number }[];

/** So much of a file that is refused is told. */
const MOST_REASONS = 8;

/** A house file beside the house: what is new, changed and gone; what is chosen of it is taken over. */
export function HouseFileImport({
  house,
  houseVersion,
  rooms,
  close,
}: {
  readonly house: HouseHead;
  readonly houseVersion: number;
  readonly rooms: VersionedRooms;
  readonly close: () => void;
}) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const { run, busy, message } = useCommand();
  const [compared, setCompared] = useState<Compared>();
  // What is taken over is taken over the house beside which the file was laid, whatever the page shows by then.
  const [opened, setOpened] = useState({ houseVersion, rooms });
  const [reasons, setReasons] = useState<readonly string[]>([]);
  const [reading, setReading] = useState<string>();
  // What is gone from the file stays in the house unless somebody says so: a file may be of one floor.
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const failed = () => {
    setReading(undefined);
    setReasons(['it could not be read in this browser']);
  };
  const worker = useWorker<HouseFileWorker>(
    () => new Worker(new URL('../../../workers/houseFile.worker.ts', import.meta.url), { type: 'module' }),
    failed,
  );
  const open = async (file: File) => {
    setCompared(undefined);
    setReasons([]);
    setReading(file.name);
    try {
      const asked = worker.ask();
      const own = rooms.map(({ room }) => room);
      setOpened({ houseVersion, rooms });
      const answer = await asked.compare(await file.text(), house, own);
      if (!worker.isAsked(asked)) return;
      setReading(undefined);
      if (!answer.ok) return setReasons(answer.reasons);
      setCompared(answer);
      setWithout(new Set(answer.found.gone.map(({ id }) => `gone ${id}`)));
    } catch {
      failed();
    }
  };
  const takes = (key: string) => !without.has(key);
  const found = compared?.found;
  const versionOf = (id: string) => opened.rooms.find(({ room }) => room.id === id)?.version ?? 0;
  const chosen = found && {
    added: found.added.filter(({ id }) => takes(`new ${id}`)),
    changed: found.changed.filter(({ now }) => takes(`changed ${now.id}`)),
    gone: found.gone.filter(({ id }) => takes(`gone ${id}`)),
    method: found.method && takes('method'),
    hang: found.hang && takes('hang'),
  };
  const count = chosen
    ? chosen.added.length + chosen.changed.length + chosen.gone.length + Number(chosen.method) + Number(chosen.hang)
    : 0;
  const take = async () => {
    if (!chosen || !compared) return;
    const done = await run('mergeHouse', {
      house: houseId,
      added: chosen.added.map(({ id: _id, ...room }) => room),
      changed: chosen.changed.map(({ file, parts }) => ({
        room: file,
        version: versionOf(file.id),
        parts: [...parts],
      })),
      removed: chosen.gone.map(({ id }) => ({ room: id, version: versionOf(id) })),
      ...((chosen.method || chosen.hang) && {
        head: {
          version: opened.houseVersion,
          ...(chosen.method && { method: compared.head.method }),
          ...(chosen.hang && { hang: compared.head.hang }),
        },
      }),
    });
    if (!done) return;
    close();
    router.push(`/h/${houseId}/tally`);
  };
  const row = (key: string, words: string, detail: string) => (
    <li key={key}>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="checkbox"
          checked={takes(key)}
          onChange={() => setWithout(turned(without, key))}
        />
        <span className="flex-1">{words}</span>
        <span className="text-sm text-muted">{detail}</span>
      </label>
    </li>
  );
  return (
    <Dialog title="From a house file" close={close} className="w-[min(96vw,44rem)] max-w-none">
      <p className="text-muted">
        Import a file of this house that was edited elsewhere. Rooms are matched by id. Choose what to import; nothing
        changes before you confirm.
      </p>
      <FileField
        label="House file (JSON)"
        accept=".json,application/json"
        className="max-w-md"
        disabled={busy}
        onFile={(file) => void open(file)}
      />
      {reading && <p role="status">Reading {reading} …</p>}
      {(reasons.length > 0 || message) && (
        <div role="alert" className="text-error">
          {message ?? 'The file is refused:'}
          <ul className="list-disc pl-5 text-sm">
            {reasons.slice(0, MOST_REASONS).map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
          {reasons.length > MOST_REASONS && <p className="text-sm">and {reasons.length - MOST_REASONS} more</p>}
        </div>
      )}
      {found && (
        <>
          <p role="status">
            {plural(found.added.length, 'new room')}, {found.changed.length} changed, {found.gone.length} not in the
            file; {plural(found.same, 'room')} as here.
          </p>
          <ul aria-label="What the file changes" className="max-h-[46dvh] divide-y divide-base-300 overflow-y-auto">
            {found.added.map(({ id, name }) => row(`new ${id}`, name, 'new'))}
            {found.changed.map(({ now, file, parts }) =>
              row(`changed ${now.id}`, file.name, `changed: ${parts.map(partWords).join(', ')}`),
            )}
            {found.gone.map(({ id, name }) => row(`gone ${id}`, name, 'not in the file: take it away here'))}
            {found.method && row('method', 'How the house is finished', 'its level and choices')}
            {found.hang && row('hang', 'How the house is hung', 'its boards and framing')}
          </ul>
        </>
      )}
      <DialogEnd
        words={busy ? 'Taking over …' : `Take over ${plural(count, 'change')}`}
        disabled={busy || count === 0}
        go={() => void take()}
        close={close}
      />
    </Dialog>
  );
}
