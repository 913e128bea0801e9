import { type OtherStock, roomWithStock } from '../core/estimate/betterStock';
import type { HouseSnapshot } from '../core/snapshot/houseSnapshot';
import { isBegun, type OtherRoom, withRooms } from '../core/snapshot/withRooms';
import { cachedTakeOffs } from './takeOffs/cachedTakeOffs';

/** A house as it stands, as if what is not begun were hung with other boards. */
export async function withBoards(snapshot: HouseSnapshot, stock: OtherStock): Promise<HouseSnapshot> {
  const others = snapshot.rooms.flatMap((own) => {
    const room = isBegun(own) ? own.room : roomWithStock(own.room, snapshot.house, stock);
    return room === own.room ? [] : [room];
  });
  const takeOffs = await cachedTakeOffs(snapshot.house, others);
  return withRooms(
    snapshot,
    new Map(
      others.flatMap((room): readonly (readonly [string, OtherRoom])[] => {
        const taken = takeOffs.get(room);
        return taken ? [[room.id, { room, taken }]] : [];
      }),
    ),
  );
}
