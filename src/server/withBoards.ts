import { type OtherStock, roomWithStock } from '../core/estimate/betterStock';
import type { Site } from '../core/readiness/siteOf';
import { isBegun, type OtherRoom, withRooms } from '../core/readiness/withRooms';
import { cachedTakeOffs } from './takeOffs/cachedTakeOffs';

/** A house as it stands, as if what is not begun were hung with other boards. */
export async function withBoards(site: Site, stock: OtherStock): Promise<Site> {
  const others = site.rooms.flatMap((own) => {
    const room = isBegun(own) ? own.room : roomWithStock(own.room, site.house, stock);
    return room === own.room ? [] : [room];
  });
  const takeOffs = await cachedTakeOffs(site.house, others);
  return withRooms(
    site,
    new Map(
      others.flatMap((room): readonly (readonly [string, OtherRoom])[] => {
        const taken = takeOffs.get(room);
        return taken ? [[room.id, { room, taken }]] : [];
      }),
    ),
  );
}
