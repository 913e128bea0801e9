import type { Entry } from './entry';

const HOUR_MS = 3_600_000;
const MINUTES = 60;

/** Returns the hours from begun to ended of an entry, less the pauses in between; undefined where nobody timed it. */
export function hoursTaken({ payload }: Entry): number | undefined {
  if (!('begun' in payload) || payload.begun === undefined || payload.ended === undefined) return undefined;
  return (Date.parse(payload.ended) - Date.parse(payload.begun)) / HOUR_MS - (payload.paused ?? 0) / MINUTES;
}
