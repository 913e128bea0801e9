'use client';

import { type ReactNode, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import type { useLog } from '@/client/useLog';
import { useTimer } from '@/client/useTimer';
import { TimeOfJob } from './TimeOfJob';
import { NO_HOURS, type Run, timedRun } from './timedRun';

/** How long a job takes, with the field that asks for it. */
export interface JobTime {
  readonly field: ReactNode;
  /** Returns from when to when it was run; undefined where the hours that were typed cannot be read, which the field then says. */
  readonly until: (done: number) => Run | undefined;
  readonly forget: () => void;
}

/**
 * Keeps the time of a job on this device until it is done.
 *
 * @param work in its room, such as `fill@walls`
 * @param now when the page was made
 */
export function useJobTime(
  room: string,
  work: string,
  { serverNow }: Pick<ReturnType<typeof useLog>, 'serverNow'>,
  now: number,
  timeZone: string,
): JobTime {
  const { id: house } = useHouse();
  const { timer, keep } = useTimer(`oak-run ${house} ${room} ${work}`);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string>();
  return {
    field: (
      <TimeOfJob
        timer={timer}
        keep={keep}
        typed={typed}
        setTyped={setTyped}
        problem={problem}
        now={now}
        serverNow={serverNow}
        timeZone={timeZone}
      />
    ),
    until: (done) => {
      const run = timedRun(timer, typed, done);
      setProblem(run ? undefined : NO_HOURS);
      return run;
    },
    forget: () => {
      setTyped('');
      keep(undefined);
    },
  };
}
