import { tzOffset } from '@date-fns/tz';
import type { DateOrder } from './airMapping';

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

/** A time as a file writes it: exact where it names its zone, else read in the zone of the house. */
export type FileTime =
  | {
      readonly ok: true;
      /** ms since 1970 */
      readonly at: number;
      /** The zone that it names: `zone` for the house's own. */
      readonly zone: string;
    }
  | { readonly ok: false; readonly reason: string };

const TIME =
  /^(\d{1,4})[-/.](\d{1,2})[-/.](\d{1,4})[T ,]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*([ap])?\.?m?\.?\s*(z|utc|[+-]\d{2}:?\d{2})?$/i;

/**
 * Reads a time of a file.
 *
 * @param before the time of the row before, ms since 1970: it tells the two same hours apart when clocks are put back
 * @example fileTime('11/23/2026 7:00 AM', 'mdy', 'America/New_York', undefined)
 */
export function fileTime(text: string, order: DateOrder, zone: string, before: number | undefined): FileTime {
  const written = text.trim();
  if (/^\d{9,10}$/.test(written)) return { ok: true, at: Number(written) * 1000, zone: 'UTC' };
  if (/^\d{12,13}$/.test(written)) return { ok: true, at: Number(written), zone: 'UTC' };
  const match = TIME.exec(written);
  if (!match) return { ok: false, reason: written === '' ? 'has no time' : `"${written}" is no date and time` };
  const [, first = '', second = '', third = '', hours = '', minutes = '', seconds = '0', half, named] = match;
  const [year, month, day] = {
    ymd: [first, second, third],
    dmy: [third, second, first],
    mdy: [third, first, second],
  }[order].map(Number);
  const hour = hourOf(Number(hours), half);
  const local = Date.UTC(fullYear(year ?? 0), (month ?? 0) - 1, day ?? 0, hour, Number(minutes), Number(seconds));
  const date = new Date(local);
  if (
    date.getUTCMonth() + 1 !== month ||
    date.getUTCDate() !== day ||
    hour > 23 ||
    Number(minutes) > 59 ||
    Number(seconds) > 59
  )
    return { ok: false, reason: `"${written}" is no date and time in this order` };
  return named ? withOffset(local, named, zone) : inZone(local, zone, before, written);
}

const fullYear = (year: number): number => (year < 100 ? 2000 + year : year);

const hourOf = (hour: number, half: string | undefined): number =>
  half ? (hour % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : hour;

function withOffset(local: number, named: string, zone: string): FileTime {
  const offset = /^(z|utc)$/i.test(named) ? 0 : offsetMinutes(named);
  const at = local - offset * MINUTE_MS;
  return { ok: true, at, zone: offsetAt(zone, at) === offset ? 'zone' : named.toUpperCase() };
}

function offsetMinutes(text: string): number {
  const sign = text.startsWith('-') ? -1 : 1;
  const digits = text.replace(/\D/g, '');
  return sign * (Number(digits.slice(0, 2)) * 60 + Number(digits.slice(2)));
}

const QUARTER_MS = 15 * MINUTE_MS;
const MOST_REMEMBERED = 50_000;
const offsets = new Map<string, Map<number, number>>();

/** Minutes by which a zone is ahead at an instant. Zones change on quarters of an hour, so each is asked for once. */
function offsetAt(zone: string, at: number): number {
  const ofZone = offsets.get(zone) ?? new Map<number, number>();
  offsets.set(zone, ofZone);
  const quarter = Math.floor(at / QUARTER_MS);
  let known = ofZone.get(quarter);
  if (known === undefined) {
    known = tzOffset(zone, new Date(at));
    if (ofZone.size >= MOST_REMEMBERED) ofZone.clear();
    ofZone.set(quarter, known);
  }
  return known;
}

/** An hour may come twice when clocks are put back, and is missing when they are put forward. */
function inZone(local: number, zone: string, before: number | undefined, written: string): FileTime {
  const candidates = [local - 24 * HOUR_MS, local + 24 * HOUR_MS]
    .map((near) => local - offsetAt(zone, near) * MINUTE_MS)
    .filter((at) => at + offsetAt(zone, at) * MINUTE_MS === local)
    .sort((a, b) => a - b);
  const at = candidates.find((candidate) => before === undefined || candidate >= before) ?? candidates[0];
  return at === undefined
    ? { ok: false, reason: `"${written}" does not exist in ${zone}: clocks were put forward` }
    : { ok: true, at, zone: 'zone' };
}
