import { cachedMethod } from '../method/cachedMethod';
import { methodOfRoom } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import type { AnswerTo } from '../room/methodAnswers';
import { appliedCoats } from '../standing/appliedCoats';
import type { RoomSite, Site } from './siteOf';

/** What flats and butts are finished with. */
export type Tools = AnswerTo<'tools'>;

/** A house as it stands, as if it were finished with other tools from now on; boxes are run in their own order. */
export function withTools(site: Site, tools: Tools): Site {
  const { method: before } = site.house;
  const order: AnswerTo<'order'> | undefined =
    tools === 'boxes' ? 'boxes' : before.order === 'boxes' ? 'butts' : before.order;
  const house = { ...site.house, method: { ...before, tools, ...(order ? { order } : {}) } };
  const shared = cachedMethod(house);
  return {
    ...site,
    house,
    rooms: site.rooms.map((room): RoomSite => {
      const method = methodOfRoom(house, room.room, shared, cachedMethod);
      return {
        ...room,
        method,
        coats: roomCoats(room.tally, method, room.room.finish),
        applied: appliedCoats(room.pieces, method, room.state.applied, room.room.finish, room.held, room.toMend),
      };
    }),
  };
}
