import type { AwayHouse } from '../contract/away';
import { firstAfter } from '../core/air/airClock';
import { entriesThatCount } from '../core/log/entriesThatCount';
import { distinct } from '../core/measure/distinct';
import { hasCalendar } from '../db/calendars';
import { loadSnapshot } from './loadSnapshot';
import { mayAct } from './mayAct';
import { openHouse } from './openHouse';
import { refuse } from './refuse';

const DAY_MS = 86_400_000;
/** What dried before that is dry, but for the coldest rooms: a phone carries no more air than this. */
const AIR_DAYS = 21;

/** A house for the devices of its crew, which work it out by themselves where there is no server. */
export const awayHouse = (house: string): Promise<Response> =>
  openHouse(house, async ({ id }, person) => {
    if (!mayAct(person, 'finisher')) return refuse(403, 'Only the crew takes a house along.');
    const [{ snapshot, now, timeZone, people, log }, calendar] = await Promise.all([
      loadSnapshot(id),
      hasCalendar(person.id),
    ]);
    const oldest = now - AIR_DAYS * DAY_MS;
    const airs = distinct(
      snapshot.rooms.map(({ air: { steps } }) => steps.slice(Math.max(0, firstAfter(steps, oldest) - 1))),
    );
    const kept: AwayHouse = {
      id,
      made: now,
      timeZone,
      me: { id: person.id, name: person.name, role: person.role },
      people,
      head: snapshot.house,
      rooms: snapshot.rooms.map(({ room }) => room),
      takeOffs: Object.fromEntries(
        snapshot.rooms.flatMap(({ room, tooLarge, tally, pieces, faces }) =>
          tooLarge ? [] : [[room.id, { tally, pieces, faces }] as const],
        ),
      ),
      entries: entriesThatCount(log.entries()),
      airs: airs.values,
      airOf: Object.fromEntries(snapshot.rooms.map(({ room }, index) => [room.id, airs.places[index] ?? 0])),
      hasCalendar: calendar,
    };
    return Response.json(kept, { headers: { 'cache-control': 'no-store' } });
  });
