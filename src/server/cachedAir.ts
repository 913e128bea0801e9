import { LRUCache } from 'lru-cache';
import { type AirHour, stepsOfHours } from '../core/air/airHours';
import { houseAir, type RoomAirClock } from '../core/air/houseAir';
import type { FanFrom } from '../core/air/roomAir';
import type { StoredHouse } from '../db/houses';
import { listAirHours } from '../db/readingHours';
import { listWeather, type Weather } from '../db/weather';

/** The air of the rooms of a house, and the weather round it. */
export interface LoadedAir {
  readonly of: (room: string, fans?: readonly FanFrom[]) => RoomAirClock;
  readonly weather: Weather;
  /** Where anything was ever measured: ids of rooms, '' for the house. */
  readonly places: ReadonlySet<string>;
}

interface Remembered {
  airSeq: number;
  /** By room, then by hour and device. */
  readonly hours: Map<string, Map<string, AirHour>>;
  /** How often hours were taken in. */
  edits: number;
  made: { readonly key: string; readonly air: LoadedAir } | undefined;
}

const HOUR_MS = 3_600_000;
/** No coat is wet for longer: the handbook's slowest cell is 53 days. */
const HISTORY_MS = 70 * 24 * HOUR_MS;
/** The weather that a forecast is fitted on. */
const WEATHER_MS = 73 * HOUR_MS;
const houses = new LRUCache<string, Remembered>({ max: 50 });

/** The air of a house. Only hours that changed since the last request are read again, and only then clocks are made anew. */
export async function cachedAir(house: StoredHouse, now: number): Promise<LoadedAir> {
  const known: Remembered = houses.get(house.id) ?? { airSeq: -1, hours: new Map(), edits: 0, made: undefined };
  const [changed, weather] = await Promise.all([
    known.airSeq === house.airSeq ? [] : listAirHours(house.id, known.airSeq, now - HISTORY_MS),
    listWeather(house.id, now - WEATHER_MS),
  ]);
  for (const hour of changed) keep(known, hour);
  if (changed.length > 0) known.edits += 1;
  // Rows may be newer than the number that was read before them: these are read once more.
  known.airSeq = Math.max(known.airSeq, house.airSeq);
  houses.set(house.id, known);
  const key = JSON.stringify([
    known.edits,
    weather.askedAt,
    weather.hours[0]?.from,
    house.head.unit,
    house.rooms.map(({ room: { id, floor, at }, version }) => [id, version, floor, at]),
  ]);
  if (known.made?.key !== key) known.made = { key, air: made(house, known, weather) };
  return known.made.air;
}

/** Two requests may overlap: the later word on an hour counts. */
function keep({ hours }: Remembered, hour: AirHour): void {
  const room = hours.get(hour.room) ?? new Map<string, AirHour>();
  hours.set(hour.room, room);
  const key = `${hour.hour} ${hour.device}`;
  if ((room.get(key)?.batch ?? -1) <= hour.batch) room.set(key, hour);
}

function made(house: StoredHouse, { hours }: Remembered, weather: Weather): LoadedAir {
  const rooms = new Map([...hours].map(([room, own]) => [room, stepsOfHours([...own.values()])]));
  const ofHouse = rooms.get('') ?? [];
  rooms.delete('');
  const airOf = houseAir(
    house.rooms.map(({ room }) => room),
    house.head.unit,
    { rooms, house: ofHouse, outside: weather.hours },
  );
  const clocks = new Map<string, RoomAirClock>();
  return {
    weather,
    places: new Set(hours.keys()),
    of: (room, fans = []) => {
      const key = JSON.stringify([room, fans]);
      const clock = clocks.get(key) ?? airOf(room, fans);
      clocks.set(key, clock);
      return clock;
    },
  };
}
