import { expose } from 'comlink';
import { compareHouse } from '../core/house/compareHouse';
import { readHouse } from '../core/house/readHouse';
import type { HouseHead } from '../core/house/schema';
import type { Room } from '../core/room/schema';

/** A house file, away from the page: one of two thousand rooms takes its time. */
const houseFiles = {
  /** What it would change in a house, or why it is refused. */
  compare(text: string, head: HouseHead, rooms: readonly Room[]) {
    let json: unknown;
    try {
      json = JSON.parse(text);
    } catch {
      return { ok: false as const, reasons: ['it is no JSON'] };
    }
    const read = readHouse(json);
    if (!read.ok)
      return { ok: false as const, reasons: read.problems.map(({ path, reason }) => `${path} ${reason}`.trim()) };
    if (read.house.unit !== head.unit)
      return { ok: false as const, reasons: [`it is in ${read.house.unit}, this house in ${head.unit}`] };
    const { method, hang } = read.house;
    return { ok: true as const, found: compareHouse(head, rooms, read.house), head: { method, hang } };
  },
};
export type HouseFileWorker = typeof houseFiles;

expose(houseFiles);
