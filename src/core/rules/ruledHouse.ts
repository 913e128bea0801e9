import type { Air } from '../air/air';
import { houseAir } from '../air/houseAir';
import type { House, HouseHead } from '../house/schema';
import { takeOff, whatIsKept } from '../joints/takeOff';
import { withIds } from '../room/ids';
import { keepIds } from '../room/keepIds';
import type { Room } from '../room/schema';
import type { RuledHouse } from './recordEntries';

/** Returns a house with the take-offs of its rooms, in one air. */
export function ruledHouse(head: HouseHead, rooms: readonly Room[], air: Air): RuledHouse {
  const known = new Map<Room, ReturnType<typeof whatIsKept>>();
  const airs = houseAir(rooms, head.unit, { rooms: new Map(), house: [{ from: 0, air }], outside: [] });
  const clocks = new Map<string, ReturnType<typeof airs>>();
  return {
    head,
    rooms,
    takenOff: (room) => {
      const found = known.get(room) ?? whatIsKept(takeOff(room, head));
      known.set(room, found);
      return found;
    },
    airOf: (room, fans) => {
      const key = JSON.stringify([room, fans]);
      const clock = clocks.get(key) ?? airs(room, fans);
      clocks.set(key, clock);
      return clock;
    },
  };
}

/** The rooms of a house that was edited: what stayed keeps the ids that it had. */
export function editedRooms(before: readonly Room[], after: House): readonly Room[] {
  const known = new Map(before.map((room) => [room.id, room]));
  return after.rooms.map((room) => {
    const own = known.get(room.id);
    return own ? { ...keepIds(own, room, after.unit), id: room.id } : withIds(room, after.unit);
  });
}
