import { granted, refused } from '../../contract/answer';
import { ASSUMED_AIR } from '../../core/air/air';
import { conflictsIn, newlyForbidden } from '../../core/estimate/conflictsIn';
import type { HouseHead } from '../../core/house/schema';
import type { MethodChoices } from '../../core/room/methodSchema';
import { withMethod } from '../../core/room/withMethod';
import { now } from '../../db/clock';
import { findHouse, saveHouseHead, saveRoomMethod } from '../../db/houses';
import { dropMethod, keepMethod } from '../../db/methods';
import { contradictionWords } from '../../words/conflictWords';
import { loadSnapshot } from '../loadSnapshot';
import { type Handlers, HOUSE_GONE, ROOM_GONE } from './handler';

const STALE = 'Somebody changed this in the meantime. Reload to see it, then choose again.';

export const methodCommands: Handlers<'saveMethod' | 'saveRoomMethod' | 'keepMethod' | 'dropMethod'> = {
  saveMethod: async ({ house, version, change, method }) => {
    if (!(await findHouse(house))) return refused('notFound', HOUSE_GONE);
    const why = await whyForbidden(house, { method });
    if (why) return refused('invalid', `Not kept: ${why}.`);
    const saved = await saveHouseHead(house, version, (head) => ({ ...head, method }), change);
    return saved ? granted({ version: saved }) : refused('stale', STALE);
  },

  saveRoomMethod: async ({ house, room, version, change, method }) => {
    if (!(await findHouse(house))) return refused('notFound', HOUSE_GONE);
    const why = await whyForbidden(house, { room, choices: method });
    if (why) return refused('invalid', `Not kept: ${why}.`);
    const saved = await saveRoomMethod(house, version, room, method, change);
    if (saved.kind === 'gone') return refused('notFound', ROOM_GONE);
    if (saved.kind === 'stale') return refused('stale', STALE);
    return granted({ version: saved.version });
  },

  keepMethod: async ({ name, unit, choices }, person) => {
    await keepMethod(name, unit, choices, person.id, new Date(now()));
    return granted(null);
  },

  dropMethod: async ({ id }) =>
    (await dropMethod(id)) ? granted(null) : refused('notFound', 'This method is gone already.'),
};

type Change =
  | { readonly method: HouseHead['method'] }
  | { readonly room: string; readonly choices: MethodChoices | null };

/** Why a change cannot be kept. */
async function whyForbidden(id: string, change: Change): Promise<string | undefined> {
  const { snapshot, inside: air = ASSUMED_AIR } = await loadSnapshot(id);
  const before = conflictsIn(snapshot.house, snapshot.rooms, air);
  const after =
    'method' in change
      ? conflictsIn({ ...snapshot.house, method: change.method }, snapshot.rooms, air)
      : conflictsIn(
          snapshot.house,
          snapshot.rooms.map(({ room, tally }) => ({
            room: room.id === change.room ? withMethod(room, change.choices) : room,
            tally,
          })),
          air,
        );
  const found = newlyForbidden(before, after);
  return found && contradictionWords(found.why, snapshot.house.unit);
}
