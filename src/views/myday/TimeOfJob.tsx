'use client';

import { pausedUntil, type Timer } from '@/client/useTimer';
import { TextField } from '@/ui/TextField';
import { spanWords, timeOf } from '@/words/when';

const HOUR_MS = 3_600_000;

/** How long a job takes: begun, paused and gone on with by a press, or typed when it is done. */
export function TimeOfJob({
  timer,
  keep,
  typed,
  setTyped,
  problem,
  now,
  serverNow,
  timeZone,
}: {
  readonly timer: Timer | undefined;
  readonly keep: (timer: Timer | undefined) => void;
  readonly typed: string;
  readonly setTyped: (typed: string) => void;
  readonly problem: string | undefined;
  /** When the page was made. */
  readonly now: number;
  readonly serverNow: () => number;
  readonly timeZone: string;
}) {
  if (!timer)
    return (
      <div className="flex items-end gap-3">
        <button
          type="button"
          className="btn btn-lg flex-1"
          onClick={() => keep({ begun: serverNow(), paused: 0, since: undefined })}
        >
          Begin
        </button>
        <TextField
          label="Hours worked"
          className="w-36"
          inputMode="decimal"
          placeholder="1.5 or 1:30"
          value={typed}
          error={problem}
          onChange={(event) => setTyped(event.target.value)}
        />
      </div>
    );
  const rests = timer.since !== undefined;
  const worked = (Math.max(now, timer.begun) - timer.begun - pausedUntil(timer, now)) / HOUR_MS;
  return (
    <div className="flex items-center gap-3">
      <p className="flex-1">
        Begun {timeOf(timer.begun, timeZone)}
        {worked > 1 / 60 ? `, ${spanWords(worked)} so far` : ''}
        {rests ? ', paused' : ''}
      </p>
      <button
        type="button"
        className="btn btn-lg"
        onClick={() =>
          keep(
            rests
              ? { ...timer, paused: pausedUntil(timer, serverNow()), since: undefined }
              : { ...timer, since: serverNow() },
          )
        }
      >
        {rests ? 'Go on' : 'Pause'}
      </button>
      <button type="button" className="btn btn-ghost btn-lg" onClick={() => keep(undefined)}>
        Not begun
      </button>
    </div>
  );
}
