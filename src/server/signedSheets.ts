import { createHash } from 'node:crypto';
import { signedSheetOf } from '../core/inspect/signedSheet';
import type { Person } from '../core/log/person';
import type { RoomSnapshot } from '../core/snapshot/houseSnapshot';
import { readSheet } from '../db/signedSheets';
import { openHouse } from './openHouse';
import { refuse } from './refuse';

/** A room's sheet as it would be signed now, with its hash. */
export interface SheetNow {
  readonly hash: string;
  readonly sheet: object;
}

/** Returns a room's sheet as it would be signed now. Equal facts have equal hashes (SHA-256, hex). */
export function sheetNow(room: RoomSnapshot, people: readonly Person[]): SheetNow {
  const names = new Map(people.map(({ id, name }) => [id, name]));
  const sheet = signedSheetOf(room, (id) => names.get(id) ?? 'somebody');
  return { sheet, hash: createHash('sha256').update(JSON.stringify(sheet)).digest('hex') };
}

/** Returns the hashes of the rooms' sheets as they would be signed now, by room id. */
export const sheetHashes = (rooms: readonly RoomSnapshot[], people: readonly Person[]): ReadonlyMap<string, string> =>
  new Map(rooms.map((room) => [room.room.id, sheetNow(room, people).hash]));

/** `GET …/signed/HASH`: what was signed, as JSON, for those whose house it is. */
export const signedSheet = (house: string, hash: string): Promise<Response> =>
  openHouse(house, async ({ id }) => {
    const sheet = await readSheet(id, hash.toLowerCase());
    return sheet
      ? Response.json(sheet, { headers: { 'cache-control': 'no-store' } })
      : refuse(404, 'There is no such sheet.');
  });
