import { dayOf } from '../core/measure/dayOf';
import { assignedDays, type HouseToday } from '../core/schedule/assignedDays';
import { passDone } from '../core/schedule/assignedWork';
import { housesWithWork } from '../db/calendars';
import { now } from '../db/clock';
import { inFirm } from '../db/firm';
import type { Member } from '../db/people';
import { loadSnapshot } from './loadSnapshot';

/** Returns the houses, by name, in which a person has something left to do today. */
export const myHousesToday = ({ id: person, firm }: Member): Promise<readonly HouseToday[]> =>
  inFirm(firm, async () => {
    const houses = await Promise.all((await housesWithWork(person, now())).map((house) => loadSnapshot(house)));
    return houses.flatMap(({ id, snapshot, timeZone, now: at }): readonly HouseToday[] => {
      const today = dayOf(at, timeZone);
      const passes = assignedDays(snapshot.rooms, today)
        .dayOf(person, today)
        .passes.filter((handed) => passDone(handed) < 1);
      return passes.length > 0 ? [{ id, name: snapshot.house.name, passes }] : [];
    });
  });
