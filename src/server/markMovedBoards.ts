import { randomUUID } from 'node:crypto';
import type { HouseHead } from '../core/house/schema';
import type { NewEntry } from '../core/log/entry';
import type { Room } from '../core/room/schema';
import { movedFaces } from '../core/standing/movedFaces';
import { now } from '../db/clock';
import { appendEntries } from '../db/entries';
import { findHouse, type StoredHouse } from '../db/houses';
import type { Member } from '../db/people';
import { cachedLog } from './cachedLog';
import { cachedTakeOffs } from './takeOffs/cachedTakeOffs';

interface Rooms {
  readonly head: HouseHead;
  readonly rooms: readonly Room[];
}

/**
 * Returns a house as it was stored.
 *
 * @param only the one room that is edited
 */
export const asRooms = ({ head, rooms }: Pick<StoredHouse, 'head' | 'rooms'>, only?: string): Rooms => ({
  head,
  rooms: rooms.flatMap(({ room }) => (only === undefined || room.id === only ? [room] : [])),
});

/**
 * Records after an edit which faces have joints that moved under coats: whether their boards are new is asked until somebody says so.
 *
 * @param before the house as it was before the edit
 */
export async function markMovedBoards(house: string, before: Rooms, by: Member): Promise<void> {
  const stored = await findHouse(house);
  if (!stored) return;
  const states = (await cachedLog(stored)).states();
  const after = { head: stored.head, rooms: stored.rooms.map(({ room }) => room) };
  const isCoated = ({ id }: Room) => (states.get(id)?.applied.length ?? 0) > 0;
  const coated = after.rooms.filter(isCoated);
  const known = new Map(before.rooms.filter(isCoated).map((room) => [room.id, room]));
  const [was, is] = await Promise.all([
    cachedTakeOffs(before.head, [...known.values()]),
    cachedTakeOffs(after.head, coated),
  ]);
  const entries = coated.flatMap((room): readonly NewEntry[] => {
    const own = known.get(room.id);
    const then = own && was.get(own)?.pieces;
    const pieces = is.get(room)?.pieces;
    const faces = then && pieces ? movedFaces(then, pieces, states.get(room.id)?.applied ?? []) : [];
    if (faces.length === 0) return [];
    const at = new Date(now()).toISOString();
    return [{ id: randomUUID(), room: room.id, at, kind: 'boards', payload: { faces: [...faces], are: 'moved' } }];
  });
  if (entries.length > 0) await appendEntries(house, by, entries);
}
