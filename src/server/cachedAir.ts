import { LRUCache } from 'lru-cache';
import { type AirHour, stepsOfHours } from '../core/air/airHours';
import { WEATHER_BEFORE_MS } from '../core/air/forecastAir';
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
  weather: Weather;
  /** By room, then by hour and device. */
  readonly hours: Map<string, Map<string, AirHour>>;
  /** How often hours were taken in. */
  edits: number;
  made: { readonly key: string; readonly air: LoadedAir } | undefined;
}

const HOUR_MS = 3_600_000;
/** No coat is wet for longer: the handbook's slowest cell is 53 days. */
const HISTORY_MS = 70 * 24 * HOUR_MS;
const NO_WEATHER: Weather = { hours: [], askedAt: undefined };
const houses = new LRUCache<string, Remembered>({ max: 50 });

/**
 * Returns the air of a house. Only what changed since the last request is read again, and only then clocks are made anew: a
 * clock never moves because time goes by.
 */
export async function cachedAir(house: StoredHouse, now: number): Promise<LoadedAir> {
  const known: Remembered = houses.get(house.id) ?? {
    airSeq: -1,
    weather: NO_WEATHER,
    hours: new Map(),
    edits: 0,
    made: undefined,
  };
  if (known.airSeq !== house.airSeq) {
    const changed = await listAirHours(house.id, known.airSeq, now - HISTORY_MS);
    for (const hour of changed) keep(known, hour);
    if (changed.length > 0) known.edits += 1;
    // The forecast goes by the weather before the last reading, however long ago that was.
    known.weather = await listWeather(house.id, Math.min(now, newestHour(known) ?? now) - WEATHER_BEFORE_MS);
    // Rows may be newer than the number that was read before them: these are read once more.
    known.airSeq = Math.max(known.airSeq, house.airSeq);
  }
  houses.set(house.id, known);
  const { weather } = known;
  const key = JSON.stringify([
    known.edits,
    weather.askedAt,
    house.head.unit,
    house.rooms.map(({ room: { id, floor, at }, version }) => [id, version, floor, at]),
  ]);
  if (known.made?.key !== key) known.made = { key, air: made(house, known, weather) };
  return known.made.air;
}

/** When the last hour with a reading began; undefined without readings. */
function newestHour({ hours }: Remembered): number | undefined {
  let newest: number | undefined;
  for (const room of hours.values()) for (const { hour } of room.values()) newest = Math.max(newest ?? hour, hour);
  return newest;
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
