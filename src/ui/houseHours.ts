import { TZDate } from '@date-fns/tz';

/** A stretch of time, ms since 1970. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/**
 * The parts of a stretch that lie between two hours of each day where the house stands; the second hour may be one of the
 * next day.
 *
 * @example hoursOfDays(7, 16, stretch, 'America/New_York')  // every shift
 */
export function hoursOfDays(start: number, end: number, { from, to }: Stretch, timeZone: string): readonly Stretch[] {
  const first = new TZDate(from, timeZone);
  const at = (days: number, hour: number) =>
    new TZDate(first.getFullYear(), first.getMonth(), first.getDate() + days, hour, timeZone).getTime();
  const out: Stretch[] = [];
  for (let day = -1; at(day, 0) < to; day += 1) {
    const part = { from: Math.max(from, at(day, start)), to: Math.min(to, at(end > start ? day : day + 1, end)) };
    if (part.to > part.from) out.push(part);
  }
  return out;
}
