import { granted, refused } from '../../contract/answer';
import { refusalOf } from '../../core/air/reading';
import { now } from '../../db/clock';
import { addDevice, moveDevice, removeDevice } from '../../db/devices';
import { findHouse } from '../../db/houses';
import { recordReadings, trustReadings } from '../../db/readings';
import { setWeatherUrl } from '../../db/weather';
import { askWeather } from '../weather';
import { type Handlers, HOUSE_GONE, ROOM_GONE } from './handler';

const NO_DEVICE = 'This sensor is gone.';

/** Why nothing can be measured at a place: the house is gone, or the room in it; null is the house itself. */
async function whyNoPlace(house: string, room: string | null): Promise<string | undefined> {
  const stored = await findHouse(house);
  if (!stored) return HOUSE_GONE;
  return room === null || stored.rooms.some((own) => own.room.id === room) ? undefined : ROOM_GONE;
}

export const airCommands: Handlers<
  'recordAir' | 'importAir' | 'addSensor' | 'moveSensor' | 'removeSensor' | 'trustSensor' | 'setWeather'
> = {
  recordAir: async ({ house, room, temperature, humidity }) => {
    const gone = await whyNoPlace(house, room);
    if (gone) return refused('notFound', gone);
    const reading = { at: now(), temperature, humidity };
    const reason = refusalOf(reading, reading.at);
    if (reason !== undefined) return refused('invalid', reason);
    // What somebody read and typed themselves is not doubted.
    const kept = { ...reading, speed: undefined, doubt: undefined };
    await recordReadings(house, room === null ? 'typed' : `typed:${room}`, room, [kept]);
    return granted(null);
  },

  importAir: async ({ house, room, readings }) => {
    const gone = await whyNoPlace(house, room);
    if (gone) return refused('notFound', gone);
    const instant = now();
    const sound = new Map(
      readings
        .filter((reading) => refusalOf(reading, instant) === undefined)
        // Somebody looks at a file before it is taken: what they take counts.
        .map((reading) => [reading.at, { ...reading, speed: undefined, doubt: undefined }]),
    );
    const result = await recordReadings(house, room === null ? 'file' : `file:${room}`, room, [...sound.values()]);
    if (!result) return refused('notFound', HOUSE_GONE);
    const { recorded, known, conflicts } = result;
    return granted({ recorded, known, refused: readings.length - sound.size + conflicts.length });
  },

  addSensor: async ({ house, room, name }) => {
    const gone = await whyNoPlace(house, room);
    if (gone) return refused('notFound', gone);
    const { key } = await addDevice(house, room, name);
    return granted({ key });
  },

  moveSensor: async ({ house, device, room }) => {
    const gone = await whyNoPlace(house, room);
    if (gone) return refused('notFound', gone);
    return (await moveDevice(house, device, room)) ? granted(null) : refused('notFound', NO_DEVICE);
  },

  removeSensor: async ({ house, device }) =>
    (await removeDevice(house, device, new Date(now()))) ? granted(null) : refused('notFound', NO_DEVICE),

  trustSensor: async ({ house, device }) =>
    (await trustReadings(house, device)) ? granted(null) : refused('notFound', HOUSE_GONE),

  setWeather: async ({ house, url }) => {
    const failure = url === '' ? undefined : await askWeather(house, url);
    if (failure !== undefined) return refused('invalid', `The weather was not taken: ${failure}.`);
    return (await setWeatherUrl(house, url === '' ? null : url)) ? granted(null) : refused('notFound', HOUSE_GONE);
  },
};
