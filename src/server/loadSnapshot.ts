import { notFound } from 'next/navigation';
import { cache } from 'react';
import { type Air, ASSUMED_AIR } from '../core/air/air';
import { stepAt } from '../core/air/airClock';
import type { HouseLog } from '../core/log/houseLog';
import type { Person } from '../core/log/person';
import type { HouseSnapshot } from '../core/snapshot/houseSnapshot';
import type { PaintersDates } from '../core/work/painters';
import { readCatalogue } from '../db/catalogues';
import { now } from '../db/clock';
import { readTogether } from '../db/connection';
import { findHouse, type HouseMark, markOf, type StoredHouse } from '../db/houses';
import { listPeople } from '../db/people';
import { cachedAir, type LoadedAir } from './cachedAir';
import { cachedLog } from './cachedLog';
import { cachedSnapshot } from './cachedSnapshot';

/** A house as a page shows it: worked out at one instant. */
export interface LoadedSnapshot {
  readonly id: string;
  readonly version: number;
  readonly timeZone: string;
  readonly now: number;
  readonly snapshot: HouseSnapshot;
  readonly roomVersions: Readonly<Record<string, number>>;
  /** Rooms that were stored in a form that cannot be read; they are on no page. */
  readonly unreadable: readonly string[];
  readonly log: HouseLog;
  readonly people: readonly Person[];
  /** Of what the firm buys. */
  readonly catalogueVersion: number;
  /** The air in the house now, in the mean of its rooms; undefined when none was ever measured. */
  readonly inside: Air | undefined;
  readonly air: LoadedAir;
  readonly weatherUrl: string | null;
  readonly dates: PaintersDates;
  /** How far the house had come when the page was made, and when something in it will change by itself. */
  readonly mark: HouseMark;
  readonly changesAt: number | undefined;
}

/** The house of a page; an unknown one is the not-found page. The same request works it out once. */
export const loadSnapshot = cache(async (id: string): Promise<LoadedSnapshot> => {
  const instant = now();
  const [{ house, air, log }, people, bought] = await readTogether(() =>
    Promise.all([houseWithItsPast(id, instant), listPeople(), readCatalogue()]),
  );
  const { catalogue } = bought;
  const { snapshot, changesAt } = await cachedSnapshot({ house, log, air, catalogue }, instant);
  return {
    id,
    version: house.version,
    timeZone: house.timeZone,
    now: instant,
    snapshot,
    roomVersions: Object.fromEntries(house.rooms.map(({ room, version }) => [room.id, version])),
    unreadable: house.unreadable,
    log,
    people,
    catalogueVersion: bought.version,
    inside: air.places.size > 0 ? meanAir(snapshot, instant) : undefined,
    air,
    weatherUrl: house.weatherUrl,
    dates: house.dates,
    mark: markOf(house),
    changesAt,
  };
});

async function houseWithItsPast(
  id: string,
  instant: number,
): Promise<{ readonly house: StoredHouse; readonly air: LoadedAir; readonly log: HouseLog }> {
  const house = await findHouse(id);
  if (!house) notFound();
  const [air, log] = await Promise.all([cachedAir(house, instant), cachedLog(house)]);
  return { house, air, log };
}

function meanAir({ rooms }: HouseSnapshot, instant: number): Air {
  const airs = rooms.map((room) => stepAt(room.air, instant).air);
  if (airs.length === 0) return ASSUMED_AIR;
  const mean = (of: (air: Air) => number) => airs.reduce((sum, air) => sum + of(air), 0) / airs.length;
  return { temperature: mean(({ temperature }) => temperature), humidity: mean(({ humidity }) => humidity) };
}
