import { dayAfter, dayOf } from '../core/measure/dayOf';

const MINUTE_MS = 60_000;

const STYLES = {
  time: { hour: 'numeric', minute: '2-digit' },
  weekday: { weekday: 'short' },
  date: { day: 'numeric', month: 'short' },
  day: { weekday: 'short', day: 'numeric', month: 'short' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

// Making a formatter costs a hundred times its use, and a board uses hundreds.
const formatters = new Map<string, Intl.DateTimeFormat>();

function formatter(style: keyof typeof STYLES, timeZone: string): Intl.DateTimeFormat {
  const key = `${style} ${timeZone}`;
  let known = formatters.get(key);
  if (!known) {
    known = new Intl.DateTimeFormat('en-GB', { timeZone, ...STYLES[style] });
    formatters.set(key, known);
  }
  return known;
}

/** The time of day where the house stands: 6:52. */
export function timeOf(instant: number, timeZone: string): string {
  return formatter('time', timeZone).format(instant);
}

/** To the next five minutes: nobody's mud is dry to the minute. */
export const roundedUp = (instant: number): number => Math.ceil(instant / (5 * MINUTE_MS)) * 5 * MINUTE_MS;

/** Returns the end of a job's name where it was assigned for an earlier day: `, left from Fri 27 Nov`. */
export const leftWords = ({ leftFrom }: { readonly leftFrom?: string | undefined }): string =>
  leftFrom === undefined ? '' : `, left from ${dayWords(leftFrom)}`;

/** When something will be, as short as it is clear: 9:10, tomorrow 6:00, Thu 14:00, 3 Dec. */
export function untilWords(instant: number, now: number, timeZone: string): string {
  if (!Number.isFinite(instant)) return 'the air is drier';
  const rounded = roundedUp(instant);
  const day = dayOf(rounded, timeZone);
  const { today, tomorrow, inAWeek } = daysFrom(now, timeZone);
  if (day === today) return timeOf(rounded, timeZone);
  if (day === tomorrow) return `tomorrow ${timeOf(rounded, timeZone)}`;
  if (day < inAWeek) return `${formatter('weekday', timeZone).format(rounded)} ${timeOf(rounded, timeZone)}`;
  return formatter('date', timeZone).format(rounded);
}

interface Days {
  readonly now: number;
  readonly timeZone: string;
  readonly today: string;
  readonly tomorrow: string;
  readonly inAWeek: string;
}

/** The days from an instant on: a page says hundreds of times from the same one. */
let lastDays: Days | undefined;
function daysFrom(now: number, timeZone: string): Days {
  if (lastDays?.now !== now || lastDays.timeZone !== timeZone)
    lastDays = {
      now,
      timeZone,
      today: dayOf(now, timeZone),
      tomorrow: dayAfter(now, 1, timeZone),
      inAWeek: dayAfter(now, 7, timeZone),
    };
  return lastDays;
}

/** A day in words: Tue 24 Nov. */
export function dayWords(day: string): string {
  return formatter('day', 'UTC')
    .format(new Date(`${day}T12:00:00Z`))
    .replace(',', '');
}

/** An instant in words: Tue 24 Nov, 6:52. */
export const instantWords = (instant: number, timeZone: string): string =>
  `${dayWords(dayOf(instant, timeZone))}, ${timeOf(instant, timeZone)}`;

/** Writes an instant for paper, with its year: Tue 24 Nov 2026, 6:52. */
export const dateWords = (instant: number, timeZone: string): string =>
  `${dayWords(dayOf(instant, timeZone))} ${dayOf(instant, timeZone).slice(0, 4)}, ${timeOf(instant, timeZone)}`;

/** A stretch of time: 45 min, 7 h 20. */
export function spanWords(hours: number): string {
  const minutes = Math.round(hours * 60);
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${String(rest).padStart(2, '0')}`;
}

/** An address that shows something of a house, in a list: when it was made and when it ends. */
export const shownWords = (
  { id, madeAt, endsAt }: { readonly id: string; readonly madeAt: number; readonly endsAt: number },
  timeZone: string,
): { readonly id: string; readonly words: string } => ({
  id,
  words: `Made ${instantWords(madeAt, timeZone)}, ends ${instantWords(endsAt, timeZone)}`,
});

/** How much later or sooner: 2 h 10 later, the same. */
export function changeWords(before: number, after: number): string {
  const hours = Math.abs(after - before) / 3_600_000;
  if (hours < 1 / 60) return 'same finish';
  const whole = Math.round(hours);
  const span =
    whole >= 24 ? `${Math.floor(whole / 24)} d${whole % 24 === 0 ? '' : ` ${whole % 24} h`}` : spanWords(hours);
  return `${span} ${after > before ? 'later' : 'sooner'}`;
}
