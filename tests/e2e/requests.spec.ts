import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import type { MappedPiece } from '../../src/ui/room/pieceMap';
import { routesOf } from '../fuzz/routes';
import { firstScript } from '../setup/firstScript';
import { expect, minutesBefore, test, visit } from './site';
import { query } from './testDatabase';

/** Every page of a house. */
const VIEWS = ['', '/tally', '/coats', '/load', '/run', '/board', '/dry', '/sand', '/hand-over', '/my-day'];

/** What the pages of a house say; each of them answers. */
async function everyPage(page: Page, house: string): Promise<ReadonlyMap<string, string>> {
  const pages = new Map<string, string>();
  for (const view of VIEWS) {
    const answer = await page.request.get(house + view);
    expect([view, answer.status()]).toEqual([view, 200]);
    pages.set(view, await answer.text());
  }
  return pages;
}

const coat = (room = 'boot-room') => ({
  id: randomUUID(),
  room,
  at: minutesBefore(0),
  kind: 'coat',
  version: 2,
  payload: { class: 'flat', key: 'tape', part: 0.5 },
});

test('signed out, pages lead to the sign-in and requests say so', async ({ page, request }) => {
  await page.goto(`/h/${randomUUID()}/board`);
  await expect(page).toHaveURL(/\/signin$/);
  const answer = await request.post('/api/entries', { data: { house: randomUUID(), entries: [coat()] } });
  expect([answer.status(), (await answer.json()).message]).toEqual([401, 'You are signed out.']);
  expect((await request.get(`/h/${randomUUID()}/file`)).status()).toBe(401);
});

test('a view asks for at most 200 kB of script at first', async ({ page, house, site, signIn }) => {
  await signIn(page, 'Marit');
  const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
  const views = routesOf('page.tsx').filter((path) => path.startsWith('/h/[house]'));
  expect(views.length).toBeGreaterThan(VIEWS.length);
  for (const view of views) {
    const path = view.replace('/h/[house]', house).replace('[room]', 'bath');
    const bytes = await firstScript(site.url + path, cookie);
    // A view without any would be none of ours.
    expect(bytes, view).toBeGreaterThan(100 * 1024);
    expect(bytes, view).toBeLessThanOrEqual(200 * 1024);
  }
});

test('entries are refused with the place and the reason, and never with a fault', async ({
  page,
  signIn,
  house,
  site,
}) => {
  await signIn(page, 'Marit');
  const id = house.split('/').at(-1);
  const post = async (data: unknown) => {
    const answer = await page.request.post('/api/entries', { data });
    return [answer.status(), (await answer.json()).message];
  };
  const entry = coat();
  expect((await post({ house: id, entries: [entry] }))[0]).toBe(200);
  expect((await post({ house: id, entries: [entry] }))[0]).toBe(200);
  expect((await post({ house: id, entries: [{ ...entry, room: 'bath' }] }))[0]).toBe(409);
  // What somebody else said on this device is not said by who is signed in.
  expect(await post({ house: id, as: randomUUID(), entries: [coat()] })).toEqual([
    401,
    'You are signed in as someone else. This entry was written by another person.',
  ]);
  expect(
    await post({
      house: id,
      entries: [{ ...coat(), payload: { class: 'flat', key: 'tape', part: 2 } }],
    }),
  ).toEqual([400, 'entries[0].payload.part: must be at most the whole, 1']);
  expect(await post({ house: id, entries: [{ ...coat(), id: 'x' }] })).toEqual([400, 'entries[0].id: must be a UUID']);
  // A phone whose clock is ahead by an hour loses nothing: its entries are of when they came, and sent again they are the same.
  const angles = { ...coat().payload, class: 'angle', begun: minutesBefore(-30) };
  const ahead = { ...coat(), at: minutesBefore(-60), payload: angles };
  for (let turn = 0; turn < 2; turn += 1) expect((await post({ house: id, entries: [ahead] }))[0]).toBe(200);
  const [kept] = await query<{ at: Date; own: Date; begun: string }>(
    "SELECT at, device_at AS own, payload->>'begun' AS begun FROM entries WHERE id = $1",
    site.database,
    [ahead.id],
  );
  expect([kept?.at.toISOString(), kept?.own.toISOString(), kept?.begun]).toEqual([
    minutesBefore(0),
    minutesBefore(-60),
    minutesBefore(30),
  ]);
  const saying = (said: object) => ({ house: id, entries: [{ ...coat(), payload: { ...coat().payload, ...said } }] });
  const [builder] = await query<{ id: string }>("SELECT id FROM people WHERE name = 'Builder'", site.database);
  const [petra] = await query<{ id: string }>("SELECT id FROM people WHERE name = 'Petra'", site.database);
  const payload = 'entries[0].payload';
  for (const [said, reason] of [
    [{ ranBy: [randomUUID()] }, `${payload}.ranBy: names somebody who is not on the crew`],
    [{ ranBy: [builder?.id] }, `${payload}.ranBy: names somebody who is not on the crew`],
    [{ ranBy: [petra?.id, petra?.id] }, `${payload}.ranBy: name somebody twice`],
    [{ ranBy: [] }, `${payload}.ranBy: needs at least one person`],
    [{ begun: minutesBefore(10), ended: minutesBefore(20) }, `${payload}.ended: must not lie before it was begun`],
    [{ ended: minutesBefore(-20) }, `${payload}.ended: must not lie after the entry itself`],
    [{ faces: ['w9'] }, `${payload}.faces[0]: the room has no face "w9"`],
    [{ faces: ['c0', 'c0'] }, `${payload}.faces: name a face twice`],
  ] as const)
    expect(await post(saying(said))).toEqual([400, reason]);
  const inRoom = async (room: string): Promise<readonly MappedPiece[]> =>
    (await (await page.request.get(`${house}/pieces?room=${room}`)).json()).pieces;
  const flats = (await inRoom('boot-room')).filter((piece) => piece.class === 'flat');
  const [flat, other] = flats;
  const [butt] = (await inRoom('day-room')).filter((piece) => piece.class === 'butt');
  if (!flat || !other || !butt) throw new Error('there are flats and butts');
  const own = { part: 1 };
  for (const [said, reason] of [
    [{ pieces: [{ id: flat.id }, { id: butt.id }] }, `${payload}.pieces[1].id: the room has no piece "${butt.id}"`],
    [{ pieces: [{ id: flat.id }, { id: flat.id }] }, `${payload}.pieces: name a piece twice`],
    [{ class: 'bead', pieces: [{ id: flat.id }] }, `${payload}.pieces[0].id: is of another class (flat)`],
    [
      { pieces: [{ id: flat.id, amount: 1e6 }] },
      `${payload}.pieces[0].amount: is more than the piece has (${Math.round(flat.amount * 10) / 10})`,
    ],
    [{ pieces: [] }, `${payload}.pieces: need at least one`],
    [{ pieces: [{ id: flat.id }], faces: ['c0'] }, `${payload}.pieces: say by themselves on which faces and how much`],
  ] as const)
    expect(await post(saying({ ...own, ...said }))).toEqual([400, reason]);
  expect(await post({ house: id, entries: [{ ...coat(), version: 4 }] })).toEqual([
    400,
    'entries[0].version: Unsupported version',
  ]);
  expect((await post(saying({ ...own, pieces: [{ id: flat.id }, { id: other.id, amount: 100 }] })))[0]).toBe(200);

  const taken = saying({ ranBy: [petra?.id], begun: minutesBefore(90), faces: ['c0'] });
  expect((await post(taken))[0]).toBe(200);
  // What was recorded stays so, sent again when the ceiling is gone.
  await query(
    `UPDATE rooms SET room = jsonb_set(room, '{ceiling}', '{"shape": "open"}') WHERE house_id = $1 AND id = 'boot-room'`,
    site.database,
    [id],
  );
  expect((await post(taken))[0]).toBe(200);
  expect(await post(saying({ faces: ['c0'] }))).toEqual([400, `${payload}.faces[0]: the room has no face "c0"`]);
  expect(await post({ house: id, entries: [coat('cellar')] })).toEqual([404, 'The house has no room "cellar".']);
  expect(await post({ house: randomUUID(), entries: [coat()] })).toEqual([404, 'There is no such house.']);
  expect((await post('no json'))[0]).toBe(400);
  expect((await post({ house: id, entries: [] }))[0]).toBe(400);
  expect((await post(null))[0]).toBe(400);
  expect(
    (
      await page.request.post('/api/entries', {
        data: { house: id, entries: [coat()] },
        headers: { origin: 'http://elsewhere.example' },
      })
    ).status(),
  ).toBe(403);
});

test('a viewer records nothing, a finisher only their own work', async ({ page, browser, signIn, house, site }) => {
  await signIn(page, 'Builder');
  const id = house.split('/').at(-1);
  expect((await page.request.post('/api/entries', { data: { house: id, entries: [coat()] } })).status()).toBe(403);
  await page.goto(`${house}/board`);
  await expect(page.getByRole('button', { name: /Log a coat/ })).toHaveCount(0);
  // Nor is a viewer told who works here.
  expect(await (await page.request.get(`${house}/board`)).text()).toContain('\\"crew\\":[]');
  await page.goto(`${house}/tally`);
  await expect(page.getByLabel('Quick line')).toHaveCount(0);

  const finisher = await browser.newPage();
  await signIn(finisher, 'Ines');
  const post = async (entry: object) =>
    (await finisher.request.post('/api/entries', { data: { house: id, entries: [entry] } })).status();
  expect(await post(coat())).toBe(200);
  expect(
    await post({
      id: randomUUID(),
      room: 'bath',
      at: minutesBefore(0),
      kind: 'checked',
      payload: { level: 4 },
    }),
  ).toBe(403);
  expect(
    await post({
      id: randomUUID(),
      room: 'bath',
      at: minutesBefore(0),
      kind: 'assigned',
      payload: { work: 'sand', people: [], day: '2031-05-06' },
    }),
  ).toBe(403);
  const [marit] = await query<{ id: string }>("SELECT id FROM people WHERE name = 'Marit'", site.database);
  const ended = await finisher.request.post('/api/commands/endSecret', {
    data: { kind: 'calendar', person: marit?.id },
  });
  expect(ended.status()).toBe(403);
});

test('unknown houses, rooms and pages are not found', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  for (const path of [
    `/h/${randomUUID()}`,
    '/h/nonsense/board',
    `${house}/tally?room=nowhere`,
    `${house}/hand-over/nowhere`,
    `${house}/nothing`,
    '/nothing',
  ]) {
    const answer = await page.goto(path);
    expect(answer?.status(), path).toBe(404);
    await expect(page.getByRole('heading', { name: 'Not here' })).toBeVisible();
  }
  expect((await page.request.get(`/h/${randomUUID()}/file`)).status()).toBe(404);
});

test('a header that the framework cannot read is refused, and one that it can is taken', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const ask = async (tree: string) => {
    const answer = await page.request.get(`${house}/board`, {
      headers: { RSC: '1', 'next-router-state-tree': tree },
    });
    return answer.status();
  };
  for (const tree of [
    'nonsense',
    encodeURIComponent('[1, 2]'),
    encodeURIComponent('[["a"]]'),
    encodeURIComponent('["", {"children": 3}]'),
    '%5B%22%5D',
    '%5B%ff%5D',
  ])
    expect([tree.slice(0, 40), await ask(tree)]).toEqual([tree.slice(0, 40), 400]);
  expect(await ask(encodeURIComponent(JSON.stringify(['', { children: ['signin', {}] }])))).toBe(200);
});

test('a stored room that is too large to work out is said, and the rest of the house goes on', async ({
  page,
  house,
  site,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const id = house.split('/').at(-1) ?? '';
  const hall = {
    id: 'hall-of-halls',
    name: 'Hall of halls',
    floor: 'Ground floor',
    outline: [
      [0, 0],
      [2400, 0],
      [2400, 2400],
      [0, 2400],
    ],
    height: 600,
    ceiling: { shape: 'flat' },
    openings: [],
    hang: { framing: 0.4, screws: { wall: 0.001 } },
  };
  await query(
    'INSERT INTO rooms (firm, house_id, id, position, room) SELECT firm, id, $2, 99, $3 FROM houses WHERE id = $1',
    site.database,
    [id, hall.id, JSON.stringify(hall)],
  );
  const words = 'too large to work out';
  expect((await everyPage(page, house)).get('')).toContain(words);
  await page.goto(`${house}/tally?room=${hall.id}`);
  await expect(page.getByRole('status').filter({ hasText: 'Too large to work out: split the room' })).toBeVisible();
  await page.goto(`${house}/board`);
  await expect(page.getByRole('region', { name: 'Hall of halls' })).toContainText(words);
  await expect(page.getByRole('region', { name: 'Boot room' }).getByRole('button').first()).toBeVisible();
});

test('the finish of a room is kept and nothing else of it; not of a face that it has not, nor over a newer one', async ({
  page,
  house,
  site,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const id = house.split('/').at(-1) ?? '';
  const stored = async () => {
    const rows = await query<{ version: number; room: Record<string, unknown> }>(
      "SELECT version, room FROM rooms WHERE house_id = $1 AND id = 'bath'",
      site.database,
      [id],
    );
    return rows[0] ?? { version: 0, room: {} };
  };
  const before = await stored();
  const save = async (finish: object, version = before.version) => {
    const data = { house: id, room: 'bath', version, finish };
    const answer = await page.request.post('/api/commands/saveRoomFinish', { data });
    return { status: answer.status(), ...(await answer.json()) };
  };
  expect(await save({ faces: { c9: { level: 5 } } })).toMatchObject({
    ok: false,
    problems: [{ path: 'finish.faces.c9', reason: 'names no face of this room' }],
  });
  expect(await save({ level: 7 })).toMatchObject({ ok: false });
  expect(await stored()).toEqual(before);
  const finish = { surface: 'gloss', faces: { c0: { level: 5 } } };
  expect(await save(finish)).toMatchObject({ ok: true, value: { kind: 'saved' } });
  expect((await stored()).room).toEqual({ ...before.room, finish });
  expect(await save({})).toMatchObject({ ok: true, value: { kind: 'stale' } });
  expect((await stored()).room).toEqual({ ...before.room, finish });
});

test('a stored room that cannot be read is said, the rest of the house goes on, and a lead takes it out', async ({
  page,
  house,
  site,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await query("UPDATE rooms SET room = room - 'outline' WHERE house_id = $1 AND id = 'bath'", site.database, [
    house.split('/').at(-1) ?? '',
  ]);
  for (const [view, text] of await everyPage(page, house))
    expect(text.includes('cannot be read as it is stored'), view).toBe(true);
  await page.goto(`${house}/board`);
  const notice = page.getByRole('alert').filter({ hasText: 'The room bath cannot be read as it is stored' });
  await expect(page.getByRole('region', { name: 'Boot room' }).getByRole('button').first()).toBeVisible();
  await notice.getByRole('button', { name: 'Take it out' }).click();
  await expect(notice).toHaveCount(0);
});

test('the rooms of a large house are worked out in a thread of their own', async ({ page, house, site, signIn }) => {
  await signIn(page, 'Marit');
  const halls = Array.from({ length: 4 }, (_, index) => ({
    id: `hall-${index}`,
    name: `Hall ${index}`,
    floor: 'Ground floor',
    outline: [
      [0, 0],
      [1200, 0],
      [1200, 960 + index],
      [0, 960 + index],
    ],
    height: 120,
    ceiling: { shape: 'flat' },
    openings: [],
  }));
  for (const hall of halls)
    await query(
      'INSERT INTO rooms (firm, house_id, id, position, room) SELECT firm, id, $2, 99, $3 FROM houses WHERE id = $1',
      site.database,
      [house.split('/').at(-1) ?? '', hall.id, JSON.stringify(hall)],
    );
  await page.goto(`${house}/board`);
  for (const { name } of halls) {
    const row = page.getByRole('region', { name });
    await expect(row).toContainText('0 %');
    await expect(row.getByRole('button').first()).toBeVisible();
  }
});

test('a house file goes out and comes in; a wrong one is refused whole', async ({ page, house, signIn }, testInfo) => {
  await signIn(page, 'Marit');
  const file = await (await page.request.get(`${house}/file`)).json();
  expect(file).toMatchObject({
    format: 'oak-tally-house',
    version: 2,
    unit: 'in',
    name: `Copy for ${testInfo.testId}`,
  });
  const upload = (content: unknown, name: string) => {
    const buffer = Buffer.from(typeof content === 'string' ? content : JSON.stringify(content));
    return page.getByLabel('House file (JSON)').setInputFiles({ name, mimeType: 'application/json', buffer });
  };

  await page.goto('/houses');
  await upload(
    { ...file, rooms: file.rooms.map((room: object, index: number) => (index === 2 ? { ...room, height: 0 } : room)) },
    'wrong.json',
  );
  await expect(page.getByRole('alert').filter({ hasText: 'nothing was taken' })).toContainText(
    'rooms[2].height must be greater than 0',
  );
  await upload(
    {
      ...file,
      name: 'Turned house',
      rooms: file.rooms.map((room: { outline: number[][] }) => ({
        ...room,
        openings: [],
        outline: [...room.outline].reverse(),
      })),
    },
    'reversed.json',
  );
  await expect(page.getByText('runs counter-clockwise on the page').first()).toBeVisible();
  await page.getByRole('button', { name: 'Turn these outlines round and bring it in' }).click();
  await page.waitForURL(/\/h\//);
  await expect(page.getByRole('link', { name: 'Turned house' })).toBeVisible();

  await page.goto('/houses');
  await upload('{ not json', 'broken.json');
  await expect(page.getByText('The file is not JSON')).toBeVisible();
  await upload({ ...file, name: 'Copy of the point' }, 'good.json');
  await page.waitForURL(/\/h\//);
  await expect(page.getByRole('link', { name: 'Copy of the point' })).toBeVisible();
  const again = await (await page.request.get(`${new URL(page.url()).pathname}/file`)).json();
  expect(again).toEqual({ ...file, name: 'Copy of the point' });
});

test('who logs something in a room that was removed meanwhile is told so', async ({
  page,
  browser,
  house,
  signIn,
  moveClock,
}) => {
  await signIn(page, 'Petra');
  await visit(page, `${house}/board`);
  const notice = page.getByRole('status').filter({ hasText: 'removed from the house' });
  const id = house.split('/').at(-1) ?? '';
  const note = (room: string) =>
    page.request.post('/api/entries', {
      data: {
        house: id,
        entries: [{ id: randomUUID(), room, at: minutesBefore(1), kind: 'item', payload: { text: 'Dent' } }],
      },
    });
  const lead = await browser.newPage();
  await signIn(lead, 'Marit');
  // What came before is no news for anybody.
  expect((await note('bath')).status()).toBe(200);
  moveClock(1);
  const command = (name: string) => lead.request.post(`/api/commands/${name}`, { data: { house: id, room: 'bath' } });
  expect((await command('removeRoom')).status()).toBe(200);
  expect((await note('pantry')).status()).toBe(200);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Coat board' })).toBeAttached();
  await expect(notice).toHaveCount(0);
  moveClock(2);
  expect((await note('bath')).status()).toBe(200);
  await page.reload();
  await expect(notice).toContainText('Bath was removed from the house before your log arrived.');
  expect((await command('restoreRoom')).status()).toBe(200);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Coat board' })).toBeAttached();
  await expect(notice).toHaveCount(0);
  await lead.close();
});

test('a wrong password is said beside its field, and the name stays', async ({ page }) => {
  await page.goto('/signin');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('needs a name')).toBeVisible();
  await page.getByLabel('Name').fill('Marit');
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Wrong name or password')).toBeVisible();
  await expect(page.getByLabel('Name')).toHaveValue('Marit');
});

test('who was signed in on a device before is not locked out by others who try the same name', async ({
  page,
  playwright,
  site,
  signIn: signInAs,
}) => {
  const phone = await playwright.request.newContext({ baseURL: site.url });
  const signIn = (password: string, address: string, who = phone) =>
    who.post('/api/commands/signIn', {
      data: { name: 'Ines', password },
      headers: { 'x-forwarded-for': address },
    });
  expect((await signIn('oak-demo', '10.0.0.1')).status()).toBe(200);
  const stranger = await playwright.request.newContext({ baseURL: site.url });
  const tries = Array.from({ length: 101 }, (_, index) => `10.1.${index}.1`);
  for (const address of tries) await signIn('a wrong one', address, stranger);
  expect((await signIn('oak-demo', '10.2.0.1', stranger)).status()).toBe(429);
  expect((await signIn('oak-demo', '10.2.0.1')).status()).toBe(200);
  // A device has its own allowance, and no more.
  for (let turn = 0; turn < 10; turn += 1) expect((await signIn('a wrong one', '10.2.0.1')).status()).toBe(400);
  expect((await signIn('oak-demo', '10.2.0.1')).status()).toBe(429);
  // A lead sees who is locked out, and lets them in again.
  await signInAs(page, 'Marit');
  await visit(page, '/houses');
  const ines = page.getByRole('region', { name: 'Crew' }).getByRole('group').filter({ hasText: 'Ines' });
  await expect(ines).toContainText('locked out');
  await ines.getByText('Ines', { exact: true }).click();
  await ines.getByRole('button', { name: 'Unlock sign-in' }).click();
  await expect(ines).not.toContainText('locked out');
  expect((await signIn('oak-demo', '10.2.0.1', stranger)).status()).toBe(200);
  expect((await signIn('oak-demo', '10.2.0.1')).status()).toBe(200);
  await query("DELETE FROM sign_in_failures WHERE key LIKE '%ines%'", site.database);
  await Promise.all([phone.dispose(), stranger.dispose()]);
});

test('a sign-in that is used goes on; one that is not used for a month ends', async ({
  playwright,
  site,
  moveClock,
}) => {
  const phone = await playwright.request.newContext({ baseURL: site.url });
  const day = 24;
  await phone.post('/api/commands/signIn', { data: { name: 'Osei', password: 'oak-demo' } });
  const used = async (after: number) => {
    moveClock(after * day);
    const answer = await phone.get('/api/live/marks');
    const cookie = /oak-session=[^;]+;.*Max-Age=(\d+)/.exec(answer.headers()['set-cookie'] ?? '');
    return [answer.status(), Number(cookie?.[1] ?? 0) > 390 * 86_400 ? 'renewed' : 'kept'];
  };
  expect(await used(1)).toEqual([200, 'kept']);
  expect(await used(25)).toEqual([200, 'renewed']);
  expect(await used(50)).toEqual([200, 'renewed']);
  expect(await used(79)).toEqual([200, 'renewed']);
  expect((await used(110))[0]).toBe(401);
  await phone.dispose();
});
