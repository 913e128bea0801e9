'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { granted, refused } from '../../core/house/answer';
import { checkRoom } from '../../core/house/checks/checkRoom';
import { readHouse } from '../../core/house/readHouse';
import { hangSchema, houseHeadSchema } from '../../core/house/schema';
import { addHouse, findHouse, saveHouseHead } from '../../db/houses';
import { action } from '../action';
import { timeZoneSchema } from '../timeZone';

const MOST_CHARACTERS = 4_000_000;
const house = z.uuid('must be a house');

export const createHouse = action(
  houseHeadSchema.pick({ name: true, unit: true }).extend({ timeZone: timeZoneSchema }),
  'lead',
  async (input) => {
    const head = { name: input.name, unit: input.unit, hang: {}, method: { level: 4 as const } };
    return granted({
      id: await addHouse({ format: 'oak-tally-house', version: 1, ...head, rooms: [] }, input.timeZone),
    });
  },
);

/** Takes a house file in whole, or refuses it whole with every problem's place and reason. */
export const importHouse = action(
  z.strictObject({
    text: z.string().max(MOST_CHARACTERS, 'is larger than 4 MB'),
    turn: z.boolean(),
    timeZone: timeZoneSchema,
  }),
  'lead',
  async (input) => {
    let json: unknown;
    try {
      json = JSON.parse(input.text);
    } catch (error) {
      return refused('invalid', `The file is not JSON: ${error instanceof Error ? error.message : String(error)}`);
    }
    const reading = readHouse(json, { turn: input.turn });
    if (!reading.ok) return refused('invalid', 'The file was refused; nothing was taken from it.', reading.problems);
    return granted({ id: await addHouse(reading.house, input.timeZone) });
  },
);

/** How every room is hung that does not say otherwise; refused when a room could not be hung so. */
export const saveHang = action(z.strictObject({ house, version: z.int(), hang: hangSchema }), 'lead', async (input) => {
  const stored = await findHouse(input.house);
  if (!stored) return refused('notFound', 'This house is gone.');
  const head = { ...stored.head, hang: input.hang };
  for (const { room } of stored.rooms) {
    const [problem] = checkRoom(room, head);
    if (problem) return refused('invalid', `${room.name} could not be hung so: ${problem.path} ${problem.reason}`);
  }
  const saved = await saveHouseHead(input.house, input.version, (now) => ({ ...now, hang: input.hang }));
  if (!saved)
    return refused('stale', 'Somebody changed this house in the meantime. Reload to see it, then choose again.');
  revalidatePath(`/h/${input.house}`, 'layout');
  return granted(null);
});
