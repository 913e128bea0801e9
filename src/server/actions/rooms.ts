'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { granted, refused } from '../../core/house/answer';
import { checkRoom } from '../../core/house/checks/checkRoom';
import { copiesOf, MIRRORINGS } from '../../core/house/copyRoom';
import { roomSchema } from '../../core/house/schema';
import { findHouse, saveRoom as saveStoredRoom } from '../../db/houses';
import { addRooms, arrangeRooms as arrangeStored, placeRoom as placeStored, setRemoved } from '../../db/rooms';
import { action } from '../action';
import { now } from '../clock';

const house = z.uuid('must be a house');
const room = z.string().min(1).max(60);
const MOST_COPIES = 60;
const MOST_ROOMS = 2000;
const GONE = 'This room is gone.';

const changed = (id: string) => revalidatePath(`/h/${id}`, 'layout');

export const addRoom = action(z.strictObject({ house, room: roomSchema.omit({ id: true }) }), 'lead', async (input) => {
  const stored = await findHouse(input.house);
  if (!stored) return refused('notFound', 'This house is gone.');
  if (stored.rooms.length >= MOST_ROOMS) return refused('invalid', `A house holds at most ${MOST_ROOMS} rooms.`);
  const problems = checkRoom({ ...input.room, id: 'new' }, stored.head);
  if (problems.length > 0) return refused('invalid', 'The room was not kept.', problems);
  const [added] = (await addRooms(input.house, [input.room])) ?? [];
  if (!added) return refused('notFound', 'This house is gone.');
  changed(input.house);
  return granted({ id: added.id });
});

export const saveRoom = action(z.strictObject({ house, version: z.int(), room: roomSchema }), 'lead', async (input) => {
  const stored = await findHouse(input.house);
  if (!stored) return refused('notFound', 'This house is gone.');
  const problems = checkRoom(input.room, stored.head);
  if (problems.length > 0) return refused('invalid', 'The room was not kept.', problems);
  const result = await saveStoredRoom(input.house, input.version, input.room);
  if (result.kind === 'gone') return refused('notFound', GONE);
  if (result.kind === 'saved') changed(input.house);
  return granted(result);
});

/** Copies a room as often as asked, plain or as mirror images, next to it in the list. */
export const copyRoom = action(
  z.strictObject({
    house,
    room,
    times: z.int().min(1, 'must be at least 1').max(MOST_COPIES, `must be at most ${MOST_COPIES}`),
    mirror: z.enum(MIRRORINGS),
  }),
  'lead',
  async (input) => {
    const stored = await findHouse(input.house);
    const original = stored?.rooms.find((candidate) => candidate.room.id === input.room)?.room;
    if (!stored || !original) return refused('notFound', GONE);
    if (stored.rooms.length + input.times > MOST_ROOMS)
      return refused('invalid', `A house holds at most ${MOST_ROOMS} rooms.`);
    const names = stored.rooms.map((candidate) => candidate.room.name);
    const copies = copiesOf(original, names, input.times, input.mirror, stored.head.unit);
    const added = await addRooms(input.house, copies, input.room);
    if (!added) return refused('notFound', 'This house is gone.');
    changed(input.house);
    return granted({ ids: added.map(({ id }) => id) });
  },
);

export const removeRoom = action(z.strictObject({ house, room }), 'lead', async (input) => {
  if (!(await setRemoved(input.house, input.room, new Date(now())))) return refused('notFound', GONE);
  changed(input.house);
  return granted(null);
});

export const restoreRoom = action(z.strictObject({ house, room }), 'lead', async (input) => {
  if (!(await setRemoved(input.house, input.room, null))) return refused('notFound', GONE);
  changed(input.house);
  return granted(null);
});

/** The rooms in a new order, each with the level that it is on. */
export const arrangeRooms = action(
  z.strictObject({
    house,
    order: z.array(z.strictObject({ room, level: roomSchema.shape.level.unwrap() })).max(MOST_ROOMS),
  }),
  'lead',
  async (input) => {
    if (!(await arrangeStored(input.house, input.order)))
      return refused('stale', 'Somebody added or removed a room in the meantime. Reload to see it, then move again.');
    changed(input.house);
    return granted(null);
  },
);

/** A room's place on the plan of its level, in the house's unit. */
export const placeRoom = action(
  z.strictObject({ house, room, at: z.tuple([z.number().min(-1e6).max(1e6), z.number().min(-1e6).max(1e6)]) }),
  'lead',
  async (input) => {
    if (!(await placeStored(input.house, input.room, input.at))) return refused('notFound', GONE);
    changed(input.house);
    return granted(null);
  },
);
