import { notFound } from 'next/navigation';
import { cache } from 'react';
import { z } from 'zod';
import type { SensorStanding } from '../core/air/sensorStanding';
import type { HungDifference } from '../core/estimate/hungDifference';
import type { Company } from '../core/house/company';
import type { Shown } from '../core/log/choices';
import { FINISHER_KINDS } from '../core/log/entry';
import { isOfCrew } from '../core/log/person';
import { waresOf } from '../core/materials/catalogue';
import type { HouseToday } from '../core/schedule/assignedDays';
import { memberOf } from '../core/schedule/memberOf';
import type { RoomSnapshot } from '../core/snapshot/houseSnapshot';
import { type CrewTimes, crewDays } from '../core/work/shifts';
import { hasCalendar } from '../db/calendars';
import { now } from '../db/clock';
import { readCompany } from '../db/company';
import { readTogether } from '../db/connection';
import { readCrew } from '../db/crews';
import { listDevices } from '../db/devices';
import { inFirm } from '../db/firm';
import { listHouses } from '../db/houses';
import { listMethods } from '../db/methods';
import { listPeople, type Member } from '../db/people';
import { type AirStretch, chartAir } from '../db/readingHours';
import { removedRooms } from '../db/rooms';
import { listSecrets } from '../db/secrets';
import { listSessions } from '../db/sessions';
import { listShown, type ShownMark } from '../db/shownHouses';
import { isOpenTo, listViewers } from '../db/viewers';
import { forBuilder } from './forBuilder';
import { hungOtherwise } from './hungOtherwise';
import { type LoadFigures, loadFigures } from './loadFigures/loadFigures';
import { type LoadedSnapshot, loadSnapshot } from './loadSnapshot';
import { loggedPage } from './loggedPage';
import { mayAct } from './mayAct';
import { myHousesToday } from './myHouses';
import { currentSession, requirePerson } from './session';
import { sheetNow } from './signedSheets';
import { afterFastLane } from './threads/fastLane';
import { lockedOut } from './throttle';

/** A house with who looks at it. */
export interface HouseVisit extends LoadedSnapshot {
  readonly person: Member;
}

/**
 * The house of a page. The one door for everything that a page or a layout shows of a house: who asks is settled before
 * anything of it is loaded, in each of them, for they are worked out side by side and also one without the other.
 * Nobody is sent to the sign-in; a house that is unknown, or not for who asks, is the not-found page.
 */
export const visitHouse = cache(async (asked: string): Promise<HouseVisit> => {
  const person = await requirePerson();
  const id = asked.toLowerCase();
  await afterFastLane();
  return loggedPage(person, () =>
    inFirm(person.firm, async () => {
      if (!z.uuid().safeParse(id).success || !(await isOpenTo(person, id))) notFound();
      const loaded = await loadSnapshot(id);
      return { ...(mayAct(person, 'finisher') ? loaded : forBuilder(loaded)), person };
    }),
  );
});

/** The houses, for who is signed in. */
export async function visitHouses() {
  const person = await requirePerson();
  const houses = await loggedPage(person, () => inFirm(person.firm, () => listHouses(person)));
  return { person, houses, now: now() };
}

/**
 * Returns the signed-in person's open jobs today by house; none for viewers.
 *
 * @param except id of a house to leave out
 */
export async function visitOwnDay(except?: string): Promise<readonly HouseToday[]> {
  const person = await requirePerson();
  return mayAct(person, 'finisher') ? loggedPage(person, () => myHousesToday(person, except)) : [];
}

/**
 * Returns the people beside the houses, with the sign-ins and secrets that who looks may end (their own; a lead everybody's), and for a
 * lead the names that are locked out by wrong passwords. A viewer is shown nobody.
 */
export async function crewBeside({ person }: Awaited<ReturnType<typeof visitHouses>>) {
  const lead = mayAct(person, 'lead');
  const current = await currentSession();
  const [people, sessions, secrets, viewers] = await inFirm(person.firm, () =>
    readTogether(() =>
      Promise.all([
        mayAct(person, 'finisher') ? listPeople() : [],
        listSessions(lead ? undefined : person.id),
        listSecrets(lead ? undefined : person.id),
        lead ? listViewers() : [],
      ]),
    ),
  );
  const locked = lead
    ? await lockedOut(
        person.firm,
        people.map(({ name }) => name),
      )
    : [];
  return { people, sessions, secrets, viewers, locked, session: current?.id };
}

/** The methods that were kept under a name, for who visits a house. */
export const keptMethods = ({ person }: HouseVisit) => inFirm(person.firm, listMethods);

/** Whether who visits has an address for their calendar. */
export const hasOwnCalendar = ({ person }: HouseVisit): Promise<boolean> =>
  inFirm(person.firm, () => hasCalendar(person.id));

/** Returns the hash of a room's sheet as a builder would sign it now. */
export const sheetHashIn = ({ people }: HouseVisit, room: RoomSnapshot): string => sheetNow(room, people).hash;

/** The head of the sheets of the company whose house is visited. */
export const companyOf = ({ person }: HouseVisit): Promise<Company> => inFirm(person.firm, readCompany);

/** The addresses under which something of a house is shown; for leads only. */
export const shownIn = async ({ person, id }: HouseVisit, what: Shown): Promise<readonly ShownMark[]> =>
  mayAct(person, 'lead') ? (await inFirm(person.firm, () => listShown(id))).filter((mark) => mark.what === what) : [];

/** What the rooms of a house that is visited take otherwise because their boards hang otherwise. */
export const hungIn = ({ snapshot }: HouseVisit): Promise<ReadonlyMap<string, HungDifference>> =>
  hungOtherwise(snapshot);

/** So many days ahead somebody is looked for who works: longer than most holidays. */
const DAYS_AHEAD = 60;

/** The hour at which the crew begins and the days on which it works from today on, for who visits a house. */
export const crewDaysIn = ({ person, people, now, timeZone }: HouseVisit): Promise<CrewTimes> =>
  inFirm(person.firm, async () => {
    const { crew } = await readCrew();
    const members = people.filter(isOfCrew).map((one) => memberOf(crew, one));
    return { begins: crew.begins, days: crewDays(crew, members, timeZone, now, DAYS_AHEAD) };
  });

/** What Load works out room by room of a house that is visited: of the rooms that are chosen. */
export const loadFiguresIn = (
  { snapshot, person }: HouseVisit,
  rooms: readonly RoomSnapshot[],
): Promise<LoadFigures> => {
  const { unit } = snapshot.house;
  return loadFigures(rooms, snapshot.rooms, unit, waresOf(snapshot.catalogue, unit), mayAct(person, 'finisher'));
};

/** Number of latest entries that are checked. */
const LATEST_ENTRIES = 200;
const OWN_KINDS = new Set(FINISHER_KINDS);
const DAY_MS = 86_400_000;

/** Returns the names of removed rooms for which an entry of the visitor arrived within the last day, after the removal. */
export async function loggedTooLate({ id, log, snapshot, person, now }: HouseVisit): Promise<readonly string[]> {
  const there = new Set(snapshot.rooms.map(({ room }) => room.id));
  const own = log
    .last(OWN_KINDS, LATEST_ENTRIES)
    .filter(
      ({ by, room, recordedAt }) =>
        by === person.id && room !== null && !there.has(room) && now - Date.parse(recordedAt) < DAY_MS,
    );
  if (own.length === 0) return [];
  const removed = await inFirm(person.firm, () =>
    removedRooms(id, [...new Set(own.flatMap(({ room }) => room ?? []))]),
  );
  return removed.flatMap(({ id: room, name, removedAt }) =>
    own.some((entry) => entry.room === room && Date.parse(entry.recordedAt) >= removedAt) ? [name] : [],
  );
}

/** The sensors of a house that is visited. */
export const sensorsIn = ({ person, id, now }: HouseVisit): Promise<readonly SensorStanding[]> =>
  inFirm(person.firm, () => listDevices(id, now));

/**
 * The air of a room (null: of the house) that is visited, thinned to so many stretches.
 *
 * @param span ms, until now
 */
export const chartIn = (
  { person, id, now }: HouseVisit,
  room: string | null,
  span: number,
  most: number,
): Promise<readonly AirStretch[]> => inFirm(person.firm, () => chartAir(id, room, now - span, now, most));
