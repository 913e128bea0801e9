/** When somebody works: stretches in minutes from the origin of a plan, in order of time, none touching the next. */
export interface Calendar {
  readonly starts: Int32Array;
  readonly ends: Int32Array;
  /** Minutes worked before each stretch. */
  readonly before: Float64Array;
  /** Minutes of the longest stretch. */
  readonly longest: number;
}

/** A time that never comes. */
export const NEVER = 0x3fffffff;

/** @param stretches `[start, end)` in whole minutes, in order of time */
export function calendarOf(stretches: readonly (readonly [start: number, end: number])[]): Calendar {
  const worked = stretches.filter(([start, end]) => end > start);
  const before = new Float64Array(worked.length);
  let [sum, longest] = [0, 0];
  for (const [index, [start, end]] of worked.entries()) {
    before[index] = sum;
    sum += end - start;
    longest = Math.max(longest, end - start);
  }
  return {
    starts: Int32Array.from(worked, ([start]) => start),
    ends: Int32Array.from(worked, ([, end]) => end),
    before,
    longest,
  };
}

/** The stretch in which a minute lies, or the first after it; their number where there is none. */
export function stretchAt({ ends }: Calendar, at: number): number {
  let [low, high] = [0, ends.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((ends[middle] ?? 0) > at) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** The first minute of work at or after a minute; `NEVER` where there is none. */
export function nextWork(calendar: Calendar, at: number): number {
  const start = calendar.starts[stretchAt(calendar, at)];
  return start === undefined ? NEVER : Math.max(start, at);
}

/** The first minute at or after one from which work can be done in one go; where no stretch is so long, from which any can. */
export function nextWhole(calendar: Calendar, at: number, minutes: number): number {
  if (minutes > calendar.longest) return nextWork(calendar, at);
  const { starts, ends } = calendar;
  for (let index = stretchAt(calendar, at); index < ends.length; index += 1) {
    const start = Math.max(starts[index] ?? 0, at);
    if ((ends[index] ?? 0) - start >= minutes) return start;
  }
  return NEVER;
}

/**
 * When work that begins at a minute ends: it rests while nobody works, and goes on where it was.
 *
 * @param minutes of work, whole
 * @example endOfWork(calendarOf([[0, 60], [100, 160]]), 30, 45)  // 115
 */
export function endOfWork(calendar: Calendar, from: number, minutes: number): number {
  const { starts, ends } = calendar;
  let left = minutes;
  for (let index = stretchAt(calendar, from); index < ends.length; index += 1) {
    const begin = Math.max(starts[index] ?? 0, from);
    const room = (ends[index] ?? 0) - begin;
    if (left <= room) return begin + left;
    left -= room;
  }
  return NEVER;
}

/** The latest minute at which so much work can begin to be done by an end; negative infinity where it cannot. */
export function startOfWork(calendar: Calendar, end: number, minutes: number): number {
  const { starts, ends } = calendar;
  let left = minutes;
  let index = stretchAt(calendar, end);
  if (index >= ends.length || (starts[index] ?? 0) >= end) index -= 1;
  for (; index >= 0; index -= 1) {
    const until = Math.min(ends[index] ?? 0, end);
    const room = until - (starts[index] ?? 0);
    if (left <= room) return until - left;
    left -= room;
  }
  return Number.NEGATIVE_INFINITY;
}

/** How many minutes were worked before a minute. */
export function workedUntil(calendar: Calendar, at: number): number {
  const { starts, ends, before } = calendar;
  const index = stretchAt(calendar, at);
  const start = starts[index];
  if (start !== undefined) return (before[index] ?? 0) + Math.max(0, at - start);
  const last = ends.length - 1;
  return last < 0 ? 0 : (before[last] ?? 0) + (ends[last] ?? 0) - (starts[last] ?? 0);
}

/** When all of some people work. */
export function common([first, ...others]: readonly Calendar[]): Calendar {
  if (!first) return calendarOf([]);
  return others.reduce((a, b) => {
    if (a === b) return a;
    const both: [number, number][] = [];
    for (let i = 0, j = 0; i < a.ends.length && j < b.ends.length; ) {
      const start = Math.max(a.starts[i] ?? 0, b.starts[j] ?? 0);
      const end = Math.min(a.ends[i] ?? 0, b.ends[j] ?? 0);
      if (end > start) both.push([start, end]);
      if ((a.ends[i] ?? 0) <= (b.ends[j] ?? 0)) i += 1;
      else j += 1;
    }
    return calendarOf(both);
  }, first);
}

/** When any of some people works. */
export function anyOf(calendars: readonly Calendar[]): Calendar {
  const [first, ...others] = new Set(calendars);
  return first ? others.reduce(either, first) : calendarOf([]);
}

function either(a: Calendar, b: Calendar): Calendar {
  const merged: [number, number][] = [];
  for (let i = 0, j = 0; i < a.ends.length || j < b.ends.length; ) {
    const isFirst = (a.starts[i] ?? NEVER) <= (b.starts[j] ?? NEVER);
    const [start, end] = isFirst ? [a.starts[i] ?? 0, a.ends[i] ?? 0] : [b.starts[j] ?? 0, b.ends[j] ?? 0];
    if (isFirst) i += 1;
    else j += 1;
    const last = merged.at(-1);
    if (last && start <= last[1]) last[1] = Math.max(last[1], end);
    else merged.push([start, end]);
  }
  return calendarOf(merged);
}
