import { randomUUID } from 'node:crypto';
import { Agent, get, type IncomingMessage } from 'node:http';
import type { Page } from '@playwright/test';
import { KEPT_S } from '../../scripts/setup/build.mjs';
import { balancer } from './balancer';
import { ownServer } from './ownServer';
import { startServer } from './server';
import { expect, isLive, minutesBefore, test } from './site';
import { query } from './testDatabase';

test('a database that is gone is said on every page and request, within ten seconds, and forgotten when it is back', async ({
  page,
  site,
}) => {
  const { database, houseId, ...server } = await ownServer('operation', site.clock);
  const house = `${server.url}/h/${houseId}`;
  try {
    const signIn = { name: 'Marit', password: 'oak-demo' };
    expect((await page.request.post(`${server.url}/api/commands/signIn`, { data: signIn })).status()).toBe(200);
    await page.goto(`${house}/board`);
    await isLive(page);

    await query(`ALTER DATABASE ${database} ALLOW_CONNECTIONS false`);
    await query('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = $1 ORDER BY pid', 'postgres', [
      database,
    ]);
    const entry = { id: randomUUID(), room: 'bath', at: minutesBefore(5), kind: 'held', payload: { why: 'closed' } };
    const send = () => page.request.post(`${server.url}/api/entries`, { data: { house: houseId, entries: [entry] } });
    for (const ask of [
      () => page.request.get(`${house}/load`),
      () => page.request.get(`${house}/load`, { headers: { RSC: '1' } }),
      () => page.request.get(`${server.url}/signin`),
      () => page.request.get(`${server.url}/houses`),
      () => page.request.get(`${house}/file`),
      () => page.request.get(`${server.url}/api/live/marks`),
      () => page.request.get(`${server.url}/api/health`),
      () => page.request.post(`${server.url}/api/commands/signIn`, { data: signIn }),
      send,
    ]) {
      const answer = await ask();
      expect([answer.url(), answer.status()]).toEqual([answer.url(), 503]);
      expect(await answer.text()).toMatch(/database.*does not answer/i);
    }
    // Also where the page that is open would have taken over only the parts that change.
    await page.getByRole('link', { name: 'Load' }).click();
    await expect(page.getByRole('heading', { name: 'The database does not answer' })).toBeVisible();
    await expect(page).toHaveURL(`${house}/load`);

    await query(`ALTER DATABASE ${database} ALLOW_CONNECTIONS true`);
    await expect.poll(async () => (await page.request.get(`${server.url}/api/health`)).status()).toBe(200);
    expect((await send()).status()).toBe(200);
    await page.getByRole('link', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { name: 'To order' })).toBeVisible();
    const failed = server.log().filter(({ status }) => Number(status) >= 500);
    expect(new Set(failed.map(({ status }) => status))).toEqual(new Set([503]));
    expect(failed).toContainEqual(expect.objectContaining({ page: `/h/${houseId}/load` }));
  } finally {
    await server.end();
  }
});

test('the log says which request, who, what and how long, and nothing of what was sent', async ({
  page,
  house,
  signIn,
  site,
}) => {
  await signIn(page, 'Petra');
  const request = randomUUID();
  const [petra] = await query<{ id: string; firm: string }>(
    "SELECT id, firm FROM people WHERE name = 'Petra'",
    site.database,
  );
  const who = { person: petra?.id, firm: petra?.firm, role: 'finisher' };
  const headers = { 'x-request-id': request };
  const linesOf = () => server().filter((line) => line.request === request);
  const server = site.log;

  const answer = await page.request.get(`${house}/board`, { headers });
  expect(answer.headers()['x-request-id']).toBe(request);
  const item = {
    id: randomUUID(),
    room: 'bath',
    at: minutesBefore(5),
    kind: 'item',
    payload: { text: 'Ridge that nobody else reads of' },
  };
  await page.request.post('/api/entries', {
    headers,
    data: { house: house.slice('/h/'.length), entries: [item] },
  });
  await page.request.post('/api/commands/signIn', { headers, data: { name: 'Petra', password: 'wrong secret' } });
  await page.request.post('/api/commands/invite', { headers, data: {} });
  expect(linesOf()).toMatchObject([
    { page: `${house}/board`, loaded: true, ms: expect.any(Number), ...who },
    { method: 'POST', route: 'entries', status: 200, ms: expect.any(Number), ...who },
    { method: 'POST', route: 'command signIn', status: 400 },
    { method: 'POST', route: 'command invite', status: 403, ...who },
  ]);
  // A name for a request that is none is not taken over.
  await page.request.get('/api/live/marks', { headers: { 'x-request-id': 'x"} {' } });
  expect(server().at(-1)).toMatchObject({ route: 'live marks', request: expect.stringMatching(/^[\w-]{36}$/) });
  expect(JSON.stringify(server())).not.toMatch(/Ridge|wrong secret|Petra|oak-demo|SELECT|INSERT/);
});

test('two servers behind a load balancer are one: sign-ins, wrong passwords, entries and streams', async ({
  browser,
  site,
}) => {
  const first = await ownServer('balanced', site.clock);
  const second = await startServer(first.database, site.clock);
  const { url, close } = await balancer([first.url, second.url]);
  const house = `${url}/h/${first.houseId}`;
  const [page, phone] = [await browser.newPage({ baseURL: url }), await browser.newPage({ baseURL: url })];
  try {
    const signIn = (who: Page, name: string, password = 'oak-demo') =>
      who.request.post('/api/commands/signIn', { data: { name, password } });
    // A balancer keeps connections for a minute: a server that ends them sooner takes requests along.
    const { headers } = await fetch(`${first.url}/api/health`);
    expect(headers.get('keep-alive')).toBe(`timeout=${KEPT_S}`);
    // The one signs in on the first server, whatever comes next is the second one's, and so on.
    expect((await signIn(page, 'Marit')).status()).toBe(200);
    expect((await signIn(phone, 'Petra')).status()).toBe(200);
    for (let turn = 0; turn < 4; turn += 1) expect((await page.request.get('/api/live/marks')).status()).toBe(200);
    await page.goto(`${house}/board`);
    await isLive(page);

    // An entry that the one takes shows on a page that listens at the other; sent again to either it is recorded once.
    for (const [index, own] of [first, second].entries()) {
      const why = `Floor is laid, ${index}`;
      const entry = { id: randomUUID(), room: 'pantry', at: minutesBefore(5), kind: 'held', payload: { why } };
      const { cookies } = await page.context().storageState();
      const send = (at: string) =>
        phone.request.post(`${at}/api/entries`, {
          headers: { cookie: cookies.map(({ name, value }) => `${name}=${value}`).join('; ') },
          data: { house: first.houseId, entries: [entry] },
        });
      const seqs = [await (await send(own.url)).json(), await (await send(url)).json(), await (await send(url)).json()];
      expect(new Set(seqs.map((answer) => JSON.stringify(answer))).size).toBe(1);
      await expect(page.getByRole('main')).toContainText(why);
    }

    // Wrong passwords count together.
    const tries = await Promise.all(Array.from({ length: 14 }, () => signIn(phone, 'Tobin', 'a wrong one')));
    expect(tries.filter((answer) => answer.status() === 400).length).toBeLessThanOrEqual(10);
    expect((await signIn(phone, 'Tobin')).status()).toBe(429);

    // Signed out at the one, out at the other, the open page too.
    await page.request.post('/api/commands/signOut', { data: {} });
    await expect(page.getByRole('status').filter({ hasText: 'live' })).toHaveCount(0);
  } finally {
    await Promise.all([page.close(), phone.close()]);
    close();
    await second.stop();
    await first.end();
  }
});

test('a server that is told to stop does, however much is still asked over a connection that is kept', async ({
  site,
}) => {
  const server = await ownServer('stopping', site.clock);
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  const ask = () =>
    new Promise<IncomingMessage>((resolve, reject) => {
      get(`${server.url}/api/health`, { agent }, (answer) => answer.resume().once('end', () => resolve(answer))).on(
        'error',
        reject,
      );
    });
  const first = await ask();
  expect(first.headers.connection).toBe('keep-alive');
  const asking = (async () => {
    for (;;) await ask();
  })().catch(() => 'refused');
  // It comes back once the process has ended.
  await server.end();
  expect(await asking).toBe('refused');
});
