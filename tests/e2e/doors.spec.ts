import { randomBytes, randomUUID } from 'node:crypto';
import { request } from 'node:http';
import type { APIRequestContext } from '@playwright/test';
import { sealData } from 'iron-session';
import { TRIAL_SECRET } from '../../scripts/setup/served.mjs';
import { COMMANDS } from '../../src/contract/commands';
import { houseInputs } from '../fuzz/commandInputs';
import { routesOf } from '../fuzz/routes';
import { expect, isLive, keyOf, minutesBefore, test, watchErrors } from './site';
import { strangers } from './strangers';
import { query } from './testDatabase';

/** Every page of the application, from its files, with a house and a room filled in. */
const pagesOf = (house: string): readonly string[] =>
  routesOf('page.tsx').map((path) =>
    path.replace('/h/[house]', house).replace('[room]', 'boot-room').replace('[secret]', GUESSED),
  );

/** What only somebody who is signed in may read. */
const WITHIN = /Gannet Point|Boot room|Bunk room|Petra|Copy for|rolls|pails/;
const PUBLIC = ['/signin', '/setup', '/away'];
/** A secret that is none. */
const GUESSED = randomBytes(24).toString('base64url');

/** As the browser asks for the parts of a page when it has the layouts already. */
function partsRequest(path: string): Record<string, string> {
  const tree = path
    .split('/')
    .filter(Boolean)
    .reduceRight<unknown>((inner, part) => [part, { children: inner }], ['__PAGE__', {}, null, 'refetch']);
  return { RSC: '1', 'Next-Router-State-Tree': encodeURIComponent(JSON.stringify(['', { children: tree }])) };
}

test('nobody reads anything of a house that is not theirs, whatever the cookie and however it is asked', async ({
  page,
  playwright,
  baseURL,
  house,
  site,
  signIn,
}) => {
  /** What a browser of its own kept of a sign-in. */
  const sealOn = async (device: string, end: (browser: APIRequestContext) => Promise<unknown>) => {
    const browser = await playwright.request.newContext({ baseURL, userAgent: device });
    await browser.post('/api/commands/signIn', { data: { name: 'Osei', password: 'oak-demo' } });
    const { cookies } = await browser.storageState();
    await end(browser);
    await browser.dispose();
    return cookies.find(({ name }) => name === 'oak-session')?.value ?? '';
  };
  await signIn(page, 'Marit');
  const own = (await page.context().cookies()).find(({ name }) => name === 'oak-session')?.value ?? '';
  const seal = (password: string) => sealData({ token: randomUUID() }, { password });
  const cookies = {
    none: undefined,
    odd: 'nonsense',
    tampered: `${own.slice(0, -8)}${[...own.slice(-8)].reverse().join('')}`,
    forged: await seal('another secret, also of at least 32 characters'),
    ended: await sealOn('ended', (browser) => browser.post('/api/commands/signOut', { data: {} })),
    'run out': await sealOn('run out', () =>
      query("UPDATE sessions SET seen_at = seen_at - interval '31 days' WHERE device = 'run out'", site.database),
    ),
    'of nobody': await seal(TRIAL_SECRET),
  };
  expect(Object.values(cookies).filter((cookie) => !cookie)).toEqual([undefined]);
  // Two who are signed in, and a sensor of the house.
  const { guest, nora, leave } = await strangers(site.database);
  const doors: Readonly<Record<string, { readonly headers: Record<string, string>; readonly file: number }>> = {
    ...Object.fromEntries(
      Object.entries(cookies).map(([kind, cookie]) => [
        kind,
        { headers: cookie ? { cookie: `oak-session=${cookie}` } : {}, file: 401 },
      ]),
    ),
    device: { headers: { authorization: `Bearer ${keyOf(house, 'bath')}` }, file: 401 },
    'viewer of another house': { headers: { cookie: guest }, file: 404 },
    'lead of another firm': { headers: { cookie: nora }, file: 404 },
  };
  const pages = pagesOf(house).filter((path) => !PUBLIC.includes(path));
  expect(pages.length).toBeGreaterThan(12);
  const read: string[] = [];
  for (const [kind, { headers: own, file }] of Object.entries(doors)) {
    const outside = await playwright.request.newContext({ baseURL, extraHTTPHeaders: own });
    for (const path of pages) {
      for (const headers of [{}, { RSC: '1' }, partsRequest(path)]) {
        const answer = await outside.get(path, { headers, maxRedirects: 0 });
        if (WITHIN.test(await answer.text())) read.push(`${kind}: ${path} ${Object.keys(headers).length}`);
      }
    }
    for (const told of ['file', 'pieces?room=bath', 'plan', 'seen', 'record', 'csv?of=pieces'])
      expect((await outside.get(`${house}/${told}`)).status(), `${kind} ${told}`).toBe(file);
    expect(await (await outside.get('/api/live/marks')).text(), kind).not.toContain(house.slice('/h/'.length));
    await outside.dispose();
  }
  await leave();
  expect(read).toEqual([]);
  // The same requests of somebody who is signed in tell it: what is looked for is there.
  for (const headers of [{}, { RSC: '1' }, partsRequest(`${house}/load`)])
    expect(await (await page.request.get(`${house}/load`, { headers })).text()).toMatch(WITHIN);
});

test('every command is refused to who may not send it, before what they sent is looked at', async ({
  page,
  playwright,
  baseURL,
  signIn,
}) => {
  const RANK = { viewer: 0, finisher: 1, lead: 2 } as const;
  const outside = await playwright.request.newContext(baseURL ? { baseURL } : {});
  const commands = Object.entries(COMMANDS);
  const wrong: unknown[] = [];
  for (const [name, rank] of [
    [undefined, -1],
    ['Builder', RANK.viewer],
    ['Petra', RANK.finisher],
  ] as const) {
    if (name) await signIn(page, name);
    const who = name ? page.request : outside;
    const status = name ? 403 : 401;
    const closed = commands.filter(([, { role }]) => role !== 'anyone' && RANK[role] > rank);
    expect(closed.length).toBeGreaterThan(15);
    for (const [command] of closed) {
      const answer = await who.post(`/api/commands/${command}`, { data: 'no json' });
      if (answer.status() !== status) wrong.push([name, command, answer.status()]);
    }
    await page.context().clearCookies();
  }
  expect(wrong).toEqual([]);
});

test('a lead of another firm changes nothing of a house, whatever they send', async ({
  playwright,
  baseURL,
  house: path,
  site,
}) => {
  const house = path.slice('/h/'.length);
  const id = randomUUID();
  const inputs = houseInputs(house);
  const all = () =>
    query(
      `SELECT md5(string_agg(row::text, '' ORDER BY row::text)) AS rooms, (SELECT houses::text FROM houses WHERE id = $1) AS house,
         (SELECT count(*) FROM entries WHERE house_id = $1) AS entries, (SELECT count(*) FROM readings WHERE house_id = $1) AS readings
       FROM rooms AS row WHERE house_id = $1`,
      site.database,
      [house],
    );
  const { nora, leave } = await strangers(site.database);
  const before = await all();
  const outside = await playwright.request.newContext({ baseURL, extraHTTPHeaders: { cookie: nora } });
  const answers: unknown[] = [];
  for (const [name, data] of Object.entries(inputs)) {
    const answer = await outside.post(`/api/commands/${name}`, { data });
    answers.push([name, answer.status()]);
  }
  const entry = { id, room: 'bath', at: minutesBefore(5), kind: 'held', payload: { why: 'theirs' } };
  const recorded = await outside.post('/api/entries', { data: { house, entries: [entry] } });
  await outside.dispose();
  await leave();
  // Nothing tells a house of another firm from one that there is not; what is taken away or out is gone either way.
  const gone: Readonly<Record<string, number>> = { shutOut: 200, arrangeRooms: 409 };
  expect(answers).toEqual(Object.keys(inputs).map((name) => [name, gone[name] ?? 404]));
  expect(recorded.status()).toBe(404);
  expect(await all()).toEqual(before);
});

test('every answer says what a browser may do with it, and a page runs only its own scripts', async ({
  page,
  house,
  signIn,
}) => {
  const errors = watchErrors(page);
  await signIn(page, 'Marit');
  const policies: string[] = [];
  for (const path of [
    ...pagesOf(house),
    '/api/health',
    `${house}/file`,
    `${house}/pieces?room=bath`,
    `${house}/seen`,
    '/service-worker',
    '/icon.svg',
    '/nowhere',
  ]) {
    const headers = (await page.request.get(path)).headers();
    expect([path, headers['x-content-type-options'], headers['referrer-policy']]).toEqual([
      path,
      'nosniff',
      'same-origin',
    ]);
    if (path.startsWith('/api/') || path === '/icon.svg') continue;
    const policy = headers['content-security-policy'] ?? '';
    expect(policy, path).toContain("frame-ancestors 'none'");
    expect(/script-src ([^;]*)/.exec(policy)?.[1], path).toMatch(/^'self' 'nonce-\S+'$/);
    policies.push(policy);
  }
  // No two answers share the number that marks their scripts.
  expect(new Set(policies).size).toBe(policies.length);
  expect((await page.request.get(`${house}/file`)).headers()['cache-control']).toBe('no-store');
  await page.goto(house);
  await isLive(page);
  await page.evaluate(() => {
    const script = document.createElement('script');
    script.textContent = 'document.title = "taken over"';
    document.body.append(script);
    document.body.insertAdjacentHTML('beforeend', '<img src="/nowhere" onerror="document.title = \'taken over\'">');
  });
  await expect.poll(() => errors.filter((error) => /Content Security Policy/.test(error)).length).toBeGreaterThan(0);
  await expect(page).not.toHaveTitle('taken over');
});

test('what is no text, no path and no instant is refused with what is wrong, never with a fault', async ({
  page,
  house,
  signIn,
  site,
}) => {
  await signIn(page, 'Marit');
  const id = house.split('/').at(-1) ?? '';
  const post = async (path: string, data: unknown) => {
    const answer = await page.request.post(path, {
      data: JSON.stringify(data),
      headers: { 'content-type': 'text/plain' },
    });
    return [answer.status(), (await answer.json()).message];
  };
  const item = (text: string, at = minutesBefore(1)) => ({
    house: id,
    entries: [{ id: randomUUID(), room: 'bath', at, kind: 'item', payload: { text } }],
  });
  const noText = [400, 'The body holds characters that are no text.'];
  expect(await post('/api/entries', item('a\0b'))).toEqual(noText);
  expect(await post('/api/entries', item('a\ud800b'))).toEqual(noText);
  expect(await post('/api/commands/createHouse', { name: 'a\0b', unit: 'in' })).toEqual(noText);
  const inTime = 'must lie between the years 2000 and 2100';
  for (const at of ['0000-01-01T00:00:00Z', '0100-01-01T00:00:00Z', '1999-12-31T23:59:59Z'])
    expect(await post('/api/entries', item('dust', at))).toEqual([400, `entries[0].at: ${inTime}`]);
  const coat = (mixedAt: string) => ({
    house: id,
    entries: [
      {
        id: randomUUID(),
        room: 'bath',
        at: minutesBefore(1),
        kind: 'coat',
        payload: { class: 'flat', key: 'tape', mud: { kind: 'setting', minutes: 45 }, mixedAt },
      },
    ],
  });
  expect(await post('/api/entries', coat('9999-01-01T00:00:00Z'))).toEqual([
    400,
    `entries[0].payload.mixedAt: ${inTime}`,
  ]);
  expect(await post('/api/entries', coat(minutesBefore(60 * 25)))).toEqual([
    400,
    'entries[0].payload.mixedAt: must lie in the day before the coat',
  ]);
  for (const path of ['/%ff', `${house}/%ff`, '/h/%00/board', `${house}/hand-over/%ff`, '/api/commands/%ff'])
    expect([path, (await page.request.get(path)).status() < 500]).toEqual([path, true]);
  // In capitals an id is the same id.
  const sent = item('Ridge over the door');
  expect((await post('/api/entries', sent))[0]).toBe(200);
  const again = { house: id.toUpperCase(), entries: sent.entries.map((one) => ({ ...one, id: one.id.toUpperCase() })) };
  expect((await post('/api/entries', again))[0]).toBe(200);
  // A wild entry of former days keeps nobody from the house.
  await query(
    `INSERT INTO entries (firm, id, house_id, seq, room_id, kind, at, by, role, payload, recorded_at)
     SELECT firm, $1, $2, next_seq, 'bath', 'sanded', '0100-01-01', (SELECT id FROM people WHERE role = 'lead' LIMIT 1), 'lead', '{}', now()
     FROM houses WHERE id = $2`,
    site.database,
    [randomUUID(), id],
  );
  await query('UPDATE houses SET next_seq = next_seq + 1 WHERE id = $1', site.database, [id]);
  for (const view of ['', '/board', '/dry', '/my-day', '/hand-over'])
    expect((await page.request.get(house + view)).status(), view).toBe(200);
});

test('a builder reads of a room on hold only that it is, but for reasons that were written for them', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const id = house.split('/').at(-1);
  const hold = (room: string, payload: object) => ({
    id: randomUUID(),
    room,
    at: minutesBefore(1),
    kind: 'held',
    payload,
  });
  const entries = [
    hold('bath', { why: 'Bob is late with his pipes' }),
    hold('pantry', { why: 'Shelves come first', forBuilder: true }),
  ];
  expect((await page.request.post('/api/entries', { data: { house: id, entries } })).status()).toBe(200);
  const pages = ['', '/board', '/dry', '/sand', '/hand-over', '/record'];
  const all = async () => {
    let text = '';
    for (const path of pages) text += await (await page.request.get(house + path)).text();
    return text;
  };
  expect(await all()).toContain('Bob is late');
  await signIn(page, 'Builder');
  const told = await all();
  expect(told).not.toContain('Bob');
  expect(told).toContain('on hold');
  expect(told).toContain('Shelves come first');
});

test('a method that no request can have is refused', async ({ site }) => {
  const answer = await new Promise<number | undefined>((resolve, reject) => {
    request(`${site.url}/signin`, { method: 'TRACE' }, (response) => resolve(response.resume().statusCode))
      .on('error', reject)
      .end();
  });
  expect(answer).toBe(400);
});
