import { granted, refused } from '../../contract/answer';
import { MOST_ROOMS } from '../../core/house/schema';
import { checkHangBounds } from '../../core/room/checks/checkBounds';
import { withIds } from '../../core/room/ids';
import { now } from '../../db/clock';
import { addHouse, findHouse, saveHouseHead } from '../../db/houses';
import { mergeHouse } from '../../db/rooms';
import { asRooms, markMovedBoards } from '../markMovedBoards';
import type { FirstProblem } from '../reading/checkAll';
import { checkAside, readAside } from '../reading/readAside';
import { FULL, type Handlers, HOUSE_GONE } from './handler';

const MERGED_STALE =
  'Somebody changed this house in the meantime. Nothing was imported. Reload, then choose the file again.';
const cannotBe = ({ room, path, reason }: FirstProblem): string =>
  room === undefined ? reason : `${room} cannot be so: ${path} ${reason}`;
/** What was said, without what was not. */
const given = <Choices extends object>(choices: Choices): Partial<Choices> =>
  Object.fromEntries(Object.entries(choices).filter(([, value]) => value !== undefined)) as Partial<Choices>;

export const houseCommands: Handlers<'createHouse' | 'importHouse' | 'mergeHouse' | 'saveHang'> = {
  createHouse: async ({ name, unit, timeZone }) => {
    const head = { name, unit, hang: {}, method: { level: 4 as const } };
    return granted({ id: await addHouse({ format: 'oak-tally-house', version: 2, ...head, rooms: [] }, timeZone) });
  },

  importHouse: async ({ text, turn, timeZone }) => {
    const reading = await readAside(text, turn);
    if (!reading.ok)
      return 'why' in reading
        ? refused('invalid', reading.why)
        : refused('invalid', 'The file was refused; nothing was taken from it.', reading.problems);
    return granted({ id: await addHouse(reading.house, timeZone) });
  },

  mergeHouse: async ({ house, added, changed, removed, head }, person) => {
    const stored = await findHouse(house);
    if (!stored) return refused('notFound', HOUSE_GONE);
    const { version: headVersion, ...choices } = head ?? {};
    const then = { ...stored.head, ...given(choices) };
    const known = new Map(stored.rooms.map(({ room }) => [room.id, room]));
    const isGone = removed.some(({ room }) => !known.has(room)) || changed.some(({ room }) => !known.has(room.id));
    if (isGone) return refused('stale', MERGED_STALE);
    const over = changed.map(({ room, ...own }) => ({ ...own, room: withIds(room, then.unit) }));
    const more = added.map((room) => withIds({ ...room, id: 'new' }, then.unit));
    const leaves = new Set([...removed.map(({ room }) => room), ...over.map(({ room }) => room.id)]);
    const rooms = [
      ...stored.rooms.flatMap(({ room }) => (leaves.has(room.id) ? [] : [room])),
      ...over.map(({ room }) => room),
      ...more,
    ];
    if (rooms.length > MOST_ROOMS) return refused('invalid', FULL);
    // What stays as it is was checked when it was kept, unless it is hung otherwise from now on.
    const problem = await checkAside(then, head?.hang ? rooms : [...over.map((own) => own.room), ...more], rooms);
    if (problem) return refused('invalid', `${cannotBe(problem)}. Nothing was taken.`);
    const merged = await mergeHouse(
      house,
      { added: more, changed: over, removed, head: head && { version: head.version, ...given(choices) } },
      new Date(now()),
    );
    if (!merged) return refused('stale', MERGED_STALE);
    await markMovedBoards(house, asRooms(stored), person);
    return granted({ rooms: rooms.length });
  },

  saveHang: async ({ house, version, hang }, person) => {
    const stored = await findHouse(house);
    if (!stored) return refused('notFound', HOUSE_GONE);
    const [wild] = checkHangBounds(hang, stored.head.unit);
    if (wild) return refused('invalid', `${wild.path.replace('hang.', '')} ${wild.reason}`, [wild]);
    const head = { ...stored.head, hang };
    const problem = await checkAside(
      head,
      stored.rooms.map(({ room }) => room),
    );
    if (problem) return refused('invalid', `${problem.room} could not be hung so: ${problem.path} ${problem.reason}`);
    const saved = await saveHouseHead(house, version, (now) => ({ ...now, hang }));
    if (!saved)
      return refused('stale', 'Somebody changed this house in the meantime. Reload to see it, then choose again.');
    await markMovedBoards(house, asRooms(stored), person);
    return granted(null);
  },
};
