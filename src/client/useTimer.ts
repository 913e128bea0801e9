'use client';

import { useCallback } from 'react';
import { useStored } from './useStored';

/** Work that was begun on this phone, ms since 1970; the pauses in it, and since when there is one. */
export interface Timer {
  readonly begun: number;
  readonly paused: number;
  readonly since: number | undefined;
}

/**
 * A clock for one job that goes on through reloads and a closed browser; kept on this device until the job is done.
 *
 * @param key of the job
 */
export function useTimer(key: string) {
  const [stored, store] = useStored(key);
  const timer = stored === null ? undefined : timerIn(stored);
  const keep = useCallback((next: Timer | undefined) => store(next && JSON.stringify(next)), [store]);
  return { timer, keep };
}

function timerIn(text: string): Timer | undefined {
  try {
    const { begun, paused, since }: Partial<Timer> = JSON.parse(text);
    if (typeof begun !== 'number' || typeof paused !== 'number') return undefined;
    return { begun, paused, since: typeof since === 'number' ? since : undefined };
  } catch {
    return undefined;
  }
}

/** The pauses of a timer until now, ms. */
export const pausedUntil = ({ paused, since }: Timer, now: number): number =>
  paused + (since === undefined ? 0 : Math.max(0, now - since));
