import { randomUUID } from 'node:crypto';
import { ownServer } from './ownServer';
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
    await query('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = $1', 'postgres', [database]);
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
    await page.goto(`${house}/load`);
    await expect(page.getByRole('heading', { name: 'The database does not answer' })).toBeVisible();

    await query(`ALTER DATABASE ${database} ALLOW_CONNECTIONS true`);
    await expect.poll(async () => (await page.request.get(`${server.url}/api/health`)).status()).toBe(200);
    expect((await send()).status()).toBe(200);
    await page.getByRole('link', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { name: 'To order' })).toBeVisible();
    expect(server.log().filter(({ status }) => status === 500)).toEqual([]);
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
