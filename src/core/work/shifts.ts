import { TZDate } from '@date-fns/tz';
import type { Crew, Member } from './crew';
import { DAY_HOURS } from './usualRates';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** A day of the calendar on which a crew works, and when it begins there, ms since 1970. */
export interface WorkDay {
  readonly day: string;
  readonly begins: number;
}

/** The beginning of a day of the calendar, or an hour of it, where the house stands; ms since 1970. */
export function instantOn(day: string, hour: number, timeZone: string): number {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new TZDate(year, month - 1, date, Math.floor(hour), Math.round((hour % 1) * 60), timeZone).getTime();
}

/** Clocks change at most once in so many days; between two that are alike they stay. */
const WEEK = 7;

/** The days on which a crew works from an instant on, of so many days of the calendar. */
export function workDays(
  crew: Pick<Crew, 'weekdays' | 'begins' | 'holidays'>,
  timeZone: string,
  from: number,
  count: number,
): readonly WorkDay[] {
  const holidays = new Set(crew.holidays);
  const start = new TZDate(from, timeZone);
  const first = Date.UTC(start.getFullYear(), start.getMonth(), start.getDate());
  const dayAt = (index: number) => new Date(first + index * DAY_MS).toISOString().slice(0, 10);
  const offsetOn = (index: number) =>
    instantOn(dayAt(index), crew.begins, timeZone) - (first + index * DAY_MS + crew.begins * HOUR_MS);
  const days: WorkDay[] = [];
  let [offset, next] = [offsetOn(0), offsetOn(WEEK)];
  for (let index = 0; index < count; index += 1) {
    if (index > 0 && index % WEEK === 0) [offset, next] = [next, offsetOn(index + WEEK)];
    const date = new Date(first + index * DAY_MS);
    const day = dayAt(index);
    if (!crew.weekdays.includes(date.getUTCDay() || 7) || holidays.has(day)) continue;
    const begins = first + index * DAY_MS + crew.begins * HOUR_MS + (offset === next ? offset : offsetOn(index));
    days.push({ day, begins });
  }
  return days;
}

/**
 * When somebody works: from the beginning of the day for their hours, the last half of one for cleaning up; not on their days
 * off.
 *
 * @returns stretches in ms since 1970
 */
export function shiftsOf(
  { hours, off }: Pick<Member, 'hours' | 'off'>,
  days: readonly WorkDay[],
): readonly (readonly [number, number])[] {
  const away = new Set(off);
  return days
    .filter(({ day }) => !away.has(day))
    .map(({ begins }) => [begins, begins + (hours - DAY_HOURS) * HOUR_MS] as const);
}
