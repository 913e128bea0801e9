import { type HungDifference, hungDifference } from '../core/estimate/hungDifference';
import type { HouseSnapshot } from '../core/snapshot/houseSnapshot';
import { cachedTakeOffs } from './takeOffs/cachedTakeOffs';

/** What the rooms of a house take otherwise than planned because their boards hang otherwise, by room. */
export async function hungOtherwise({ house, rooms }: HouseSnapshot): Promise<ReadonlyMap<string, HungDifference>> {
  const found = rooms.flatMap(({ room, tally, tooLarge }) => {
    const { hung, ...planned } = room;
    return hung && !tooLarge ? [{ room, planned, tally }] : [];
  });
  const takeOffs = await cachedTakeOffs(
    house,
    found.map(({ planned }) => planned),
  );
  return new Map(
    found.flatMap(({ room, planned, tally }) => {
      const before = takeOffs.get(planned)?.tally;
      const difference = before && hungDifference(house, room, before, tally);
      return difference && difference.classes.length > 0 ? [[room.id, difference] as const] : [];
    }),
  );
}
