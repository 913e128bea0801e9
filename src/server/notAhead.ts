import type { NewEntry } from '../core/log/entry';
import { now } from '../db/clock';
import { recordedAt } from '../db/entries';

/** Clocks that differ by less are right. */
const SLACK_MS = 5 * 60_000;
/** What of an entry also lies in time. */
const INSTANTS = ['begun', 'ended', 'mixedAt'] as const;

/**
 * Puts entries of a device whose clock is ahead to the time at which they came: they are not lost, and what the device's clock said is kept
 * beside. Sent again they are the same.
 */
export async function notAhead(entries: readonly NewEntry[]): Promise<readonly NewEntry[]> {
  const latest = now() + SLACK_MS;
  const isAhead = ({ at }: NewEntry) => Date.parse(at) > latest;
  const ahead = entries.filter(isAhead);
  if (ahead.length === 0) return entries;
  const came = await recordedAt(ahead.map(({ id }) => id));
  return entries.map((entry) => (isAhead(entry) ? putBack(entry, came.get(entry.id) ?? now()) : entry));
}

function putBack(entry: NewEntry, at: number): NewEntry {
  const off = Date.parse(entry.at) - at;
  const given: Readonly<Record<string, unknown>> = entry.payload;
  const moved = INSTANTS.flatMap((key) => {
    const instant = given[key];
    return typeof instant === 'string' ? [[key, new Date(Date.parse(instant) - off).toISOString()] as const] : [];
  });
  return {
    ...entry,
    at: new Date(at).toISOString(),
    deviceAt: entry.deviceAt ?? entry.at,
    payload: { ...entry.payload, ...Object.fromEntries(moved) },
  } as NewEntry;
}
