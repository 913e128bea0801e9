import Papa from 'papaparse';
import type { AirMapping, DateOrder } from './airMapping';

/** A file of readings as a table of texts. */
export interface AirTable {
  readonly headers: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Reads the text of a CSV file; its delimiter is found out. Undefined when it holds no table. */
export function airTable(text: string): AirTable | undefined {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const first = data.findIndex((row) => row.length >= 2);
  if (first < 0) return undefined;
  const [head = [], ...rest] = data.slice(first);
  const isNamed = head.some((cell) => /[a-z]/i.test(cell) && !/\d{2}/.test(cell));
  return {
    headers: isNamed ? head.map((cell) => cell.trim()) : head.map((_, index) => `column ${index + 1}`),
    rows: isNamed ? rest : [head, ...rest],
  };
}

const LOOKED_AT = 200;

/** The mapping that a table most likely has. */
export function guessMapping({ headers, rows }: AirTable, zone: string): AirMapping {
  const named = (pattern: RegExp) => headers.findIndex((header) => pattern.test(header));
  const sample = rows.slice(0, LOOKED_AT);
  const filled = (pattern: RegExp) =>
    headers.findIndex((_, column) => sample.every((row) => pattern.test(row[column]?.trim() ?? '')));
  const orElse = (...places: readonly number[]) => places.find((place) => place >= 0) ?? 0;
  const time = orElse(named(/date|time|zeit|stamp/i), filled(DATE));
  const clockNamed = headers.findIndex((header, index) => index !== time && /time|uhr|zeit/i.test(header));
  const needsClock = sample.every((row) => !/\d:\d\d|^\d{9,}$/.test(row[time] ?? ''));
  const temperature = orElse(named(/temp|°|\bt\b/i), firstOther(headers.length, [time]));
  const humidity = orElse(named(/hum|rh|feucht/i), firstOther(headers.length, [time, temperature]));
  return {
    time,
    clock: needsClock && clockNamed >= 0 ? clockNamed : null,
    temperature,
    humidity,
    unit: /°?\s*F\b|fahr/i.test(headers[temperature] ?? '') ? 'F' : 'C',
    order: guessOrder(sample.map((row) => row[time] ?? '')),
    zone,
  };
}

const DATE = /^\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}|^\d{9,13}$/;

const firstOther = (count: number, taken: readonly number[]): number =>
  Array.from({ length: count }, (_, index) => index).find((index) => !taken.includes(index)) ?? 0;

/** A first part over 12 is a day, a second one over 12 says that the month came first. */
function guessOrder(times: readonly string[]): DateOrder {
  const parts = times.map((time) =>
    time
      .trim()
      .split(/[^0-9]+/)
      .map(Number),
  );
  if (parts.some(([first = 0]) => first > 31)) return 'ymd';
  if (parts.some(([first = 0]) => first > 12)) return 'dmy';
  if (parts.some(([, second = 0]) => second > 12)) return 'mdy';
  return times.some((time) => time.includes('.')) ? 'dmy' : 'mdy';
}
