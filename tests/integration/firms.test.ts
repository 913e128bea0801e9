import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { aroundAll, beforeAll, describe, expect, it } from 'vitest';
import { catalogueSchema } from '@/core/materials/catalogueSchema';
import type { HousePlan } from '@/core/plan/planHouse';
import { crewSchema } from '@/core/work/crew';
import { hasCalendar, makeCalendar } from '@/db/calendars';
import { readCatalogue, saveCatalogue } from '@/db/catalogues';
import { readCompany, saveCompany } from '@/db/company';
import { connection } from '@/db/connection';
import { dropCrewPlan, readCrewPlan, saveCrewPlan } from '@/db/crewPlans';
import { readCrew, saveCrew, savePainters } from '@/db/crews';
import { demoHouse } from '@/db/demo/demoHouse';
import { addDevice, findDevice, listDevices, moveDevice, noteLag, removeDevice } from '@/db/devices';
import { appendEntries, listEntries } from '@/db/entries';
import { acrossFirms, inFirm } from '@/db/firm';
import { addFirm, findFirm } from '@/db/firms';
import { addHouse, findHouse, listHouses, listMarks, marksFor, saveHouseHead, saveRoom } from '@/db/houses';
import { makeLaser } from '@/db/lasers';
import { dropMethod, keepMethod, listMethods } from '@/db/methods';
import { ROWS_ROLE } from '@/db/ownRows';
import { addPerson, authenticate, isPasswordOf, listPeople, type Member, removePerson, setPassword } from '@/db/people';
import { findPhoto, keepPhoto } from '@/db/photos';
import { chartAir, listAirHours } from '@/db/readingHours';
import { recordReadings, trustReadings } from '@/db/readings';
import { addRooms, arrangeRooms, placeRoom, setRemoved } from '@/db/rooms';
import { addSession, endSession, endSessionsOf, findSession, listSessions } from '@/db/sessions';
import { findShown, hideHouse, listShown, showHouse } from '@/db/shownHouses';
import { keepSheet, readSheet } from '@/db/signedSheets';
import { isOpenTo, letIn, listViewers, shutOut } from '@/db/viewers';
import { listWeather, saveWeather, setWeatherUrl } from '@/db/weather';
import { asTestFirm, newFirm } from './asTestFirm';

const AT = Date.parse('2031-05-06T07:00:00Z');
const PASSWORD = 'a long password';
const HASH = 'a'.repeat(64);
const PLAN = {
  start: 0,
  finish: 0,
  bound: 0,
  assignments: [],
  chain: [],
  leftOut: [],
  last: [],
} as unknown as HousePlan;

/** Something of everything that a firm can have. */
interface Belongings {
  readonly lead: Member;
  readonly viewer: Member;
  readonly house: string;
  readonly other: string;
  readonly device: string;
  readonly method: string;
  readonly session: string;
  readonly photo: string;
  readonly shown: string;
}

async function furnish(): Promise<Belongings> {
  const lead = await newFirm();
  return inFirm(lead.firm, async () => {
    const viewer = await addPerson(`Builder ${randomUUID()}`, 'viewer', PASSWORD);
    if (!viewer) throw new Error('the name is new');
    const [house, other] = [await addHouse(demoHouse(), 'UTC'), await addHouse(demoHouse(), 'UTC')];
    await letIn(house, viewer.id);
    const { id: device } = await addDevice(house, 'hall', 'Hall sensor');
    await recordReadings(house, device, 'hall', [
      { at: AT, temperature: 18, humidity: 50, speed: undefined, doubt: undefined },
    ]);
    await saveWeather(house, [{ from: AT, air: { temperature: 9, humidity: 80 } }], new Date(AT));
    await appendEntries(house, lead, [
      { id: randomUUID(), room: 'hall', at: new Date(AT).toISOString(), kind: 'held', payload: { why: 'closed' } },
    ]);
    const photo = randomUUID();
    const kept = await keepPhoto(
      { id: photo, houseId: house, by: lead.id, hash: 'a' },
      { bytes: Buffer.from('x'), width: 1, height: 1 },
    );
    expect(kept).toBe('kept');
    const shown = await showHouse(house, lead.id, 'handOver', 7);
    await keepMethod('Ours', 'in', {}, lead.id, new Date(AT));
    await makeCalendar(lead.id);
    await saveCrewPlan({ question: lead.id, plan: PLAN }, undefined);
    await makeLaser(lead.id);
    await keepSheet(house, HASH, { name: 'Hall' });
    await saveCrew(0, crewSchema.parse({ tools: { lamp: 1 } }));
    await saveCatalogue(0, catalogueSchema.parse({ products: { taping: { price: 18 } } }));
    const [method] = await listMethods();
    const found = await findSession((await addSession(lead.id, 'Phone', AT)) ?? '', AT);
    return {
      lead,
      viewer: { ...viewer, firm: lead.firm },
      house,
      other,
      device,
      method: method?.id ?? '',
      session: found?.id ?? '',
      photo,
      shown: shown ?? '',
    };
  });
}

let ours: Belongings;
let theirs: Belongings;
aroundAll(asTestFirm);
beforeAll(async () => {
  [ours, theirs] = [await furnish(), await furnish()];
});

const select = <Row extends object>(sql: string, bind: readonly unknown[] = []): Promise<Row[]> =>
  connection().query<Row>(sql, { type: QueryTypes.SELECT, bind: [...bind] });
/** The tables whose rows belong to firms. */
const ownTables = async (): Promise<readonly string[]> =>
  (
    await acrossFirms(() =>
      select<{ name: string }>(
        "SELECT table_name AS name FROM information_schema.columns WHERE column_name = 'firm' AND table_schema = 'public'",
      ),
    )
  ).map(({ name }) => name);

/** Tables of which no open page has to hear by itself, and why. */
const SILENT: Readonly<Record<string, string>> = {
  calendars: 'only their owner sees whether there is one',
  crew_plans: 'made anew from what is told',
  entries: 'counted in their house',
  house_viewers: 'only leads see them, on the page of the houses',
  lasers: 'a secret',
  photos: 'shown with the entries that name them',
  reading_hours: 'counted in their house',
  readings: 'counted in their house',
  sessions: 'their end is told by itself',
  shown_houses: 'only leads see them',
  signed_sheets: 'kept with the entry of the signature',
  weather_hours: 'counted in their house',
};

/** Everything of the other firm, counted by table. */
const countTheirs = async () =>
  Object.fromEntries(
    await Promise.all(
      (await ownTables()).map(async (table) => {
        const rows = await acrossFirms(() =>
          select(
            `SELECT md5(string_agg(row::text, ' ' ORDER BY row::text)) AS all FROM ${table} AS row WHERE firm = $1`,
            [theirs.lead.firm],
          ),
        );
        return [table, rows] as const;
      }),
    ),
  );

describe('a firm', () => {
  it('finds nothing of another one, whatever is asked by its ids', async () => {
    const { house, device, lead, viewer } = theirs;
    await inFirm(ours.lead.firm, async () => {
      expect(await findHouse(house)).toBeUndefined();
      expect((await listHouses(ours.lead)).map(({ id }) => id).toSorted()).toEqual([ours.house, ours.other].toSorted());
      expect((await listMarks()).map(({ firm }) => firm)).toEqual([ours.lead.firm, ours.lead.firm]);
      expect(await listMarks(house)).toEqual([]);
      expect(await listEntries(house)).toEqual([]);
      expect(await listDevices(house, AT)).toEqual([]);
      expect(await listAirHours(house, -1, 0)).toEqual([]);
      expect(await chartAir(house, 'hall', 0, AT + 1, 10)).toEqual([]);
      expect((await listWeather(house, 0)).hours).toEqual([]);
      expect((await listPeople()).map(({ id }) => id).toSorted()).toEqual([ours.lead.id, ours.viewer.id].toSorted());
      expect((await listMethods()).map(({ id }) => id)).toEqual([ours.method]);
      expect((await listSessions()).map(({ id }) => id)).toEqual([ours.session]);
      expect(await listViewers()).toEqual([{ house: ours.house, person: ours.viewer.id }]);
      expect(await authenticate(lead.name, PASSWORD)).toBeUndefined();
      expect(await isPasswordOf(lead.id, PASSWORD)).toBe(false);
      expect(await isOpenTo(viewer, house)).toBe(false);
      expect(await hasCalendar(lead.id)).toBe(false);
      expect(await findDevice(device)).toBeUndefined();
      expect(await findPhoto(house, theirs.photo)).toBeUndefined();
      expect(await listShown(house)).toEqual([]);
      expect(await readSheet(house, HASH)).toBeUndefined();
      expect(await readSheet(ours.house, HASH)).toEqual({ name: 'Hall' });
      expect((await readCrewPlan())?.question).toBe(ours.lead.id);
      expect(await findShown(theirs.shown)).toMatchObject({ firm: theirs.lead.firm, house });
    });
  });

  it('puts no photo into a house of another one', async () => {
    const photo = { id: randomUUID(), houseId: theirs.house, by: ours.lead.id, hash: 'a' };
    const kept = inFirm(ours.lead.firm, () => keepPhoto(photo, { bytes: Buffer.from('x'), width: 1, height: 1 }));
    await expect(kept).rejects.toThrow(/foreign key/);
  });

  it('changes nothing of another one', async () => {
    const { house, device, lead, viewer, method, session } = theirs;
    const before = await countTheirs();
    expect(Object.keys(before).length).toBeGreaterThan(10);
    expect(Object.values(before).filter(([row]) => (row as { all: string | null }).all === null)).toEqual([]);
    const [room] = demoHouse().rooms;
    if (!room) throw new Error('the demo has rooms');
    const change = { id: randomUUID(), after: [] };
    const reading = { at: AT + 1, temperature: 30, humidity: 50, speed: undefined, doubt: undefined };
    await inFirm(ours.lead.firm, async () => {
      expect(await saveHouseHead(house, 1, (head) => ({ ...head, name: 'Taken' }))).toBeUndefined();
      expect(await saveRoom(house, 1, room)).toEqual({ kind: 'gone' });
      expect(await addRooms(house, [room])).toBeUndefined();
      expect(await setRemoved(house, room.id, new Date(AT))).toBe(false);
      expect(await arrangeRooms(house, [], change)).toBe(false);
      expect(await placeRoom(house, room.id, [1, 1], change)).toBe(false);
      const held = { id: randomUUID(), room: room.id, at: new Date(AT).toISOString() };
      expect(await appendEntries(house, ours.lead, [{ ...held, kind: 'held', payload: { why: 'no' } }])).toEqual({
        kind: 'noHouse',
      });
      expect(await recordReadings(house, device, 'hall', [reading])).toBeUndefined();
      expect(await trustReadings(house, device)).toBe(false);
      expect(await moveDevice(house, device, null)).toBe(false);
      expect(await removeDevice(house, device, new Date(AT))).toBe(false);
      await dropCrewPlan();
      await saveCrewPlan({ question: ours.lead.id, plan: PLAN }, undefined);
      await noteLag(device, 1);
      await saveWeather(house, [{ from: AT, air: { temperature: 30, humidity: 80 } }], new Date(AT));
      expect(await setWeatherUrl(house, 'http://weather.example')).toBe(false);
      expect(await dropMethod(method)).toBe(false);
      expect(await setPassword(lead.id, 'another password')).toBeUndefined();
      expect(await removePerson(lead.id, new Date(AT))).toBe('unknown');
      expect(await endSession(session)).toBe(false);
      await endSessionsOf(lead.id);
      expect(await letIn(house, ours.viewer.id)).toBe(false);
      expect(await letIn(ours.house, viewer.id)).toBe(false);
      await shutOut(house, viewer.id);
      const address = await acrossFirms(() =>
        select<{ id: string }>('SELECT id FROM shown_houses WHERE firm = $1', [theirs.lead.firm]),
      );
      expect(await hideHouse(house, address[0]?.id ?? '')).toBe(false);
      expect(await showHouse(house, ours.lead.id, 'hanger', 7)).toBeUndefined();
      expect(await savePainters(house, null, '2031-06-01')).toBe(false);
      await keepSheet(house, 'b'.repeat(64), { name: 'Forged' });
      // What is signed is kept as it was.
      await keepSheet(ours.house, HASH, { name: 'Forged' });
      expect(await readSheet(ours.house, HASH)).toEqual({ name: 'Hall' });
      expect(await saveCompany({ name: 'Ours now', address: 'Kiln Lane', license: '' })).toBe(true);
      expect(await readCompany()).toEqual({ name: 'Ours now', address: 'Kiln Lane', license: '' });
      const [{ name: taken = '' } = {}] = await acrossFirms(() =>
        select<{ name: string }>('SELECT name FROM firms WHERE id = $1', [theirs.lead.firm]),
      );
      expect(await saveCompany({ name: taken.toUpperCase(), address: '', license: '' })).toBe(false);
      expect(await saveCrew(1, crewSchema.parse({ tools: { lamp: 2 } }))).toBe(2);
      // Over the version that was seen, and over no other; the first one is made once.
      const dearer = catalogueSchema.parse({ products: { taping: { price: 20 } } });
      expect(await saveCatalogue(0, dearer)).toBeUndefined();
      expect(await saveCatalogue(1, dearer)).toBe(2);
      expect(await saveCatalogue(1, dearer)).toBeUndefined();
      expect(await readCatalogue()).toEqual({ catalogue: dearer, version: 2 });
    });
    expect(await countTheirs()).toEqual(before);
    expect((await inFirm(theirs.lead.firm, readCatalogue)).catalogue.products.taping).toEqual({ price: 18 });
  });

  it('is guarded by the database too, where a query forgets whose rows it asks for', async () => {
    for (const table of await ownTables()) {
      const rows = await inFirm(ours.lead.firm, () => select<{ firm: string }>(`SELECT DISTINCT firm FROM ${table}`));
      expect(rows, table).toEqual([{ firm: ours.lead.firm }]);
    }
    expect(await inFirm(ours.lead.firm, () => select('SELECT id FROM firms'))).toEqual([{ id: ours.lead.firm }]);
    const taken = inFirm(ours.lead.firm, () =>
      select('INSERT INTO house_viewers VALUES ($1, $2, $3)', [theirs.lead.firm, theirs.other, theirs.viewer.id]),
    );
    await expect(taken).rejects.toThrow(/row-level security/);
    // Who names no firm is shown nothing under that role.
    const nobody = connection().transaction(async (transaction) => {
      await connection().query("SELECT set_config('oak.firm', '', true)", { transaction });
      return connection().query('SELECT firm FROM houses', { type: QueryTypes.SELECT, transaction });
    });
    expect(await nobody).toEqual([]);
  });

  it('comes first in every key, and every table with rows of firms is guarded', async () => {
    const keys = await acrossFirms(() =>
      select<{ name: string; first: string }>(
        `SELECT index.indexrelid::regclass::text AS name, attname AS first
         FROM pg_index AS index JOIN pg_class ON pg_class.oid = indrelid
         JOIN pg_attribute ON attrelid = indrelid AND attnum = indkey[0]
         WHERE relnamespace = 'public'::regnamespace AND indisunique
           AND indrelid IN (SELECT attrelid FROM pg_attribute WHERE attname = 'firm')`,
      ),
    );
    expect(keys.length).toBeGreaterThan(12);
    expect(keys.filter(({ first }) => first !== 'firm')).toEqual([]);
    const tables = await ownTables();
    const open = await acrossFirms(() =>
      select('SELECT relname FROM pg_class WHERE relname = ANY($1) AND NOT relrowsecurity', [tables]),
    );
    expect(open).toEqual([]);
    // What is of no company is not for what is done for one.
    const [failures] = await acrossFirms(() =>
      select<{ closed: boolean; allowed: boolean }>(
        `SELECT relrowsecurity AS closed, has_table_privilege('${ROWS_ROLE}', oid, 'SELECT, INSERT, UPDATE, DELETE') AS allowed
         FROM pg_class WHERE relname = 'sign_in_failures'`,
      ),
    );
    expect(failures).toEqual({ closed: true, allowed: false });
  });

  it('is told of every change of what its pages show', async () => {
    const told = await acrossFirms(() =>
      select<{ name: string }>(
        `SELECT relname AS name FROM pg_class JOIN pg_trigger ON tgrelid = pg_class.oid JOIN pg_proc ON pg_proc.oid = tgfoid
         WHERE proname IN ('count_company_changes', 'count_room_changes', 'tell_house_changed') GROUP BY relname ORDER BY relname`,
      ),
    );
    const silent = (await ownTables()).filter((table) => !told.some(({ name }) => name === table));
    expect(silent.toSorted()).toEqual(Object.keys(SILENT).toSorted());
    const seqOf = async () => (await inFirm(ours.lead.firm, () => listMarks())).map(({ mark }) => mark.rooms);
    const before = await seqOf();
    const { version } = await inFirm(ours.lead.firm, readCrew);
    await inFirm(ours.lead.firm, () => saveCrew(version, crewSchema.parse({ holidays: ['2031-05-20'] })));
    for (const [index, seq] of (await seqOf()).entries()) expect(seq).toBeGreaterThan(before[index] ?? 0);
    expect((await inFirm(theirs.lead.firm, () => listMarks())).length).toBeGreaterThan(0);
  });

  it('has names of its own: the same name signs in at each', async () => {
    const name = `Ines ${randomUUID()}`;
    const ids: string[] = [];
    for (const { firm } of [ours.lead, theirs.lead])
      ids.push((await inFirm(firm, () => addPerson(name, 'finisher', `${firm} password`)))?.id ?? '');
    for (const [index, { firm }] of [ours.lead, theirs.lead].entries())
      expect(await inFirm(firm, () => authenticate(name, `${firm} password`))).toMatchObject({ id: ids[index] });
    expect(await inFirm(ours.lead.firm, () => authenticate(name, `${theirs.lead.firm} password`))).toBeUndefined();
  });

  it('is found by its name, and by none only where it is the only one', async () => {
    const name = `Seam & Sons ${randomUUID()}`;
    const made = await addFirm(name, 'Nora', PASSWORD);
    expect(await findFirm(name.toUpperCase())).toBe(made?.firm);
    expect(await addFirm(` ${name.toLowerCase()}`, 'Nora', PASSWORD)).toBeUndefined();
    expect(await findFirm('')).toBeUndefined();
    expect(await findFirm('no such firm')).toBeUndefined();
  });
});

describe('a viewer', () => {
  it('sees the houses that they were let into, a finisher and a lead all of their firm', async () => {
    const { lead, viewer, house, other } = ours;
    const finisher: Member = { ...viewer, role: 'finisher' };
    await inFirm(lead.firm, async () => {
      const seenBy = async (member: Member) => [
        (await listHouses(member)).map(({ id }) => id).toSorted(),
        Object.keys(marksFor(member, await listMarks())).toSorted(),
        [await isOpenTo(member, house), await isOpenTo(member, other)],
      ];
      const both = [house, other].toSorted();
      expect(await seenBy(viewer)).toEqual([[house], [house], [true, false]]);
      for (const member of [lead, finisher]) expect(await seenBy(member)).toEqual([both, both, [true, true]]);
      expect(await letIn(other, viewer.id)).toBe(true);
      expect(await letIn(other, viewer.id)).toBe(true);
      expect(await seenBy(viewer)).toEqual([both, both, [true, true]]);
      await shutOut(other, viewer.id);
      expect(await seenBy(viewer)).toEqual([[house], [house], [true, false]]);
      expect(await letIn(other, lead.id)).toBe(false);
      expect(marksFor(theirs.lead, await acrossFirms(() => listMarks(house)))).toEqual({});
    });
  });
});
