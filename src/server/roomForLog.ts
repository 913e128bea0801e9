import { type TakeOff, takeOff } from '../core/joints/takeOff';
import { effortOf } from '../core/room/checks/effortOf';
import type { RoomSnapshot } from '../core/snapshot/houseSnapshot';
import { loadSnapshot } from './loadSnapshot';
import { openHouse } from './openHouse';
import { refuse } from './refuse';
import { MOST_WORK_AT_ONCE } from './takeOffs/cachedTakeOffs';

/**
 * A room of a house with all of its joints, for those whose house it is.
 *
 * @param answer what is told of it
 */
export const roomForLog = (
  house: string,
  room: string,
  answer: (snapshot: RoomSnapshot, takenOff: TakeOff) => object,
): Promise<Response> =>
  openHouse(house, async ({ id }) => {
    const { snapshot } = await loadSnapshot(id);
    const own = snapshot.rooms.find((candidate) => candidate.room.id === room);
    if (!own) return refuse(404, 'There is no such room.');
    const work = effortOf(own.room, snapshot.house);
    if (own.tooLarge || work === undefined || work > MOST_WORK_AT_ONCE)
      return refuse(422, 'This room is too large to be drawn here: say on which faces.');
    return Response.json(answer(own, takeOff(own.room, snapshot.house)), { headers: { 'cache-control': 'no-store' } });
  });
