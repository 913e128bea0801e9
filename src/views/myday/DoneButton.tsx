'use client';

import { useState } from 'react';
import { type Said, useLog } from '@/client/useLog';
import type { WetMud } from '@/core/drying/wetMud';
import type { Coat } from '@/core/method/coat';
import type { Pass } from '@/core/work/tasksOf';

/** A coat that can go, with the mud as its method puts it on. */
export interface CoatToLog {
  readonly coat: Pick<Coat, 'class' | 'key' | 'side' | 'tool'>;
  /** On which pieces, where not on all of its class. */
  readonly pieces: readonly string[] | undefined;
  readonly wet: WetMud;
}

/** Minutes since setting mud was mixed, as a finisher would say it. */
const MIXED_MINUTES = [0, 5, 10, 20, 30, 45, 60] as const;
const MINUTE_MS = 60_000;

/** One press logs every coat of the pass that could go; with setting mud a second says when it was mixed. */
export function DoneButton({
  room,
  pass,
  coats,
  now,
}: {
  readonly room: string;
  readonly pass: Pass;
  readonly coats: readonly CoatToLog[];
  readonly now: number;
}) {
  const log = useLog(now);
  // Fixed when Done was pressed, so that pressing again after a lost answer sends the same entries.
  const [asked, setAsked] = useState<number>();
  const setting = coats.some(({ wet }) => wet.mud.kind === 'setting');
  const said = (mixedAt?: string): readonly Said[] =>
    pass === 'sand' || pass === 'seal'
      ? [{ kind: pass === 'sand' ? 'sanded' : 'sealed', room, payload: {} }]
      : coats.map(
          ({ coat, pieces, wet }): Said => ({
            kind: 'coat',
            room,
            payload: {
              class: coat.class,
              key: coat.key,
              ...(coat.side ? { side: coat.side } : {}),
              part: 1,
              ...(pieces ? { pieces: pieces.map((id) => ({ id })) } : {}),
              ...wet,
              ...(mixedAt !== undefined && wet.mud.kind === 'setting' ? { mixedAt } : {}),
              tool: coat.tool,
            },
          }),
        );
  const send = async (minutes: number) => {
    const done = asked ?? log.serverNow();
    if (await log.write(said(new Date(done - minutes * MINUTE_MS).toISOString()), done)) setAsked(undefined);
  };
  return (
    <div>
      {asked === undefined ? (
        <button
          type="button"
          className="btn btn-primary btn-xl h-auto w-full py-5 text-xl"
          disabled={log.busy}
          onClick={() => (setting ? setAsked(log.serverNow()) : void log.write(said()))}
        >
          Done
        </button>
      ) : (
        <fieldset className="space-y-2 rounded-lg border border-base-300 p-3">
          <legend className="px-1 font-semibold">Setting mud: when was it mixed?</legend>
          <div className="grid grid-cols-2 gap-2">
            {MIXED_MINUTES.map((minutes) => (
              <button
                key={minutes}
                type="button"
                className="btn btn-lg"
                disabled={log.busy}
                onClick={() => void send(minutes)}
              >
                {minutes === 0 ? 'Just now' : `${minutes} min ago`}
              </button>
            ))}
            <button type="button" className="btn btn-ghost btn-lg" onClick={() => setAsked(undefined)}>
              Not done yet
            </button>
          </div>
        </fieldset>
      )}
      {log.message && (
        <p role="alert" className="mt-2 text-error">
          {log.message}
        </p>
      )}
    </div>
  );
}
