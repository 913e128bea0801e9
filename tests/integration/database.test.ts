import { randomUUID } from 'node:crypto';
import { aroundAll, beforeAll, describe, expect, it } from 'vitest';
import type { House } from '@/core/house/schema';
import { takeOff } from '@/core/joints/takeOff';
import type { NewEntry } from '@/core/log/entry';
import type { Person } from '@/core/log/person';
import type { Change } from '@/db/chain';
import { connection } from '@/db/connection';
import { demoHouse } from '@/db/demo/demoHouse';
import { appendEntries, listEntries } from '@/db/entries';
import { acrossFirms, firm } from '@/db/firm';
import { addFirm } from '@/db/firms';
import { addHouse, findHouse, saveHouseHead, saveRoom, saveRoomMethod } from '@/db/houses';
import { dropMethod, keepMethod, listMethods } from '@/db/methods';
import { migrate } from '@/db/migrate';
import { models } from '@/db/models';
import { addPerson, authenticate, listPeople, removePerson, setPassword } from '@/db/people';
import { addRooms, arrangeRooms, placeRoom, setRemoved } from '@/db/rooms';
import { addSession, endSession, endSessionsOf, findSession, listSessions } from '@/db/sessions';
import { asTestFirm } from './asTestFirm';

let lead: Person;
let finisher: Person;
let other: Person;

aroundAll(asTestFirm);
beforeAll(async () => {
  const make = async (role: Person['role']) => {
    const person = await addPerson(`${role} ${randomUUID()}`, role, 'a long password');
    if (!person) throw new Error('the name is new');
    return person;
  };
  [lead, finisher, other] = [await make('lead'), await make('finisher'), await make('finisher')];
});

const aChange = (): Change => ({ id: randomUUID(), after: [] });
const newHouse = (): Promise<string> => addHouse(demoHouse(), 'UTC');
const tape = (room = 'pantry'): Extract<NewEntry, { kind: 'coat' }> => ({
  id: randomUUID(),
  room,
  at: '2031-05-06T07:30:00.000Z',
  kind: 'coat',
  payload: { class: 'flat', key: 'tape', part: 1, mud: { kind: 'drying' } },
});

describe('migrations', () => {
  it('run again without changing anything', async () => {
    await acrossFirms(migrate);
    const [rows] = await acrossFirms(() => connection().query('SELECT name FROM migrations ORDER BY name'));
    expect(rows).toEqual([
      { name: '0001-first-tables' },
      { name: '0002-removed-rooms' },
      { name: '0003-kept-methods' },
      { name: '0004-air' },
      { name: '0005-rooms-cursor' },
      { name: '0006-unfinished' },
      { name: '0007-sessions' },
      { name: '0008-firms' },
      { name: '0009-chains' },
      { name: '0010-entry-version' },
      { name: '0011-floors' },
      { name: '0012-crew' },
      { name: '0013-calendars' },
      { name: '0014-photos' },
      { name: '0015-shown-houses' },
      { name: '0016-shown-what' },
      { name: '0017-lasers' },
      { name: '0018-catalogues' },
      { name: '0019-rooms-deleted' },
      { name: '0020-house-plans' },
      { name: '0021-company' },
      { name: '0022-signed-sheets' },
      { name: '0023-crew-plans' },
      { name: '0024-closed-failures' },
      { name: '0025-told-changes' },
    ]);
  });
});

describe('people', () => {
  it('sign in with their password, whatever the case of their name', async () => {
    expect(await authenticate(lead.name.toUpperCase(), 'a long password')).toMatchObject({ ...lead, firm: firm() });
    expect(await authenticate(lead.name, 'another password')).toBeUndefined();
    expect(await authenticate('nobody of this name', 'a long password')).toBeUndefined();
  });

  it('are stored with an argon2 hash, not with their password', async () => {
    const row = await models().PersonRow.findOne({ where: { id: lead.id } });
    expect(row?.passwordHash).toMatch(/^\$argon2id\$/);
  });

  it('have names of their own', async () => {
    expect(await addPerson(finisher.name.toUpperCase(), 'viewer', 'a long password')).toBeUndefined();
  });

  it('have a first lead only while nobody is there', async () => {
    expect(await addFirm('Too late', 'Too late', 'a long password', { first: true })).toBeUndefined();
  });

  it('are known by their name however it is written, and a name is free again when its owner has left', async () => {
    const name = `İpek ΑΣ ${randomUUID()}`;
    const ipek = await addPerson(name, 'finisher', 'a long password');
    if (!ipek) throw new Error('the name is new');
    expect(await authenticate(name.toUpperCase(), 'a long password')).toMatchObject({ ...ipek, firm: firm() });
    expect(await addPerson(` ${name.toLowerCase()} `, 'viewer', 'a long password')).toBeUndefined();
    expect(await setPassword(ipek.id, 'another password')).toBe(ipek.name);
    expect(await authenticate(name, 'a long password')).toBeUndefined();
    expect(await removePerson(ipek.id, new Date(0))).toBe('removed');
    expect(await removePerson(ipek.id, new Date(0))).toBe('unknown');
    expect(await setPassword(ipek.id, 'a third password')).toBeUndefined();
    expect(await authenticate(name, 'another password')).toBeUndefined();
    expect(await listPeople()).toContainEqual({ ...ipek, left: true });
    expect(await addPerson(name, 'viewer', 'a long password')).toMatchObject({ name, role: 'viewer' });
  });

  it('keep their last lead', async () => {
    const leads = (await listPeople()).filter(({ role, left }) => role === 'lead' && !left);
    const [last, ...others] = leads;
    for (const { id } of others) expect(await removePerson(id, new Date(0))).toBe('removed');
    expect(await removePerson(last?.id ?? '', new Date(0))).toBe('lastLead');
    await models().PersonRow.update({ removedAt: null }, { where: { id: others.map(({ id }) => id) } });
  });
});

describe('sign-ins', () => {
  const NOW = Date.UTC(2031, 4, 6, 16);
  const DAY = 86_400_000;

  it('hold until they are ended, have run out or their person has left', async () => {
    const person = await addPerson(`signed in ${randomUUID()}`, 'finisher', 'a long password');
    if (!person) throw new Error('the name is new');
    const token = (await addSession(person.id, 'Phone', NOW)) ?? '';
    const found = await findSession(token, NOW);
    expect(found?.person).toEqual({ ...person, firm: firm() });
    expect(await findSession(`${token}x`, NOW)).toBeUndefined();
    // Used on the 29th day it holds for another thirty.
    expect(await findSession(token, NOW + 29 * DAY)).toMatchObject({ person });
    expect(await findSession(token, NOW + 58 * DAY)).toMatchObject({ person });
    expect(await findSession(token, NOW + 89 * DAY)).toBeUndefined();
    const [rows] = await connection().query('SELECT hash FROM sessions');
    expect(JSON.stringify(rows)).not.toContain(token);

    const ended = (await addSession(person.id, 'Phone', NOW)) ?? '';
    const { id = '' } = (await findSession(ended, NOW)) ?? {};
    expect(await endSession(id, randomUUID())).toBe(false);
    expect(await endSession(id, person.id)).toBe(true);
    expect(await findSession(ended, NOW)).toBeUndefined();

    const tokens = await Promise.all(['Phone', 'Computer'].map((device) => addSession(person.id, device, NOW)));
    const kept = await findSession(tokens[0] ?? '', NOW);
    expect((await listSessions(person.id)).map(({ device }) => device).sort()).toContain('Computer');
    await endSessionsOf(person.id, kept?.id);
    expect(await findSession(tokens[1] ?? '', NOW)).toBeUndefined();
    expect(await findSession(tokens[0] ?? '', NOW)).toEqual(kept);
    await removePerson(person.id, new Date(NOW));
    expect(await findSession(tokens[0] ?? '', NOW)).toBeUndefined();
    expect(await addSession(person.id, 'Phone', NOW)).toBeUndefined();
  });

  it('with a password that is given another one at the same moment open nothing', async () => {
    const name = `at the same moment ${randomUUID()}`;
    const person = await addPerson(name, 'finisher', 'password 0');
    if (!person) throw new Error('the name is new');
    for (let turn = 0; turn < 5; turn += 1) {
      const known = await authenticate(name, `password ${turn}`);
      const give = async () => {
        await setPassword(person.id, `password ${turn + 1}`);
        await endSessionsOf(person.id);
      };
      const tries = Array.from({ length: 6 }, () => addSession(person.id, 'Phone', NOW, known?.passwordHash));
      const [tokens] = await Promise.all([Promise.all(tries), give()]);
      for (const token of tokens) expect(await findSession(token ?? '', NOW)).toBeUndefined();
      expect(await addSession(person.id, 'Phone', NOW, known?.passwordHash)).toBeUndefined();
    }
  });
});

describe('houses', () => {
  it('come back from the database as their file', async () => {
    const { rooms, format: _format, version: _version, ...head }: House = demoHouse();
    const stored = await findHouse(await newHouse());
    expect(stored?.head).toEqual(head);
    expect(stored?.rooms.map(({ room }) => room)).toEqual(rooms);
  });

  it('give a new room an id of its own, from its name', async () => {
    const id = await newHouse();
    const found = demoHouse().rooms.find((room) => room.name === 'Pantry');
    if (!found) throw new Error('the demo has a pantry');
    const { id: known, ...pantry } = found;
    const add = () => addRooms(id, [pantry]);
    expect(known).toBe('pantry');
    expect(await add()).toMatchObject([{ id: 'pantry-2' }]);
    expect(await add()).toMatchObject([{ id: 'pantry-3' }]);
    expect((await findHouse(id))?.rooms.at(-1)?.room.id).toBe('pantry-3');
  });

  it('are copied next to the original, arranged, placed, removed and brought back', async () => {
    const id = await newHouse();
    const names = async () => (await findHouse(id))?.rooms.map(({ room }) => room.id) ?? [];
    const before = await names();
    const [first, second, ...rest] = before;
    const original = (await findHouse(id))?.rooms[0]?.room;
    if (!first || !second || !original) throw new Error('the demo has rooms');
    const { id: _id, ...copy } = original;
    await addRooms(id, [copy, copy], first);
    expect(await names()).toEqual([first, `${first}-2`, `${first}-3`, second, ...rest]);

    expect(await setRemoved(id, `${first}-2`, new Date('2031-05-06T07:30:00Z'))).toBe(true);
    expect(await setRemoved(id, 'no-such-room', new Date('2031-05-06T07:30:00Z'))).toBe(false);
    expect(await names()).toEqual([first, `${first}-3`, second, ...rest]);
    await setRemoved(id, `${first}-2`, null);
    expect(await names()).toEqual([first, `${first}-2`, `${first}-3`, second, ...rest]);

    const order = (await names()).reverse().map((room) => ({ room, floor: 'Loft' }));
    expect(await arrangeRooms(id, order, aChange())).toBe(true);
    const arranged = (await findHouse(id))?.rooms ?? [];
    expect(arranged.map(({ room }) => room.id)).toEqual(order.map(({ room }) => room));
    expect(arranged.every(({ room, version }) => room.floor === 'Loft' && version === 2)).toBe(true);
    // A list that misses a room, or names another, changes nothing.
    expect(await arrangeRooms(id, order.slice(1), aChange())).toBe(false);
    const strange = [...order.slice(1), { room: 'other', floor: 'Loft' }];
    expect(await arrangeRooms(id, strange, aChange())).toBe(false);

    expect(await placeRoom(id, first, [12, 34.5], aChange())).toBe(true);
    expect((await findHouse(id))?.rooms.find(({ room }) => room.id === first)?.room.at).toEqual([12, 34.5]);
    expect(await placeRoom(id, 'no-such-room', [0, 0], aChange())).toBe(false);
    // Who saves the room meanwhile says nothing of its place, and does not lose it.
    const { at: _at, ...edited } = { ...original, floor: 'Loft', name: 'Edited' };
    expect(await saveRoom(id, 2, edited)).toEqual({ kind: 'saved', version: 3 });
    const kept = (await findHouse(id))?.rooms.find(({ room }) => room.id === first)?.room;
    expect([kept?.name, kept?.at]).toEqual(['Edited', [12, 34.5]]);
  });

  it('refuse a save over an older version and show the newer one', async () => {
    const id = await newHouse();
    const room = (await findHouse(id))?.rooms[0]?.room;
    if (!room) throw new Error('the demo has rooms');
    expect(await saveRoom(id, 1, { ...room, name: 'Mine' })).toEqual({ kind: 'saved', version: 2 });
    expect(await saveRoom(id, 1, { ...room, name: 'Late' })).toMatchObject({
      kind: 'stale',
      theirs: { version: 2, room: { name: 'Mine' } },
    });
    expect(await saveRoom(id, 1, { ...room, id: 'no-such-room' })).toEqual({ kind: 'gone' });
  });

  it('let one of two saves at once win', async () => {
    const id = await newHouse();
    const room = (await findHouse(id))?.rooms[0]?.room;
    if (!room) throw new Error('the demo has rooms');
    const results = await Promise.all(['A', 'B'].map((name) => saveRoom(id, 1, { ...room, name })));
    expect(results.map(({ kind }) => kind).sort()).toEqual(['saved', 'stale']);
  });

  it('keep a newer level from being overwritten', async () => {
    const id = await newHouse();
    const level = (value: 3 | 5) => saveHouseHead(id, 1, (head) => ({ ...head, method: { level: value } }));
    expect([await level(5), await level(3)]).toEqual([2, undefined]);
    expect((await findHouse(id))?.head.method.level).toBe(5);
  });

  // Three changes of one hand, none of them answered yet, as a page that is left sends them.
  const [one, two, three] = ['aaaaaaaa', 'bbbbbbbb', 'cccccccc'].map(
    (head) => `${head}-0000-4000-8000-000000000000`,
  ) as [string, string, string];
  const changes = [
    { id: one, after: [] },
    { id: two, after: [one] },
    { id: three, after: [two, one] },
  ] as const;
  it.each([
    [0, 1, 2],
    [0, 2, 1],
    [1, 0, 2],
    [1, 2, 0],
    [2, 0, 1],
    [2, 1, 0],
    [0, 0, 2, 1, 2],
  ])('keep the last change that a hand made, whatever order they come in: %i %i %i', async (...comes) => {
    const id = await newHouse();
    const rooms = (await findHouse(id))?.rooms.map(({ room }) => room) ?? [];
    const room = rooms[0]?.id ?? '';
    const orders = [rooms.slice(1), rooms.toReversed(), [...rooms.slice(2), ...rooms.slice(0, 2)]].map((some) =>
      [...new Set([...some, ...rooms])].map((own) => ({ room: own.id, floor: own.floor })),
    );
    const tools = ['knives', 'trowel', 'boxes'] as const;
    for (const at of comes) {
      const change = changes[at];
      if (!change) throw new Error('there are three');
      await saveHouseHead(id, 1, (head) => ({ ...head, method: { level: 4, tools: tools[at] } }), change);
      await saveRoomMethod(id, 1, room, { tools: tools[at] }, change);
      await placeRoom(id, room, [at, at], change);
      await arrangeRooms(id, orders[at] ?? [], change);
    }
    const house = await findHouse(id);
    const own = house?.rooms.find((stored) => stored.room.id === room)?.room;
    expect(house?.head.method).toEqual({ level: 4, tools: 'boxes' });
    expect([own?.method, own?.at]).toEqual([{ tools: 'boxes' }, [2, 2]]);
    expect(house?.rooms.map((stored) => stored.room.id)).toEqual(orders[2]?.map((stored) => stored.room));
  });

  it('refuse a change over what somebody else has changed since', async () => {
    const id = await newHouse();
    const save = (version: number, level: 3 | 4 | 5, change?: Change) =>
      saveHouseHead(id, version, (head) => ({ ...head, method: { level } }), change);
    const mine = aChange();
    expect(await save(1, 5, mine)).toBe(2);
    expect(await save(2, 3, aChange())).toBe(3);
    expect(await save(1, 4, { ...aChange(), after: [mine.id] })).toBeUndefined();
    expect((await findHouse(id))?.head.method.level).toBe(3);
  });
});

describe('methods', () => {
  it('of a room stay when its walls are saved, and go when the room goes by the house again', async () => {
    const id = await newHouse();
    const pantry = async () => (await findHouse(id))?.rooms.find(({ room }) => room.id === 'pantry');
    const before = await pantry();
    if (!before) throw new Error('the demo has a pantry');
    expect(await saveRoomMethod(id, before.version, 'pantry', { tools: 'trowel' })).toEqual({
      kind: 'saved',
      version: 2,
    });
    expect(await saveRoom(id, 2, { ...before.room, height: 100 })).toMatchObject({ kind: 'saved' });
    expect((await pantry())?.room).toMatchObject({ height: 100, method: { tools: 'trowel' } });
    expect(await saveRoomMethod(id, 2, 'pantry', null)).toMatchObject({ kind: 'stale', theirs: { version: 3 } });
    await saveRoomMethod(id, 3, 'pantry', null);
    expect((await pantry())?.room).not.toHaveProperty('method');
    expect(await saveRoomMethod(id, 1, 'cellar', null)).toEqual({ kind: 'gone' });
  });

  it('are kept under one name, replaced under it, and forgotten once', async () => {
    const name = `way ${randomUUID()}`;
    await keepMethod(name, 'in', { tools: 'trowel' }, lead.id, new Date('2031-05-06T07:30:00Z'));
    await keepMethod(name, 'in', { tools: 'boxes' }, lead.id, new Date('2031-05-06T07:31:00Z'));
    const own = (await listMethods()).filter((method) => method.name === name);
    expect(own.map(({ choices }) => choices)).toEqual([{ tools: 'boxes' }]);
    expect(await dropMethod(own[0]?.id ?? '')).toBe(true);
    expect(await dropMethod(own[0]?.id ?? '')).toBe(false);
  });
});

describe('the log', () => {
  it('numbers entries without gaps, also when they come at once', async () => {
    const id = await newHouse();
    await Promise.all(Array.from({ length: 12 }, () => appendEntries(id, finisher, [tape(), tape('hall')])));
    expect((await listEntries(id)).map(({ seq }) => seq)).toEqual(Array.from({ length: 24 }, (_, index) => index + 1));
  });

  it('takes the same entry once and refuses it with other content', async () => {
    const id = await newHouse();
    const entry = tape();
    const first = await appendEntries(id, finisher, [entry]);
    expect(await appendEntries(id, finisher, [entry])).toEqual(first);
    expect(await appendEntries(id, finisher, [{ ...entry, room: 'hall' }])).toEqual({ kind: 'conflict', id: entry.id });
    expect(await appendEntries(id, other, [entry])).toEqual({ kind: 'conflict', id: entry.id });
    expect(await appendEntries(await newHouse(), finisher, [entry])).toEqual({ kind: 'conflict', id: entry.id });
    expect(await listEntries(id)).toHaveLength(1);
  });

  it('records all of a batch or nothing', async () => {
    const id = await newHouse();
    expect(await appendEntries(id, finisher, [tape(), tape('no-such-room')])).toEqual({
      kind: 'noRoom',
      room: 'no-such-room',
    });
    expect(await listEntries(id)).toEqual([]);
    expect(await appendEntries(randomUUID(), finisher, [tape()])).toEqual({ kind: 'noHouse' });
  });

  it('lets a finisher take back their own entries only, a lead any', async () => {
    const id = await newHouse();
    const entry = tape();
    await appendEntries(id, finisher, [entry]);
    const taken = (): NewEntry => ({
      id: randomUUID(),
      room: null,
      at: '2031-05-06T08:00:00.000Z',
      kind: 'void',
      payload: { target: entry.id },
    });
    expect(await appendEntries(id, other, [taken()])).toEqual({ kind: 'notYours', id: entry.id });
    expect((await appendEntries(id, finisher, [taken()])).kind).toBe('recorded');
    expect((await appendEntries(id, lead, [taken()])).kind).toBe('recorded');
  });

  it('keeps on which pieces a coat lay and how much there was of each, whatever becomes of the room', async () => {
    const id = await newHouse();
    const house = await findHouse(id);
    const stored = house?.rooms.find(({ room }) => room.id === 'pantry');
    if (!house || !stored) throw new Error('the demo has a pantry');
    const flats = takeOff(stored.room, house.head).pieces.filter((piece) => piece.class === 'flat');
    const [first] = flats;
    if (!first) throw new Error('a pantry has flats');
    const all = tape();
    const some: NewEntry = {
      ...tape(),
      payload: { ...tape().payload, pieces: [{ id: first.id, amount: first.amount / 2 }] },
    };
    expect((await appendEntries(id, finisher, [all, some])).kind).toBe('recorded');
    const tenth = (mm: number) => Math.round(mm * 10) / 10;
    const expected = [
      flats.map(({ id: piece, amount }) => ({ id: piece, amount: tenth(amount), of: tenth(amount) })),
      [{ id: first.id, amount: tenth(first.amount / 2), of: tenth(first.amount) }],
    ];
    const on = async () => (await listEntries(id)).map(({ payload }) => 'on' in payload && payload.on);
    expect(await on()).toEqual(expected);
    const longer = stored.room.outline.map(([x, y]): [number, number] => [x > 10 ? x + 30 : x, y]);
    await saveRoom(id, stored.version, { ...stored.room, outline: longer });
    expect(await on()).toEqual(expected);
    // Sent again it is the same entry, though the room would say other lengths now.
    expect((await appendEntries(id, finisher, [all, some])).kind).toBe('recorded');
    expect(await on()).toEqual(expected);
  });

  it('keeps who wrote an entry, in which role', async () => {
    const id = await newHouse();
    await appendEntries(id, finisher, [tape()]);
    expect((await listEntries(id))[0]).toMatchObject({
      by: finisher.id,
      role: 'finisher',
      room: 'pantry',
      at: '2031-05-06T07:30:00.000Z',
    });
  });
});
