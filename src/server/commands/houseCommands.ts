import { granted, refused } from '../../contract/answer';
import { readHouse } from '../../core/house/readHouse';
import { checkHangBounds } from '../../core/room/checks/checkBounds';
import { checkRoom } from '../../core/room/checks/checkRoom';
import { addHouse, findHouse, saveHouseHead } from '../../db/houses';
import { type Handlers, HOUSE_GONE } from './handler';

export const houseCommands: Handlers<'createHouse' | 'importHouse' | 'saveHang'> = {
  createHouse: async ({ name, unit, timeZone }) => {
    const head = { name, unit, hang: {}, method: { level: 4 as const } };
    return granted({ id: await addHouse({ format: 'oak-tally-house', version: 2, ...head, rooms: [] }, timeZone) });
  },

  importHouse: async ({ text, turn, timeZone }) => {
    let json: unknown;
    try {
      json = JSON.parse(text);
    } catch (error) {
      return refused('invalid', `The file is not JSON: ${error instanceof Error ? error.message : String(error)}`);
    }
    const reading = readHouse(json, { turn });
    if (!reading.ok) return refused('invalid', 'The file was refused; nothing was taken from it.', reading.problems);
    return granted({ id: await addHouse(reading.house, timeZone) });
  },

  saveHang: async ({ house, version, hang }) => {
    const stored = await findHouse(house);
    if (!stored) return refused('notFound', HOUSE_GONE);
    const [wild] = checkHangBounds(hang, stored.head.unit);
    if (wild) return refused('invalid', `${wild.path.replace('hang.', '')} ${wild.reason}`, [wild]);
    const head = { ...stored.head, hang };
    for (const { room } of stored.rooms) {
      const [problem] = checkRoom(room, head);
      if (problem) return refused('invalid', `${room.name} could not be hung so: ${problem.path} ${problem.reason}`);
    }
    const saved = await saveHouseHead(house, version, (now) => ({ ...now, hang }));
    return saved
      ? granted(null)
      : refused('stale', 'Somebody changed this house in the meantime. Reload to see it, then choose again.');
  },
};
