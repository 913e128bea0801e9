import { expose } from 'comlink';
import type { AirMapping } from '../core/drying/airFile/airMappingSchema';
import { type AirTable, airTable, guessMapping } from '../core/drying/airFile/airTable';
import { lookAtFile } from '../core/drying/airFile/lookAtFile';
import { readAirFile } from '../core/drying/airFile/readAirFile';

let table: AirTable | undefined;

/** A file of readings, away from the page: months of minutes take their time. The file that was opened last is looked at. */
const airFile = {
  /** Its columns and how they are most likely to be read; undefined when it holds no table. */
  open(text: string, zone: string) {
    table = airTable(text);
    return table && table.rows.length > 0 ? { headers: table.headers, mapping: guessMapping(table, zone) } : undefined;
  },
  look: (mapping: AirMapping, now: number) => table && lookAtFile(readAirFile(table, mapping, now)),
};
export type AirFileWorker = typeof airFile;

expose(airFile);
