import { cachedMethod } from '../method/cachedMethod';
import { methodOfRoom } from '../method/resolveMethod';
import { coatsWithMore } from '../method/roomCoats';
import type { AnswerTo } from '../room/methodAnswers';
import { appliedCoats } from '../standing/appliedCoats';
import type { HouseSnapshot, RoomSnapshot } from './houseSnapshot';

/** What flats and butts are finished with. */
export type Tools = AnswerTo<'tools'>;

/** A house as it stands, as if it were finished with other tools from now on; boxes are run in their own order. */
export function withTools(snapshot: HouseSnapshot, tools: Tools): HouseSnapshot {
  const { method: before } = snapshot.house;
  const order: AnswerTo<'order'> | undefined =
    tools === 'boxes' ? 'boxes' : before.order === 'boxes' ? 'butts' : before.order;
  const house = { ...snapshot.house, method: { ...before, tools, ...(order ? { order } : {}) } };
  const shared = cachedMethod(house);
  return {
    ...snapshot,
    house,
    rooms: snapshot.rooms.map((room): RoomSnapshot => {
      const method = methodOfRoom(house, room.room, shared, cachedMethod);
      return {
        ...room,
        method,
        coats: coatsWithMore(room, method, room.room.finish, room.more),
        applied: appliedCoats(room.pieces, method, room.state.applied, room.room.finish, {
          held: room.held,
          toMend: room.toMend,
          touched: room.state.touched,
          more: room.more,
        }),
      };
    }),
  };
}
