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

/** Clocks change at most once in so many days. */
const SPAN = 28;

/** Whether somebody works on a day of the week of theirs, or of their crew. */
function isWeekdayOf(weekdays: readonly number[], day: string): boolean {
  return weekdays.includes(new Date(`${day}T00:00Z`).getUTCDay() || 7);
}

/** Returns a crew with every day of the week on which any of its people works. */
export const withWeekdaysOf = <Times extends Pick<Crew, 'weekdays'>>(
  crew: Times,
  people: readonly Pick<Member, 'weekdays'>[],
): Times => ({
  ...crew,
  weekdays: [...new Set([...crew.weekdays, ...people.flatMap((person) => person.weekdays ?? [])])],
});

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
  const offsets = untilChange(offsetOn, count);
  const days: WorkDay[] = [];
  for (let [index, change] = [0, 0]; index < count; index += 1) {
    while (index >= (offsets[change]?.until ?? count)) change += 1;
    const date = new Date(first + index * DAY_MS);
    const day = date.toISOString().slice(0, 10);
    if (!crew.weekdays.includes(date.getUTCDay() || 7) || holidays.has(day)) continue;
    days.push({ day, begins: first + index * DAY_MS + crew.begins * HOUR_MS + (offsets[change]?.offset ?? 0) });
  }
  return days;
}

/** The offsets of so many days, each with the day before which it ends: asked for at the ends of spans, and between where they differ. */
function untilChange(offsetOn: (index: number) => number, count: number) {
  const offsets: { readonly offset: number; readonly until: number }[] = [];
  let [from, offset] = [0, offsetOn(0)];
  while (from < count) {
    const to = from + SPAN;
    const next = offsetOn(to);
    if (next === offset) {
      from = to;
      continue;
    }
    let [low, high] = [from, to];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (offsetOn(middle) === offset) low = middle;
      else high = middle;
    }
    offsets.push({ offset, until: high });
    [from, offset] = [high, next];
  }
  offsets.push({ offset, until: count });
  return offsets;
}

/**
 * When somebody works: from the beginning of the day for their hours, the last half of one for cleaning up; on their days of the week, not on
 * their days off.
 *
 * @param days of any of the crew, see `withWeekdaysOf`
 *
 * @returns stretches in ms since 1970
 */
export function shiftsOf(
  { hours, off, weekdays }: Pick<Member, 'hours' | 'off' | 'weekdays'>,
  days: readonly WorkDay[],
  crew: Pick<Crew, 'weekdays'>,
): readonly (readonly [number, number])[] {
  const away = new Set(off);
  return days
    .filter(({ day }) => !away.has(day) && isWeekdayOf(weekdays ?? crew.weekdays, day))
    .map(({ begins }) => [begins, begins + (hours - DAY_HOURS) * HOUR_MS] as const);
}

/** A day on which somebody works, from when until the last one leaves; ms since 1970. */
export interface CrewDay extends WorkDay {
  readonly ends: number;
}

/** The hour of the clock at which a crew begins, and its days. */
export interface CrewTimes {
  readonly begins: number;
  readonly days: readonly CrewDay[];
}

/** The days on which any of a crew works from an instant on, of so many days of the calendar. */
export function crewDays(
  crew: Parameters<typeof workDays>[0],
  members: readonly Pick<Member, 'hours' | 'off' | 'skills' | 'weekdays'>[],
  timeZone: string,
  from: number,
  count: number,
): readonly CrewDay[] {
  return workDays(withWeekdaysOf(crew, members), timeZone, from, count).flatMap((own): readonly CrewDay[] => {
    const there = members.filter(
      ({ skills, off, weekdays }) =>
        skills.length > 0 && !off.includes(own.day) && isWeekdayOf(weekdays ?? crew.weekdays, own.day),
    );
    if (there.length === 0) return [];
    return [{ ...own, ends: own.begins + Math.max(...there.map(({ hours }) => hours)) * HOUR_MS }];
  });
}

/**
 * When clocks show an hour next on one of some days where the house stands, after an instant; undefined where they do not.
 *
 * @example nextOn(['2031-05-09', '2031-05-12'], 7, friday8, 'UTC')  // 2031-05-12T07:00Z
 */
export const nextOn = (days: readonly string[], hour: number, after: number, timeZone: string): number | undefined =>
  days.map((day) => instantOn(day, hour, timeZone)).find((at) => at > after);
