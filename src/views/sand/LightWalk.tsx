'use client';

import { lazy, Suspense, useState } from 'react';
import { useLog } from '@/client/useLog';
import type { LIGHTS_OF_CHECK } from '@/core/log/choices';
import { groupBy } from '@/core/measure/groupBy';
import { ProblemButton } from '@/ui/problem/ProblemButton';
import { SelectField } from '@/ui/SelectField';
import type { LightRow } from './sandRows';

/** Drawn when it is asked for. */
const LightPicture = lazy(async () => ({ default: (await import('./LightPicture')).LightPicture }));

type Light = (typeof LIGHTS_OF_CHECK)[number];

/** The walk with the lamp: face after face it is good, or something is wrong there. */
export function LightWalk({
  now,
  room,
  rows,
}: {
  readonly now: number;
  readonly room: { readonly id: string; readonly name: string };
  readonly rows: readonly LightRow[];
}) {
  const log = useLog(now);
  const [light, setLight] = useState<Light>('lamp');
  const [drawn, setDrawn] = useState(false);
  const left = rows.filter(({ signed }) => signed === undefined);
  /** Signs some faces off, each to the level that is agreed for it. */
  const sign = (some: readonly LightRow[]) =>
    void log.write(
      [...groupBy(some, ({ level }) => level)].map(([level, own]) => ({
        kind: 'checked' as const,
        room: room.id,
        payload: { level, light, faces: own.map(({ id }) => id) },
      })),
    );
  const levels = [...new Set(rows.map(({ level }) => level))];
  const levelWords = levels.length === 1 ? `level ${levels[0]}` : 'its levels';
  const isReady = left.length > 0 && left.every(({ why }) => why === undefined);
  return (
    <section className="space-y-2" aria-label={`Light walk of ${room.name}`}>
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h3 className="font-semibold">Lamp along every wall, then the ceiling</h3>
          <p className="text-sm text-muted">
            {rows.length - left.length} of {rows.length} faces meet {levels.length === 1 ? levelWords : 'their levels'}.
          </p>
        </div>
        <SelectField
          label="Light"
          className="w-40"
          value={light}
          onChange={(event) => setLight(event.target.value === 'daylight' ? 'daylight' : 'lamp')}
          options={[
            ['lamp', 'lamp'],
            ['daylight', 'low daylight'],
          ]}
        />
      </div>
      <button type="button" className="btn" aria-expanded={drawn} onClick={() => setDrawn(!drawn)}>
        {drawn ? 'Without the picture' : 'On the room laid flat'}
      </button>
      {drawn && (
        <Suspense fallback={<p role="status">Drawing the room …</p>}>
          <LightPicture now={now} room={room} rows={rows} />
        </Suspense>
      )}
      <ol className="divide-y divide-base-300">
        {rows.map((row) => {
          const { id, name, signed, why, open } = row;
          return (
            <li key={id} className="flex flex-wrap items-center gap-2 py-2">
              <span className="min-w-32 flex-1">
                <b className="block font-semibold first-letter:uppercase">{name}</b>
                <span className="block text-sm text-muted">
                  {signed ? `✓ ${signed}` : (why ?? 'dry and sanded')}
                  {open.length > 0 ? ` ${open.length} open` : ''}
                </span>
              </span>
              {!signed && (
                <>
                  <button
                    type="button"
                    className="btn"
                    disabled={log.busy || why !== undefined}
                    aria-label={`Good: ${name} of ${room.name}`}
                    onClick={() => sign([row])}
                  >
                    Good
                  </button>
                  <ProblemButton now={now} room={room} face={id} label={`Report problem on ${name}`} className="btn" />
                </>
              )}
            </li>
          );
        })}
      </ol>
      {left.length > 0 && (
        <button
          type="button"
          className="btn btn-primary btn-lg"
          disabled={log.busy || !isReady}
          onClick={() => sign(left)}
        >
          {room.name} meets {levelWords}
        </button>
      )}
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
    </section>
  );
}
