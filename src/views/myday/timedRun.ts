import { pausedUntil, type Timer } from '@/client/useTimer';

const MINUTE_MS = 60_000;

/** From when to when somebody worked, as an entry says it. */
export interface Run {
  readonly begun?: string;
  readonly ended?: string;
  readonly paused?: number;
}

/** What is said where hours cannot be read. */
export const NO_HOURS = 'Type more than 0 and at most 24 hours, such as 1.5 or 1:30';

/**
 * Returns from when to when a job was run, by the clock that was started or by the hours that were typed; empty where nobody timed it,
 * undefined where the hours cannot be read.
 *
 * @param done when it was done, ms since 1970
 */
export function timedRun(timer: Timer | undefined, typed: string, done: number): Run | undefined {
  if (timer) {
    const paused = Math.round(pausedUntil(timer, done) / MINUTE_MS);
    return { begun: iso(Math.min(timer.begun, done)), ended: iso(done), ...(paused > 0 ? { paused } : {}) };
  }
  if (typed.trim() === '') return {};
  const hours = hoursTyped(typed);
  return hours === undefined ? undefined : { begun: iso(done - hours * 60 * MINUTE_MS), ended: iso(done) };
}

const iso = (at: number): string => new Date(at).toISOString();

/** Hours as they are typed: 1.5, 1,5, 1:30; undefined for what is none. */
function hoursTyped(text: string): number | undefined {
  const [, clock, minutes] = /^(\d{1,2}):([0-5]\d)$/.exec(text.trim()) ?? [];
  const [, decimal] = /^(\d{1,2}(?:[.,]\d{1,2})?)\s*h?$/.exec(text.trim()) ?? [];
  const hours = clock ? Number(clock) + Number(minutes) / 60 : Number(decimal?.replace(',', '.') ?? 0);
  return hours > 0 && hours <= 24 ? hours : undefined;
}
