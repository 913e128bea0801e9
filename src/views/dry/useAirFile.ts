import { useRef, useState } from 'react';
import { useWorker } from '@/client/useWorker';
import type { AirMapping } from '@/core/air/airFile/airMapping';
import type { AirFileLook } from '@/core/air/airFile/lookAtFile';
import type { AirFileWorker } from '@/workers/airFile.worker';

interface Opened {
  readonly name: string;
  readonly headers: readonly string[];
  readonly mapping: AirMapping;
  readonly openedAt: number;
  /** What the mapping makes of the file; undefined while it is read. */
  readonly look: AirFileLook | undefined;
}

/** A year of minutes. */
const LARGEST = 30_000_000;

/**
 * A file of readings that was opened: read in a worker, and anew when its mapping changes.
 *
 * @param timeZone of the house
 * @param now the server's time, ms since 1970: what lies after it is no reading yet
 */
export function useAirFile(timeZone: string, now: number) {
  const turn = useRef(0);
  const [opened, setOpened] = useState<Opened>();
  const [failed, setFailed] = useState(false);
  const worker = useWorker<AirFileWorker>(
    () => new Worker(new URL('../../workers/airFile.worker.ts', import.meta.url), { type: 'module' }),
    () => setFailed(true),
  );

  async function look(file: Omit<Opened, 'look'>): Promise<void> {
    turn.current += 1;
    const asked = turn.current;
    setOpened({ ...file, look: undefined });
    const found = await worker.ask().look(file.mapping, file.openedAt);
    if (asked === turn.current) setOpened({ ...file, look: found });
  }

  /** Opens a file; returns why it cannot be read, or undefined. */
  async function open(file: File): Promise<string | undefined> {
    close();
    if (file.size > LARGEST) return 'The file is larger than 30 MB. Split it, and bring the parts in one by one.';
    const text = await file.text();
    const table = await worker.ask().open(text, timeZone);
    if (!table) return `${file.name} holds no table: one line per reading, columns set apart.`;
    await look({ name: file.name, ...table, openedAt: now });
    return undefined;
  }

  function close(): void {
    turn.current += 1;
    setOpened(undefined);
  }

  /** So many readings of the file as it was looked at last. */
  const part = (from: number, count: number) => worker.ask().part(from, count);

  return {
    opened,
    failed,
    open,
    close,
    part,
    change: (mapping: AirMapping) => opened && void look({ ...opened, mapping }),
  };
}
