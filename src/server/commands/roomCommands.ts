import { type Answer, granted, refused } from '../../contract/answer';
import type { RoomSaved } from '../../contract/commands';
import type { HouseHead } from '../../core/house/schema';
import { checkRoom } from '../../core/room/checks/checkRoom';
import { copiesOf } from '../../core/room/copyRoom';
import { withIds } from '../../core/room/ids';
import { keepIds } from '../../core/room/keepIds';
import type { Room } from '../../core/room/schema';
import { now } from '../../db/clock';
import { findHouse, saveRoom } from '../../db/houses';
import { addRooms, arrangeRooms, placeRoom, setRemoved } from '../../db/rooms';
import { asRooms, markMovedBoards } from '../markMovedBoards';
import { FULL, type Handlers, HOUSE_GONE, ROOM_GONE } from './handler';

export const roomCommands: Handlers<
  'addRooms' | 'saveRoom' | 'saveRoomFinish' | 'copyRoom' | 'removeRoom' | 'restoreRoom' | 'arrangeRooms' | 'placeRoom'
> = {
  addRooms: async ({ house, rooms }) => {
    const stored = await findHouse(house);
    if (!stored) return refused('notFound', HOUSE_GONE);
    const whole = rooms.map((room) => withIds({ ...room, id: 'new' }, stored.head.unit));
    const problems = whole.flatMap((room, index) =>
      checkRoom(room, stored.head).map(({ path, reason }) => ({ path: `rooms[${index}].${path}`, reason })),
    );
    if (problems.length > 0)
      return refused(
        'invalid',
        rooms.length === 1 ? 'The room was not saved.' : 'None of the rooms was saved.',
        problems,
      );
    return addedRooms(await addRooms(house, whole));
  },

  saveRoom: async ({ house, version, room }, person) => {
    const before = await findHouse(house);
    const answer = await saveChanged(house, version, room.id, (known, { unit }) => keepIds(known, room, unit));
    if (before && answer.ok && answer.value.kind === 'saved')
      await markMovedBoards(house, asRooms(before, room.id), person);
    return answer;
  },

  saveRoomFinish: ({ house, version, room, finish }) =>
    saveChanged(house, version, room, (before) => ({ ...before, finish })),

  copyRoom: async ({ house, room, times, mirror }) => {
    const stored = await findHouse(house);
    const original = stored?.rooms.find((candidate) => candidate.room.id === room)?.room;
    if (!stored || !original) return refused('notFound', ROOM_GONE);
    const names = stored.rooms.map((candidate) => candidate.room.name);
    const copies = copiesOf(original, names, times, mirror, stored.head.unit);
    return addedRooms(await addRooms(house, copies, room));
  },

  removeRoom: async ({ house, room }) =>
    (await setRemoved(house, room, new Date(now()))) ? granted(null) : refused('notFound', ROOM_GONE),

  restoreRoom: async ({ house, room }) => {
    const restored = await setRemoved(house, room, null);
    if (restored === 'full') return refused('invalid', FULL);
    return restored ? granted(null) : refused('notFound', ROOM_GONE);
  },

  arrangeRooms: async ({ house, order, change }) =>
    (await arrangeRooms(house, order, change))
      ? granted(null)
      : refused('stale', 'Somebody added or removed a room in the meantime. Reload to see it, then move again.'),

  placeRoom: async ({ house, room, at, change }) =>
    (await placeRoom(house, room, at, change)) ? granted(null) : refused('notFound', ROOM_GONE),
};

function addedRooms(added: Awaited<ReturnType<typeof addRooms>>): Answer<{ readonly ids: readonly string[] }> {
  if (added === 'full') return refused('invalid', FULL);
  return added ? granted({ ids: added.map(({ id }) => id) }) : refused('notFound', HOUSE_GONE);
}

/** Saves what a change makes of a stored room, over the version that was seen, where the room can be so. */
async function saveChanged(
  house: string,
  version: number,
  id: string,
  change: (before: Room, head: HouseHead) => Room,
): Promise<Answer<RoomSaved>> {
  const stored = await findHouse(house);
  if (!stored) return refused('notFound', HOUSE_GONE);
  const before = stored.rooms.find((candidate) => candidate.room.id === id)?.room;
  if (!before) return refused('notFound', ROOM_GONE);
  const room = change(before, stored.head);
  const problems = checkRoom(room, stored.head);
  if (problems.length > 0) return refused('invalid', 'The room was not kept.', problems);
  const result = await saveRoom(house, version, room);
  return result.kind === 'gone' ? refused('notFound', ROOM_GONE) : granted(result);
}
