import { z } from 'zod';
import type { AwayHouse } from '../contract/away';
import { firstAfter } from '../core/air/airClock';
import type { SourcedAir } from '../core/air/roomAir';
import { entriesThatCount } from '../core/log/entriesThatCount';
import { hasCalendar } from '../db/calendars';
import { inFirm } from '../db/firm';
import { findHouse } from '../db/houses';
import { isOpenTo } from '../db/viewers';
import { loadSite } from './loadSite';
import { mayAct } from './mayAct';
import { refuse } from './refuse';
import { signedIn } from './session';

const DAY_MS = 86_400_000;
/** What dried before that is dry, but for the coldest rooms: a phone carries no more air than this. */
const AIR_DAYS = 21;

/** A house for the devices of its crew, which work it out by themselves where there is no server. */
export async function awayHouse(house: string): Promise<Response> {
  const person = await signedIn();
  if (!person) return refuse(401, 'You are signed out.');
  const id = house.toLowerCase();
  if (!z.uuid().safeParse(id).success) return refuse(404, 'There is no such house.');
  return inFirm(person.firm, async () => {
    if (!(await isOpenTo(person, id)) || !(await findHouse(id))) return refuse(404, 'There is no such house.');
    if (!mayAct(person, 'finisher')) return refuse(403, 'Only the crew takes a house along.');
    const [{ site, now, timeZone, people, log }, calendar] = await Promise.all([loadSite(id), hasCalendar(person.id)]);
    const airs = new Map<string, { readonly place: number; readonly steps: readonly SourcedAir[] }>();
    const airOf = site.rooms.map(({ room, air: { steps } }) => {
      const own = steps.slice(Math.max(0, firstAfter(steps, now - AIR_DAYS * DAY_MS) - 1));
      const key = JSON.stringify(own);
      const known = airs.get(key) ?? { place: airs.size, steps: own };
      airs.set(key, known);
      return [room.id, known.place] as const;
    });
    const kept: AwayHouse = {
      id,
      made: now,
      timeZone,
      me: { id: person.id, name: person.name, role: person.role },
      people,
      head: site.house,
      rooms: site.rooms.map(({ room }) => room),
      tooLarge: site.rooms.flatMap(({ room, tooLarge }) => (tooLarge ? [room.id] : [])),
      entries: entriesThatCount(log.entries()),
      airs: [...airs.values()].map(({ steps }) => steps),
      airOf: Object.fromEntries(airOf),
      hasCalendar: calendar,
    };
    return Response.json(kept, { headers: { 'cache-control': 'no-store' } });
  });
}
