'use client';

import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { type Said, useLog } from '@/client/useLog';
import { pausedUntil, useTimer } from '@/client/useTimer';
import type { WetMud } from '@/core/drying/wetMud';
import type { Coat } from '@/core/method/coat';
import { type Block, workOn } from '@/core/work/block';
import type { Pass } from '@/core/work/tasksOf';
import { hoursTyped, TimeOfJob } from './TimeOfJob';

/** A coat that can go, with the mud as its method puts it on. */
export interface CoatToLog {
  readonly coat: Pick<Coat, 'class' | 'key' | 'side' | 'tool'>;
  /** On which pieces, where not on all of its class. */
  readonly pieces: readonly string[] | undefined;
  readonly wet: WetMud;
}

/** From when to when somebody worked, as an entry says it. */
interface Run {
  readonly begun?: string;
  readonly ended?: string;
  readonly paused?: number;
}
const iso = (at: number): string => new Date(at).toISOString();

/** Minutes since setting mud was mixed, as a finisher would say it. */
const MIXED_MINUTES = [0, 5, 10, 20, 30, 45, 60] as const;
const MINUTE_MS = 60_000;

/** One press logs every coat of the pass that could go; with setting mud a second says when it was mixed. */
export function DoneButton({
  room,
  pass,
  block,
  coats,
  people,
  now,
  timeZone,
}: {
  readonly room: string;
  readonly pass: Pass;
  readonly block: Block | undefined;
  readonly coats: readonly CoatToLog[];
  /** To whom it was handed: two who run it together are both written down. */
  readonly people: readonly string[];
  readonly now: number;
  readonly timeZone: string;
}) {
  const log = useLog(now);
  const { id: house } = useHouse();
  const { timer, keep } = useTimer(`oak-run ${house} ${room} ${workOn(pass, block)}`);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string>();
  // Fixed when Done was pressed, so that pressing again after a lost answer sends the same entries.
  const [pressed, setPressed] = useState<number>();
  const setting = coats.some(({ wet }) => wet.mud.kind === 'setting');
  const asked = setting ? pressed : undefined;
  const together = people.length > 1 ? { ranBy: [...people] } : {};
  const said = (run: Run, mixedAt?: string): readonly Said[] =>
    pass === 'sand' || pass === 'seal'
      ? [{ kind: pass === 'sand' ? 'sanded' : 'sealed', room, payload: { ...run, ...together } }]
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
              ...run,
              ...together,
            },
          }),
        );
  /** From when to when, by the clock that was started here or by the hours that were typed. */
  const runUntil = (done: number): Run | undefined => {
    if (timer) {
      const paused = Math.round(pausedUntil(timer, done) / MINUTE_MS);
      return { begun: iso(Math.min(timer.begun, done)), ended: iso(done), ...(paused > 0 ? { paused } : {}) };
    }
    if (typed.trim() === '') return {};
    const hours = hoursTyped(typed);
    return hours === undefined ? undefined : { begun: iso(done - hours * 60 * MINUTE_MS), ended: iso(done) };
  };
  const send = async (done: number, mixedMinutes?: number) => {
    const run = runUntil(done);
    if (!run) return setProblem('such as 1.5 or 1:30');
    setProblem(undefined);
    const mixedAt = mixedMinutes === undefined ? undefined : iso(done - mixedMinutes * MINUTE_MS);
    if (!(await log.write(said(run, mixedAt), done))) return;
    setPressed(undefined);
    setTyped('');
    keep(undefined);
  };
  const press = () => {
    const done = pressed ?? log.serverNow();
    setPressed(done);
    if (!setting) void send(done);
  };
  return (
    <div className="space-y-3">
      <TimeOfJob
        timer={timer}
        keep={keep}
        typed={typed}
        setTyped={setTyped}
        problem={problem}
        now={now}
        serverNow={log.serverNow}
        timeZone={timeZone}
      />
      {asked === undefined ? (
        <button
          type="button"
          className="btn btn-primary btn-xl h-auto w-full py-5 text-xl"
          disabled={log.busy}
          onClick={press}
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
                onClick={() => void send(asked, minutes)}
              >
                {minutes === 0 ? 'Just now' : `${minutes} min ago`}
              </button>
            ))}
            <button type="button" className="btn btn-ghost btn-lg" onClick={() => setPressed(undefined)}>
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
