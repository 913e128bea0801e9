'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { granted, refused } from '../../core/house/answer';
import { checkRoom } from '../../core/house/checks/checkRoom';
import { readHouse } from '../../core/house/readHouse';
import { hangSchema, houseHeadSchema } from '../../core/house/schema';
import { addHouse, findHouse, saveHouseHead } from '../../db/houses';
import { recordReadings } from '../../db/readings';
import { action } from '../action';
import { now } from '../clock';

const MOST_CHARACTERS = 4_000_000;
const timeZone = z
  .string()
  .refine((zone) => Intl.supportedValuesOf('timeZone').includes(zone) || zone === 'UTC', 'is no time zone');
const house = z.uuid('must be a house');

export const createHouse = action(
  houseHeadSchema.pick({ name: true, unit: true }).extend({ timeZone }),
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
  z.strictObject({ text: z.string().max(MOST_CHARACTERS, 'is larger than 4 MB'), turn: z.boolean(), timeZone }),
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

/** A thermometer read by hand; °C and %. Without a room it is the air of the house. */
export const recordAir = action(
  z.strictObject({
    house,
    room: z.string().max(60).nullable(),
    temperature: z.number().min(-40, 'is no air that people work in').max(60, 'is no air that people work in'),
    humidity: z.number().min(0, 'must be from 0 to 100').max(100, 'must be from 0 to 100'),
  }),
  'finisher',
  async (input) => {
    const stored = await findHouse(input.house);
    if (!stored) return refused('notFound', 'This house is gone.');
    if (input.room !== null && !stored.rooms.some(({ room }) => room.id === input.room))
      return refused('notFound', 'This room is gone.');
    await recordReadings(input.house, [
      {
        device: input.room === null ? 'typed' : `typed:${input.room}`,
        at: new Date(now()),
        roomId: input.room,
        temperature: input.temperature,
        humidity: input.humidity,
      },
    ]);
    revalidatePath(`/h/${input.house}`, 'layout');
    return granted(null);
  },
);
