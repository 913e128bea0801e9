import { TZDate } from '@date-fns/tz';

/** A zone with summer time, where the demo's house stands in the tests. */
export const SWEEP_ZONE = 'America/New_York';

/** Year, month (from 1) and day. */
const DAYS = {
  'on the day on which summer time begins': [2031, 3, 9],
  'on the day on which summer time ends': [2031, 11, 2],
  'on a 29 February': [2032, 2, 29],
  'on a 31 December': [2031, 12, 31],
} as const;
const TIMES = [
  [0, 5],
  [7, 55],
  [12, 30],
  [23, 58],
] as const;

/** A day that is unlike others, with instants of it: just after and before midnight, early and at noon. */
export const SWEEP_DAYS = Object.entries(DAYS).map(([words, [year, month, day]]) => ({
  words,
  hours: TIMES.map(([hour, minute]) => ({
    words: `at ${hour}:${String(minute).padStart(2, '0')} ${words}`,
    at: new TZDate(year, month - 1, day, hour, minute, SWEEP_ZONE).getTime(),
  })),
}));

/** Instants at which everything must hold. */
export const SWEEP: readonly { readonly words: string; readonly at: number }[] = SWEEP_DAYS.flatMap(
  ({ hours }) => hours,
);
