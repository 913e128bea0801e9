'use client';

import { useLog } from '@/client/useLog';

/** How air is set moving, m/s over the wall. Common practice, no source. */
const FANS = [
  [0, 'still air'],
  [0.5, 'fan in the room'],
  [1.5, 'fan on the wall'],
] as const;

/** Says how the air moves in a room; the clock goes by it from now on. */
export function FanChoice({
  room,
  speed,
  now,
  mayLog,
}: {
  readonly room: string;
  readonly speed: number;
  readonly now: number;
  readonly mayLog: boolean;
}) {
  const log = useLog(now);
  const known = FANS.some(([own]) => own === speed);
  return (
    <fieldset className="flex flex-wrap items-center gap-1.5" disabled={!mayLog || log.busy}>
      <legend className="sr-only">Moving air</legend>
      {FANS.map(([own, words]) => (
        <button
          key={own}
          type="button"
          aria-pressed={own === speed}
          className={`btn btn-sm min-h-10 rounded-full ${own === speed ? 'btn-neutral' : ''}`}
          onClick={() => own !== speed && void log.write([{ kind: 'fan', room, payload: { speed: own } }])}
        >
          {words}
        </button>
      ))}
      {!known && <span className="text-sm text-muted">measured {speed.toFixed(1)} m/s</span>}
      {log.message && (
        <p role="alert" className="basis-full text-error">
          {log.message}
        </p>
      )}
    </fieldset>
  );
}
