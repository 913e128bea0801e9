import { expose } from 'comlink';
import type { AirMapping } from '../core/air/airFile/airMapping';
import { type AirTable, airTable, guessMapping } from '../core/air/airFile/airTable';
import { lookAtFile } from '../core/air/airFile/lookAtFile';
import { type AirFile, readAirFile } from '../core/air/airFile/readAirFile';

let table: AirTable | undefined;
let read: AirFile | undefined;

/** A file of readings, away from the page: months of minutes take their time. The file that was opened last is looked at. */
const airFile = {
  /** Its columns and how they are most likely to be read; undefined when it holds no table. */
  open(text: string, zone: string) {
    table = airTable(text);
    return table && table.rows.length > 0 ? { headers: table.headers, mapping: guessMapping(table, zone) } : undefined;
  },
  look(mapping: AirMapping, now: number) {
    read = table && readAirFile(table, mapping, now);
    return read && lookAtFile(read);
  },
  /** So many of the readings that were looked at last, in the order of the file. */
  part: (from: number, count: number) =>
    read?.readings.slice(from, from + count).map(({ at, temperature, humidity }) => ({ at, temperature, humidity })) ??
    [],
};
export type AirFileWorker = typeof airFile;

expose(airFile);
