import { granted, refused } from '../../contract/answer';
import { makeCalendar } from '../../db/calendars';
import { saveCatalogue } from '../../db/catalogues';
import { dropCrewPlan } from '../../db/crewPlans';
import { saveCrew, savePainters } from '../../db/crews';
import { findHouse } from '../../db/houses';
import { makeLaser } from '../../db/lasers';
import { hideHouse, showHouse } from '../../db/shownHouses';
import { type Handlers, HOUSE_GONE, ROOM_GONE } from './handler';

export const planCommands: Handlers<
  'saveCrew' | 'saveCatalogue' | 'planAnew' | 'setPainters' | 'makeCalendar' | 'makeLaser' | 'showHouse' | 'hideHouse'
> = {
  saveCrew: async ({ version, crew }) => {
    const saved = await saveCrew(version, crew);
    return saved
      ? granted({ version: saved })
      : refused('stale', 'Somebody changed the crew in the meantime. Reload to see it, then choose again.');
  },

  saveCatalogue: async ({ version, catalogue }) => {
    const saved = await saveCatalogue(version, catalogue);
    return saved
      ? granted({ version: saved })
      : refused('stale', 'Somebody changed what is bought in the meantime. Reload to see it, then enter yours again.');
  },

  makeCalendar: async (_, person) => granted({ secret: await makeCalendar(person.id) }),

  makeLaser: async (_, person) => granted({ key: await makeLaser(person.id) }),

  showHouse: async ({ house, what, days }, person) => {
    if (!(await findHouse(house))) return refused('notFound', HOUSE_GONE);
    const secret = await showHouse(house, person.id, what, days);
    return secret
      ? granted({ secret })
      : refused('tooMany', 'There are twenty addresses of this house already: end one of them first.');
  },

  hideHouse: async ({ house, address }) =>
    (await hideHouse(house, address)) ? granted(null) : refused('notFound', 'That address has ended already.'),

  planAnew: async () => {
    await dropCrewPlan();
    return granted(null);
  },

  setPainters: async ({ house, room, day }) => {
    const stored = await findHouse(house);
    if (!stored) return refused('notFound', HOUSE_GONE);
    if (room !== null && !stored.rooms.some((own) => own.room.id === room)) return refused('notFound', ROOM_GONE);
    return (await savePainters(house, room, day)) ? granted(null) : refused('notFound', HOUSE_GONE);
  },
};
