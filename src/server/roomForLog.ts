import { z } from 'zod';
import { type TakeOff, takeOff } from '../core/joints/takeOff';
import type { RoomSite } from '../core/readiness/siteOf';
import { effortOf } from '../core/room/checks/effortOf';
import { inFirm } from '../db/firm';
import { findHouse } from '../db/houses';
import { isOpenTo } from '../db/viewers';
import { loadSite } from './loadSite';
import { refuse } from './refuse';
import { signedIn } from './session';
import { MOST_WORK_AT_ONCE } from './takeOffs/cachedTakeOffs';

/**
 * A room of a house with all of its joints, for those whose house it is.
 *
 * @param answer what is told of it
 */
export async function roomForLog(
  house: string,
  room: string,
  answer: (site: RoomSite, takenOff: TakeOff) => object,
): Promise<Response> {
  const person = await signedIn();
  if (!person) return refuse(401, 'You are signed out.');
  const id = house.toLowerCase();
  if (!z.uuid().safeParse(id).success) return refuse(404, 'There is no such house.');
  return inFirm(person.firm, async () => {
    if (!(await isOpenTo(person, id)) || !(await findHouse(id))) return refuse(404, 'There is no such house.');
    const { site } = await loadSite(id);
    const own = site.rooms.find((candidate) => candidate.room.id === room);
    if (!own) return refuse(404, 'There is no such room.');
    const work = effortOf(own.room, site.house);
    if (own.tooLarge || work === undefined || work > MOST_WORK_AT_ONCE)
      return refuse(422, 'This room is too large to be drawn here: say on which faces.');
    return Response.json(answer(own, takeOff(own.room, site.house)), { headers: { 'cache-control': 'no-store' } });
  });
}
