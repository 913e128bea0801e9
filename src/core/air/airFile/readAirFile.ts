import { celsiusFromFahrenheit } from '../../measure/unit';
import { isSameReading, type KeptReading, refusalOf } from '../reading';
import type { AirMapping } from './airMapping';
import type { AirTable } from './airTable';
import { fileTime } from './fileTime';

/** What a file of readings says by a mapping. Lines count from 1, without the headers. */
export interface AirFile {
  readonly readings: readonly KeptReading[];
  readonly refused: readonly { readonly line: number; readonly reason: string }[];
  /** The same reading again. */
  readonly repeated: number;
  readonly doubts: readonly AirFileDoubt[];
}

/** What makes a file as a whole doubtful. */
export type AirFileDoubt = 'looksLikeFahrenheit' | 'looksLikeCelsius' | 'partsOfOne';

interface Row {
  readonly line: number;
  readonly at: number;
  readonly zone: string;
  readonly temperature: number;
  readonly humidity: number;
}

/** In the middle of a house under work it is hardly ever so hot or so cold. */
const HOT_C = 38;
const COLD_F_AS_C = -3;

/**
 * Reads a table of readings. A row that is wrong is refused with its line and the reason, the others are taken. Where two
 * time zones are mixed, the rows of the rarer one are refused.
 *
 * @param now ms since 1970: nothing is taken from the future
 */
export function readAirFile({ rows }: AirTable, mapping: AirMapping, now: number): AirFile {
  const refused: { line: number; reason: string }[] = [];
  const read: Row[] = [];
  for (const [index, cells] of rows.entries()) {
    const row = readRow(cells, mapping, read.at(-1)?.at);
    if (typeof row === 'string') refused.push({ line: index + 1, reason: row });
    else read.push({ line: index + 1, ...row });
  }
  const zone = commonest(read.map((row) => row.zone));
  const inParts = read.length > 0 && read.every(({ humidity }) => humidity <= 1);
  const taken = new Map<number, KeptReading & { readonly line: number }>();
  let repeated = 0;
  for (const row of read) {
    if (row.zone !== zone) {
      refused.push({ line: row.line, reason: `${zoneWords(row.zone)}, the rest of the file ${zoneWords(zone)}` });
      continue;
    }
    const celsius = mapping.unit === 'F' ? celsiusFromFahrenheit(row.temperature) : row.temperature;
    const reading = {
      at: row.at,
      temperature: Math.round(celsius * 100) / 100,
      humidity: inParts ? Math.round(row.humidity * 10_000) / 100 : row.humidity,
    };
    const reason = refusalOf(reading, now);
    const twin = taken.get(row.at);
    if (reason !== undefined) refused.push({ line: row.line, reason });
    // Somebody looks at a file before it is taken: what they take counts.
    else if (!twin) taken.set(row.at, { ...reading, speed: undefined, doubt: undefined, line: row.line });
    else if (isSameReading(twin, reading)) repeated += 1;
    else refused.push({ line: row.line, reason: `has the time of line ${twin.line} with other values` });
  }
  return {
    readings: [...taken.values()].map(({ line: _line, ...reading }) => reading),
    refused: refused.sort((a, b) => a.line - b.line),
    repeated,
    doubts: [...unitDoubts(read, mapping), ...(inParts ? (['partsOfOne'] as const) : [])],
  };
}

function readRow(
  cells: readonly string[],
  { time, clock, temperature, humidity, order, zone }: AirMapping,
  before: number | undefined,
): Omit<Row, 'line'> | string {
  const written = clock === null ? (cells[time] ?? '') : `${cells[time] ?? ''} ${cells[clock] ?? ''}`;
  const read = fileTime(written, order, zone, before);
  if (!read.ok) return read.reason;
  const degrees = numberIn(cells[temperature]);
  if (degrees === undefined) return `"${cells[temperature] ?? ''}" is no temperature`;
  const damp = numberIn(cells[humidity]);
  if (damp === undefined) return `"${cells[humidity] ?? ''}" is no humidity`;
  return { at: read.at, zone: read.zone, temperature: degrees, humidity: damp };
}

function numberIn(text: string | undefined): number | undefined {
  const match = /^(-?\d+(?:[.,]\d+)?)\s*(?:°?\s*[CF]|%)?$/i.exec(text?.trim() ?? '');
  return match?.[1] === undefined ? undefined : Number(match[1].replace(',', '.'));
}

function unitDoubts(rows: readonly Row[], { unit }: AirMapping): readonly AirFileDoubt[] {
  const sorted = rows.map(({ temperature }) => temperature).sort((a, b) => a - b);
  const middle = sorted[Math.floor(sorted.length / 2)];
  if (middle === undefined) return [];
  if (unit === 'C') return middle > HOT_C ? ['looksLikeFahrenheit'] : [];
  return celsiusFromFahrenheit(middle) < COLD_F_AS_C ? ['looksLikeCelsius'] : [];
}

function commonest(values: readonly string[]): string | undefined {
  const counts = new Map<string, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}

const zoneWords = (zone: string | undefined): string =>
  zone === 'zone' ? 'goes by the chosen time zone' : `names the zone ${zone}`;
