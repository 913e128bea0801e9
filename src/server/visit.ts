import { cache } from 'react';
import type { SensorStanding } from '../core/drying/sensorStanding';
import type { Person } from '../core/log/person';
import { now } from '../db/clock';
import { listDevices } from '../db/devices';
import { listHouses } from '../db/houses';
import { listMethods } from '../db/methods';
import { listPeople } from '../db/people';
import { type AirStretch, chartAir } from '../db/readingHours';
import { listSessions } from '../db/sessions';
import { type LoadedSite, loadSite } from './loadSite';
import { mayAct } from './mayAct';
import { currentSession, requirePerson } from './session';

/** A house with who looks at it. */
export interface HouseVisit extends LoadedSite {
  readonly person: Person;
}

/**
 * The house of a page. The one door for everything that a page or a layout shows of a house: who asks is settled before
 * anything of it is loaded, in each of them, for they are worked out side by side and also one without the other.
 * Nobody is sent to the sign-in, an unknown house is the not-found page.
 */
export const visitHouse = cache(async (id: string): Promise<HouseVisit> => {
  const person = await requirePerson();
  return { ...(await loadSite(id.toLowerCase())), person };
});

/** The houses, for who is signed in. */
export async function visitHouses() {
  const person = await requirePerson();
  return { person, houses: await listHouses(), now: now() };
}

/** The people beside the houses, with the sign-ins that who looks may end: their own, a lead everybody's. */
export async function crewBeside({ person }: Awaited<ReturnType<typeof visitHouses>>) {
  const [people, sessions, current] = await Promise.all([
    listPeople(),
    listSessions(mayAct(person, 'lead') ? undefined : person.id),
    currentSession(),
  ]);
  return { people, sessions, session: current?.id };
}

/** The methods that were kept under a name, for who visits a house. */
export const keptMethods = (_visit: HouseVisit) => listMethods();

/** The sensors of a house that is visited. */
export const sensorsIn = ({ id, now }: HouseVisit): Promise<readonly SensorStanding[]> => listDevices(id, now);

/**
 * The air of a room (null: of the house) that is visited, thinned to so many stretches.
 *
 * @param span ms, until now
 */
export const chartIn = (
  { id, now }: HouseVisit,
  room: string | null,
  span: number,
  most: number,
): Promise<readonly AirStretch[]> => chartAir(id, room, now - span, now, most);
