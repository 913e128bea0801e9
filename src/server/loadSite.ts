import { createHash } from 'node:crypto';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { z } from 'zod';
import type { Air } from '../core/drying/air';
import type { AirFrom } from '../core/drying/dryAt';
import { resolveHang } from '../core/house/resolveHang';
import type { HouseHead, Room } from '../core/house/schema';
import { takeOff } from '../core/joints/takeOff';
import type { Tally } from '../core/joints/tally';
import type { Entry } from '../core/log/entry';
import { type Site, siteOf } from '../core/readiness/siteOf';
import { listEntries } from '../db/entries';
import { findHouse } from '../db/houses';
import { listPeople, type Person } from '../db/people';
import { listReadings, type Reading } from '../db/readings';
import { now } from './clock';

/** A house as a page shows it: worked out at one instant. */
export interface LoadedSite {
  readonly id: string;
  readonly version: number;
  readonly timeZone: string;
  readonly now: number;
  readonly site: Site;
  readonly roomVersions: Readonly<Record<string, number>>;
  readonly entries: readonly Entry[];
  readonly people: readonly Person[];
  /** The house's last reading, or undefined when the air is only assumed. */
  readonly reading: Reading | undefined;
  readonly airOf: (room: string) => readonly AirFrom[];
  /** Whether a room has readings of its own, borrows the house's, or has none at all. */
  readonly airSourceOf: (room: string) => 'room' | 'house' | 'assumed';
}

/** Air where none was ever measured: a heated house. Common practice, no source. */
export const ASSUMED_AIR = { temperature: 20, humidity: 50 } as const;

/** The air that a house is judged in: its last reading, or the assumed one. */
export const houseAir = (reading: Reading | undefined): Air =>
  reading ? { temperature: reading.temperature, humidity: reading.humidity } : ASSUMED_AIR;

/** The house of a page; an unknown one is the not-found page. The same request works it out once. */
export const loadSite = cache(async (id: string): Promise<LoadedSite> => {
  if (!z.uuid().safeParse(id).success) notFound();
  const [house, entries, people, readings] = await Promise.all([
    findHouse(id),
    listEntries(id),
    listPeople(),
    listReadings(id),
  ]);
  if (!house) notFound();
  const instant = now();
  const airOf = airFrom(readings);
  const rooms = house.rooms.map(({ room }) => room);
  return {
    id,
    version: house.version,
    timeZone: house.timeZone,
    now: instant,
    site: siteOf(house.head, rooms, entries, airOf, instant, (room) => rememberedTally(room, house.head)),
    roomVersions: Object.fromEntries(house.rooms.map(({ room, version }) => [room.id, version])),
    entries,
    people,
    reading: readings.findLast(({ roomId }) => roomId === null),
    airOf,
    airSourceOf: (room) =>
      readings.some(({ roomId }) => roomId === room)
        ? 'room'
        : readings.some(({ roomId }) => roomId === null)
          ? 'house'
          : 'assumed',
  };
});

/** A room's own readings, else the house's, else the assumed air. */
function airFrom(readings: readonly Reading[]): (room: string) => readonly AirFrom[] {
  const byRoom = new Map<string | null, Reading[]>();
  for (const reading of readings) {
    const list = byRoom.get(reading.roomId);
    if (list) list.push(reading);
    else byRoom.set(reading.roomId, [reading]);
  }
  const history = (list: readonly Reading[]) =>
    list.map(({ at, temperature, humidity }): AirFrom => ({ from: at.getTime(), air: { temperature, humidity } }));
  const assumed: readonly AirFrom[] = [{ from: 0, air: ASSUMED_AIR }];
  const ofHouse = history(byRoom.get(null) ?? []);
  return (room) => {
    const own = history(byRoom.get(room) ?? []);
    return own.length > 0 ? own : ofHouse.length > 0 ? ofHouse : assumed;
  };
}

const MOST_REMEMBERED = 2000;
const tallies = new Map<string, Tally>();

/** The take-off of a room, worked out once for each content: the key is a hash of all that it depends on. */
function rememberedTally(room: Room, head: HouseHead): Tally {
  const key = createHash('sha1')
    .update(JSON.stringify([room, head.unit, resolveHang(head, room)]))
    .digest('base64');
  const known = tallies.get(key);
  if (known) return known;
  const { tally } = takeOff(room, head);
  if (tallies.size >= MOST_REMEMBERED) tallies.delete(tallies.keys().next().value ?? key);
  tallies.set(key, tally);
  return tally;
}
