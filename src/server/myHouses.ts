import { dayOf } from '../core/measure/dayOf';
import type { HouseToday } from '../core/schedule/assignedDays';
import { handedPasses, passDone } from '../core/schedule/assignedWork';
import { dayListOf } from '../core/work/dayListOf';
import { housesWithWork } from '../db/calendars';
import { now } from '../db/clock';
import { inFirm } from '../db/firm';
import type { Member } from '../db/people';
import { loadSnapshot } from './loadSnapshot';

/**
 * Returns a person's open jobs today by house, sorted by the house's name.
 *
 * @param except id of a house to leave out
 */
export const myHousesToday = ({ id: person, firm }: Member, except?: string): Promise<readonly HouseToday[]> =>
  inFirm(firm, async () => {
    const others = (await housesWithWork(person, now())).filter((house) => house !== except);
    const houses = await Promise.all(others.map((house) => loadSnapshot(house)));
    return houses.flatMap(({ id, snapshot, timeZone, now: at }): readonly HouseToday[] => {
      const today = dayOf(at, timeZone);
      const assigned = dayListOf(handedPasses(snapshot.rooms, today), person, today);
      const passes = assigned.passes.filter((handed) => passDone(handed) < 1);
      return passes.length > 0 ? [{ id, name: snapshot.house.name, passes }] : [];
    });
  });
