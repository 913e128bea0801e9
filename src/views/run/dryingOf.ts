import { dayOf } from '@/core/measure/dayOf';
import type { HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { dayAfter, timeOf } from '@/ui/when';

/** Of the coats that are run on a day so many may be coated again when the crew begins on its next one. */
export interface Drying {
  readonly coats: number;
  readonly ready: number;
  /** The next day, YYYY-MM-DD, and when it begins there. */
  readonly by: string;
  readonly at: string;
}

const WEEK = 7;
const MINUTE_MS = 60_000;

/** The drying of each day of a plan. */
export function dryingOf({ assignments }: HousePlan, { timeZone, crew }: PlanInput): ReadonlyMap<string, Drying> {
  const days = new Map<string, Drying>();
  for (const { end, ready, item } of assignments) {
    if (ready === undefined || item === '') continue;
    const day = dayOf(end, timeZone);
    const known = days.get(day);
    const next = known ?? nextDay(end, timeZone, crew);
    const begins = known ? beginOf(known.by, known.at) : beginOf(next.by, next.at);
    const isReady = `${dayOf(ready, timeZone)} ${clockOf(ready, timeZone)}` <= begins;
    days.set(day, { ...next, coats: (known?.coats ?? 0) + 1, ready: (known?.ready ?? 0) + (isReady ? 1 : 0) });
  }
  return days;
}

function nextDay(at: number, timeZone: string, crew: PlanInput['crew']) {
  const hours = Math.floor(crew.begins);
  const minutes = Math.round((crew.begins % 1) * 60);
  const clock = `${hours}:${String(minutes).padStart(2, '0')}`;
  for (let days = 1; days <= 4 * WEEK; days += 1) {
    const day = dayAfter(at, days, timeZone);
    const weekday = new Date(`${day}T12:00:00Z`).getUTCDay() || WEEK;
    if (crew.weekdays.includes(weekday) && !crew.holidays.includes(day)) return { by: day, at: clock };
  }
  return { by: dayAfter(at, 1, timeZone), at: clock };
}

/** Days and times as text that sorts as they come. */
const beginOf = (day: string, clock: string): string => `${day} ${clock.padStart(5, '0')}`;
const clockOf = (at: number, timeZone: string): string =>
  timeOf(Math.ceil(at / MINUTE_MS) * MINUTE_MS, timeZone).padStart(5, '0');
