import type { Browser, Locator, Page } from '@playwright/test';
import { copyHouse } from './copyHouse';
import { expect, isLive, minutesBefore, test, untilTaken, visit } from './site';
import { strangers } from './strangers';
import { query } from './testDatabase';

test('a lead adds a finisher, who signs in and finds nothing to do yet', async ({ page, browser, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, '/houses');
  const crew = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Crew' }) });
  await crew.getByLabel('Name').fill('tobin');
  await crew.getByLabel('First password').fill('oak-demo');
  await crew.getByRole('button', { name: 'Add' }).click();
  await expect(crew.getByText('is taken')).toBeVisible();
  await crew.getByLabel('Name').fill('Signe');
  await crew.getByLabel('First password').fill('short');
  await crew.getByRole('button', { name: 'Add' }).click();
  await expect(crew.getByText('must have at least 8 characters')).toBeVisible();
  await crew.getByLabel('First password').fill('oak-demo');
  await crew.getByRole('button', { name: 'Add' }).click();
  await expect(crew.getByText('Signe', { exact: true })).toBeVisible();

  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await signIn(phone, 'Signe');
  await visit(phone, '/');
  await expect(phone).toHaveURL(/\/my-day$/);
  await expect(phone.getByText('Nothing is assigned to you for today, Signe.')).toBeVisible();
  await phone.getByRole('button', { name: /^Account of/ }).click();
  await phone.getByRole('button', { name: 'Sign out' }).click();
  await expect(phone).toHaveURL(/\/signin$/);
  await visit(phone, '/');
  await expect(phone).toHaveURL(/\/signin$/);
});

test('a finisher’s day shows what can go, what waits, and logs part of it on the board', async ({
  page,
  house,
  signIn,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Petra');
  await visit(page, `${house}/my-day`);
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('Bunk room');
  await expect(page.getByRole('list', { name: 'Then' })).toContainText('Bath, sand');
  await page.getByRole('link', { name: 'Log part or something else' }).click();
  await expect(page).toHaveURL(/\/board#bunk-room$/);
  const room = page.getByRole('region', { name: 'Bunk room' });
  await room.getByRole('button', { name: /^Fasteners: Go: fill coat/ }).click();
  await page.getByLabel('How many').fill('23');
  await page.getByRole('button', { name: 'Some' }).click();
  await expect(room.getByRole('button', { name: /^Fasteners:/ })).toHaveAccessibleName(/10 % done/);
});

test('what must not be covered stands before the coat, and is gone once it is mended', async ({
  page,
  house,
  signIn,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Tobin');
  await visit(page, `${house}/my-day`);
  const now = page.getByRole('region', { name: 'Now' });
  const first = now.getByText('First mend what must not be covered:');
  const bubble = now.getByRole('list', { name: 'Open items of Day room' });
  await expect(now.getByRole('heading', { level: 2 })).toContainText('Fill coat on fasteners, flats');
  await expect(bubble).toContainText('Bubble, loose tape, wall 1');
  const coats = await now.getByText(/ft of flats with the/).boundingBox();
  for (const before of [first, bubble]) expect((await before.boundingBox())?.y).toBeLessThan(coats?.y ?? 0);
  await bubble.getByRole('button', { name: /^Mended: Bubble/ }).click();
  await expect(first).toHaveCount(0);
  await expect(bubble).toHaveCount(0);
  await expect(now.getByRole('heading', { level: 2 })).toContainText('Fill coat on fasteners, flats');
});

test('done with setting mud asks when it was mixed; what is wrong is noted on the way', async ({
  page,
  browser,
  house,
  site,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await untilTaken(page, '/commands/saveMethod', () =>
    page.getByRole('radio', { name: /Setting in the tape coat only/ }).check(),
  );

  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await signIn(phone, 'Ines');
  await visit(phone, `${house}/my-day`);
  const job = phone.getByRole('region', { name: 'Now' });
  await expect(job.getByRole('heading', { level: 2 })).toContainText(
    'Set and first fill on corner bead, tape coat on flats',
  );
  await job.getByRole('button', { name: 'Report problem in Boot room' }).click();
  await phone.getByRole('dialog').getByLabel('Notes (optional)').fill('Corner torn behind the door');
  await phone.getByRole('dialog').getByRole('button', { name: 'Save problem' }).click();
  await expect(job.getByRole('list', { name: 'Open items of Boot room' })).toContainText('Corner torn behind the door');
  await job.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(job.getByRole('group', { name: 'Setting mud: when was it mixed?' })).toBeVisible();
  await job.getByRole('button', { name: '20 min ago' }).click();
  await expect(phone.getByText(/^Done: .*Boot room tape/)).toBeVisible();
  const mixed = await query<{ class: string; at: string | null }>(
    `SELECT payload->>'class' AS class, payload->>'mixedAt' AS at FROM entries
     WHERE house_id = $1 AND room_id = 'boot-room' AND kind = 'coat' AND payload->'mud'->>'kind' = 'setting' ORDER BY seq`,
    site.database,
    [house.split('/').at(-1)],
  );
  expect(mixed.length).toBeGreaterThan(0);
  for (const { at } of mixed) expect(at).toBe(minutesBefore(20));

  // The lead finds it at Sand and light, though the room is at its tape, and notes another in a third room.
  await visit(page, `${house}/sand`);
  await expect(page.getByRole('list', { name: 'Open items of Boot room' })).toContainText(
    'Corner torn behind the door',
  );
  await page.getByLabel('Room', { exact: true }).selectOption({ label: 'Landing' });
  await page.getByRole('button', { name: 'Report problem in Landing' }).click();
  await page.getByLabel('Notes (optional)').fill('Board split at the stair');
  await page.getByRole('button', { name: 'Save problem' }).click();
  await expect(page.getByRole('list', { name: 'Open items of Landing' })).toContainText('Board split at the stair');
});

test('day and night are remembered', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, house);
  await isLive(page);
  await page.getByRole('button', { name: 'Day or night' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'oak-night');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'oak-night');
});

/** A lead adds somebody under Houses; returns their line in the crew. */
async function addToCrew(page: Page, name: string, role: string): Promise<Locator> {
  await visit(page, '/houses');
  const crew = page.getByRole('region', { name: 'Crew' });
  await crew.getByLabel('Name').fill(name);
  await crew.getByLabel('Role').selectOption(role);
  await crew.getByLabel('First password').fill('oak-demo');
  await crew.getByRole('button', { name: 'Add' }).click();
  const line = crew.getByRole('listitem').filter({ hasText: name });
  await expect(line).toBeVisible();
  return line;
}

/** A browser of somebody's own, signed in by the form: other tests share none of its sign-ins. */
async function ownSignIn(browser: Browser, baseURL: string | undefined, name: string, password = 'oak-demo') {
  const page = await browser.newPage(baseURL ? { baseURL } : {});
  await visit(page, '/signin');
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/\/(h|houses)\b/);
  return page;
}

test('a sign-in that has ended is worth nothing, its cookie kept or not, and its pages say so', async ({
  page,
  browser,
  playwright,
  baseURL,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const runa = await addToCrew(page, 'Runa', 'finisher');

  // Signed out: the cookie that somebody kept opens nothing.
  const phone = await ownSignIn(browser, baseURL, 'Runa');
  const kept = await phone.context().cookies();
  await visit(phone, `${house}/board`);
  await isLive(phone);
  await phone.getByRole('button', { name: /^Account of/ }).click();
  await phone.getByRole('button', { name: 'Sign out' }).click();
  await expect(phone).toHaveURL(/\/signin$/);
  await phone.context().addCookies(kept);
  expect((await phone.request.get('/api/live/marks')).status()).toBe(401);

  // A new password from the lead ends the others at once, an open stream and what else opens something for her too.
  const again = await ownSignIn(browser, baseURL, 'Runa');
  const madeCalendar = async () => {
    const { value } = await (await again.request.post('/api/commands/makeCalendar', { data: {} })).json();
    return async () => (await page.request.get(`/api/calendar/${value.secret}`)).status();
  };
  const first = await madeCalendar();
  expect(await first()).toBe(200);
  await page.reload();
  await runa.getByText('Runa', { exact: true }).click();
  await runa.getByRole('button', { name: 'End address' }).click();
  await expect(runa.getByRole('button', { name: 'End address' })).toHaveCount(0);
  expect(await first()).toBe(404);
  const calendar = await madeCalendar();
  await visit(again, `${house}/board`);
  await isLive(again);
  await page.reload();
  await runa.getByText('Runa', { exact: true }).click();
  await expect(runa.getByRole('listitem')).toHaveText([/Computer, last used just now/, /Calendar address/]);
  await runa.getByLabel('New password for Runa').fill('runa has another');
  await runa.getByRole('button', { name: 'Set password' }).click();
  await expect(runa.getByText('Password changed. Signed out everywhere.')).toBeVisible();
  await expect(runa.getByText('Not signed in on any device.')).toBeVisible();
  await expect(runa.getByRole('button', { name: 'End address' })).toHaveCount(0);
  expect(await calendar()).toBe(404);
  await expect(again.getByRole('status').filter({ hasText: 'live' })).toHaveCount(0);
  expect((await again.request.get('/api/live/marks')).status()).toBe(401);

  // Changed by herself: this one goes on, another one ends.
  const here = await ownSignIn(browser, baseURL, 'Runa', 'runa has another');
  const there = await playwright.request.newContext(baseURL ? { baseURL } : {});
  await there.post('/api/commands/signIn', { data: { name: 'Runa', password: 'runa has another' } });
  expect((await there.get('/api/live/marks')).status()).toBe(200);
  await visit(here, '/houses');
  const account = here.getByRole('region', { name: 'My account' });
  await account.getByLabel('Password now').fill('oak-demo');
  await account.getByLabel('New password').fill('a third password');
  await account.getByRole('button', { name: 'Change password' }).click();
  await expect(account.getByText('is not your password')).toBeVisible();
  await account.getByLabel('Password now').fill('runa has another');
  await account.getByRole('button', { name: 'Change password' }).click();
  await expect(account.getByText('Changed. Other sign-ins have ended.')).toBeVisible();
  expect((await here.request.get('/api/live/marks')).status()).toBe(200);
  expect((await there.get('/api/live/marks')).status()).toBe(401);
  await there.dispose();

  // Taken off the crew, she is out, and may not come back.
  await page.reload();
  await runa.getByText('Runa', { exact: true }).click();
  await runa.getByRole('button', { name: 'Take Runa off …' }).click();
  await runa.getByRole('button', { name: 'Take Runa off the crew' }).click();
  await expect(runa).toHaveCount(0);
  expect((await here.request.get('/api/live/marks')).status()).toBe(401);
  const answer = await here.request.post('/api/commands/signIn', {
    data: { name: 'Runa', password: 'a third password' },
  });
  expect(answer.status()).toBe(400);
});

test('passwords cannot be guessed one after the other', async ({ page, playwright, baseURL, signIn }) => {
  await signIn(page, 'Marit');
  await page.request.post('/api/commands/invite', { data: { name: 'Vega', role: 'finisher', password: 'oak-demo' } });
  const outside = await playwright.request.newContext(baseURL ? { baseURL } : {});
  const tries = await Promise.all(
    Array.from({ length: 14 }, (_, index) =>
      outside.post('/api/commands/signIn', { data: { name: 'Vega', password: `guess ${index}` } }),
    ),
  );
  expect(new Set(tries.map((answer) => answer.status()))).toEqual(new Set([400, 429]));
  const late = await outside.post('/api/commands/signIn', { data: { name: 'VEGA', password: 'oak-demo' } });
  expect([late.status(), (await late.json()).message]).toEqual([
    429,
    expect.stringMatching(/^Too many wrong passwords\. Try again in 1[0-5] min\.$/),
  ]);
  // Somebody else signs in from there meanwhile.
  const other = await outside.post('/api/commands/signIn', { data: { name: 'Ines', password: 'oak-demo' } });
  expect(other.status()).toBe(200);
});

test('a viewer looks at the houses that the lead lets them into, and at no other', async ({
  page,
  browser,
  baseURL,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const halden = await addToCrew(page, 'Halden', 'viewer');
  await expect(halden).toContainText('viewer, no houses');

  const phone = await ownSignIn(browser, baseURL, 'Halden');
  await expect(phone.getByText('No house to look at yet. The lead lets you into one.')).toBeVisible();
  // Nor anybody of the crew.
  await expect(phone.getByRole('region', { name: 'Crew' })).toHaveCount(0);
  expect((await phone.request.get(house)).status()).toBe(404);

  await halden.getByText('Halden', { exact: true }).click();
  const name = `Copy for ${test.info().testId}`;
  await halden.getByRole('checkbox', { name }).click();
  await expect(halden).toContainText('viewer, 1 house');
  await visit(phone, '/');
  await expect(phone).toHaveURL(new RegExp(`${house}$`));
  await isLive(phone);
  await visit(phone, '/houses');
  await expect(phone.getByRole('link', { name, exact: true })).toBeVisible();
  await expect(phone.getByRole('main').getByRole('link')).toHaveCount(2);

  await halden.getByRole('checkbox', { name }).click();
  await expect(halden).toContainText('viewer, no houses');
  expect((await phone.request.get(house)).status()).toBe(404);
});

test('where several firms work with one server, each signs in at its own', async ({ page, site }) => {
  const { firm, leave } = await strangers(site.database);
  await visit(page, '/signin');
  await page.getByLabel('Name').fill('Nora');
  await page.getByLabel('Password').fill('oak-demo');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('needs the firm: several work here')).toBeVisible();
  await page.getByLabel('Firm').fill('Demo crew');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Wrong name or password')).toBeVisible();
  await page.getByLabel('Firm').fill(firm.toUpperCase());
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/\/h\//);
  await visit(page, '/houses');
  await expect(page.getByRole('main').getByRole('link')).toHaveText(['Of another firm', 'House file']);
  await leave();
  // With its firm the sign-in is gone.
  await visit(page, '/houses');
  await expect(page).toHaveURL(/\/signin$/);
  await expect(page.getByLabel('Firm')).toHaveCount(0);
});

/** Hands work of a room to Petra for a day, as a lead's page does. */
async function giveToPetra(
  page: Page,
  database: string,
  house: string,
  { room, work, day }: { readonly room: string; readonly work: string; readonly day: string },
): Promise<void> {
  const [petra] = await query<{ id: string }>("SELECT id FROM people WHERE name = 'Petra'", database);
  const payload = { work, people: [petra?.id], day };
  const entry = { id: crypto.randomUUID(), at: '2031-05-06T16:30:00Z', room, kind: 'assigned', payload };
  const data = { house: house.split('/').at(-1), entries: [entry] };
  expect((await page.request.post('/api/entries', { data })).ok()).toBe(true);
}

test('boxed butts are centered once they are stiff, from the phone, and that is taken back on the board', async ({
  page,
  browser,
  house,
  site,
  signIn,
}) => {
  await query(
    `UPDATE houses SET head = jsonb_set(head, '{method}', head->'method' || '{"tools": "boxes", "order": "boxes"}') WHERE '/h/' || id = $1`,
    site.database,
    [house],
  );
  await signIn(page, 'Marit');
  await giveToPetra(page, site.database, house, { room: 'hall', work: 'fill', day: '2031-05-06' });
  await visit(page, `${house}/board`);
  const hall = page.getByRole('region', { name: 'Hall', exact: true });
  const done = page.getByRole('button', { name: 'Log centered butts in Hall' });
  await expect(done).toBeVisible();
  const phone = await browser.newPage({ viewport: { width: 360, height: 740 } });
  await signIn(phone, 'Petra');
  await visit(phone, `${house}/my-day`);
  // What is left from Saturday comes first.
  const now = phone.getByRole('region', { name: 'Now' });
  await expect(now).toContainText('Left from Sat 3 May');
  await untilTaken(phone, '/api/entries', () => now.getByRole('button', { name: 'Done', exact: true }).click());
  // It was assigned last, and is done first.
  await phone.getByRole('link', { name: /^Do first: Hall/ }).click();
  const job = now.filter({ hasText: 'Center the butts' });
  await untilTaken(phone, '/api/entries', () => job.getByRole('button', { name: 'Done', exact: true }).click());
  await phone.reload();
  await expect(job).toHaveCount(0);
  await expect(phone.getByRole('main')).not.toContainText('center the butts');

  await page.reload();
  await expect(hall).toBeVisible();
  await expect(done).toHaveCount(0);
  await untilTaken(page, '/api/entries', () => page.getByRole('button', { name: 'Undo Hall: butts centered' }).click());
  await untilTaken(page, '/api/entries', () => done.click());
  await expect(page.getByRole('button', { name: 'Undo Hall: butts centered' })).toBeVisible();
});

test('what was not done yesterday is left for today, in whichever house, and signing in leads to it', async ({
  page,
  browser,
  house,
  site,
  signIn,
}) => {
  await copyHouse(site.database, 'Tern Cottage');
  await signIn(page, 'Marit');
  await giveToPetra(page, site.database, house, { room: 'boot-room', work: 'sand', day: '2031-05-05' });

  const phone = await browser.newPage({ viewport: { width: 360, height: 740 } });
  await signIn(phone, 'Petra');
  await visit(phone, `${house}/board`);
  await expect.poll(() => phone.evaluate(() => document.cookie)).toContain('oak-last');
  await phone.goto('/');
  await expect(phone).toHaveURL(`${house}/my-day`);
  const first = phone.getByRole('region', { name: 'Now' });
  await expect(first).toContainText('Left from Sat 3 May');
  await expect(phone.getByRole('list', { name: 'Then' })).toContainText('left from Mon 5 May');
  // Another one may be done first.
  await phone.getByRole('link', { name: 'Do first: Bath, sand' }).click();
  await expect(first).toContainText('Now, BathSand the room');
  await expect(phone.getByRole('list', { name: 'Then' })).toContainText('left from Sat 3 May');
  await phone.getByRole('link', { name: 'Open Tern Cottage' }).click();
  await expect(phone.getByRole('main')).toContainText('My dayTern Cottage');
  await phone.close();

  // House and the run sheet say the same.
  await visit(page, house);
  await expect(page.getByText('Boot room: sand, left from Mon 5 May')).toBeVisible();
  // A lead is where they were.
  await visit(page, `${house}/dry`);
  await expect.poll(() => page.evaluate(() => document.cookie)).toContain('dry');
  await page.goto('/');
  await expect(page).toHaveURL(`${house}/dry`);
});
