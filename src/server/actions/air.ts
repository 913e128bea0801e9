'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { airTable, DATE_ORDERS, UNITS } from '../../core/drying/airFile/airTable';
import { readAirFile } from '../../core/drying/airFile/readAirFile';
import { refusalOf } from '../../core/drying/reading';
import { granted, refused } from '../../core/house/answer';
import { addDevice, moveDevice, removeDevice } from '../../db/devices';
import { findHouse, type StoredHouse } from '../../db/houses';
import { recordReadings, trustReadings } from '../../db/readings';
import { setWeatherUrl } from '../../db/weather';
import { action } from '../action';
import { now } from '../clock';
import { timeZoneSchema } from '../timeZone';
import { askWeather } from '../weather';

const house = z.uuid('must be a house');
const room = z.string().max(60).nullable();
const device = z.uuid('must be a sensor');
const column = z.int().min(0).max(500);
const MOST_CHARACTERS = 4_000_000;
const GONE = 'This house is gone.';
const NO_ROOM = 'This room is gone.';
const NO_DEVICE = 'This sensor is gone.';

const changed = (id: string) => revalidatePath(`/h/${id}`, 'layout');
const hasRoom = ({ rooms }: StoredHouse, id: string | null): boolean =>
  id === null || rooms.some((stored) => stored.room.id === id);

/** A thermometer read by hand; °C and %. Without a room it is the air of the house. */
export const recordAir = action(
  z.strictObject({ house, room, temperature: z.number(), humidity: z.number() }),
  'finisher',
  async (input) => {
    const stored = await findHouse(input.house);
    if (!stored) return refused('notFound', GONE);
    if (!hasRoom(stored, input.room)) return refused('notFound', NO_ROOM);
    const { temperature, humidity } = input;
    const reading = { at: now(), temperature, humidity };
    const reason = refusalOf(reading, reading.at);
    if (reason !== undefined) return refused('invalid', reason);
    // What somebody read and typed themselves is not doubted.
    const kept = { ...reading, speed: undefined, doubt: undefined };
    await recordReadings(input.house, input.room === null ? 'typed' : `typed:${input.room}`, input.room, [kept]);
    changed(input.house);
    return granted(null);
  },
);

/** Takes a file of readings in; rows that are wrong are left out and told. */
export const importAir = action(
  z.strictObject({
    house,
    room,
    text: z.string().max(MOST_CHARACTERS, 'is larger than 4 MB: split the file'),
    mapping: z.strictObject({
      time: column,
      clock: column.nullable(),
      temperature: column,
      humidity: column,
      unit: z.enum(UNITS),
      order: z.enum(DATE_ORDERS),
      zone: timeZoneSchema,
    }),
  }),
  'lead',
  async (input) => {
    const stored = await findHouse(input.house);
    if (!stored) return refused('notFound', GONE);
    if (!hasRoom(stored, input.room)) return refused('notFound', NO_ROOM);
    const table = airTable(input.text);
    if (!table) return refused('invalid', 'The file holds no table of readings.');
    const file = readAirFile(table, input.mapping, now());
    if (file.readings.length === 0) return refused('invalid', 'The file holds no reading that could be taken.');
    const result = await recordReadings(
      input.house,
      input.room === null ? 'file' : `file:${input.room}`,
      input.room,
      file.readings,
    );
    if (!result) return refused('notFound', GONE);
    changed(input.house);
    return granted({
      recorded: result.recorded,
      known: result.known + file.repeated,
      refused: file.refused.length + result.conflicts.length,
    });
  },
);

/** A new sensor. Its key is in the answer, this once. */
export const addSensor = action(
  z.strictObject({
    house,
    room,
    name: z.string().trim().min(1, 'needs a name').max(60, 'must be at most 60 characters'),
  }),
  'lead',
  async (input) => {
    const stored = await findHouse(input.house);
    if (!stored) return refused('notFound', GONE);
    if (!hasRoom(stored, input.room)) return refused('notFound', NO_ROOM);
    const { key } = await addDevice(input.house, input.room, input.name);
    changed(input.house);
    return granted({ key });
  },
);

export const moveSensor = action(z.strictObject({ house, device, room }), 'lead', async (input) => {
  const stored = await findHouse(input.house);
  if (!stored) return refused('notFound', GONE);
  if (!hasRoom(stored, input.room)) return refused('notFound', NO_ROOM);
  if (!(await moveDevice(input.house, input.device, input.room))) return refused('notFound', NO_DEVICE);
  changed(input.house);
  return granted(null);
});

export const removeSensor = action(z.strictObject({ house, device }), 'lead', async (input) => {
  if (!(await removeDevice(input.house, input.device, new Date(now())))) return refused('notFound', NO_DEVICE);
  changed(input.house);
  return granted(null);
});

/** What a sensor said that looked like °F counts after all. */
export const trustSensor = action(z.strictObject({ house, device }), 'lead', async (input) => {
  if (!(await trustReadings(input.house, input.device))) return refused('notFound', GONE);
  changed(input.house);
  return granted(null);
});

/** Where the weather is asked for; it is asked at once. An empty address asks no more. */
export const setWeather = action(
  z.strictObject({
    house,
    url: z.union([z.literal(''), z.url({ protocol: /^https?$/, error: 'must be an address such as http://…' })]),
  }),
  'lead',
  async (input) => {
    const failure = input.url === '' ? undefined : await askWeather(input.house, input.url);
    if (failure !== undefined) return refused('invalid', `The weather was not taken: ${failure}.`);
    if (!(await setWeatherUrl(input.house, input.url === '' ? null : input.url))) return refused('notFound', GONE);
    changed(input.house);
    return granted(null);
  },
);
