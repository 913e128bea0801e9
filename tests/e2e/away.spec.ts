import type { BrowserContext, Page } from '@playwright/test';
import type { Entry } from '../../src/core/log/entry';
import { HouseLog } from '../../src/core/log/houseLog';
import { couldDoWithout } from './couldDoWithout';
import { DEMO_INSTANT } from './instants';
import { ownServer } from './ownServer';
import { picture } from './picture';
import { startServer } from './server';
import { expect, minutesBefore, test as siteTest } from './site';
import { smallText } from './smallText';
import { query } from './testDatabase';

/** A server that a test may take away and bring back, with a house of its own. */
interface Away {
  readonly url: string;
  /** The address of the house's pages. */
  readonly house: string;
  readonly database: string;
  readonly houseId: string;
  readonly stop: () => Promise<void>;
  readonly start: () => Promise<void>;
}

const test = siteTest.extend<{ away: Away }>({
  away: async ({ site }, use, { testId }) => {
    const { database, houseId, url, stop } = await ownServer(`away_${testId.replaceAll('-', '_')}`, site.clock);
    let running: (() => Promise<void>) | undefined = stop;
    const away: Away = {
      url,
      house: `${url}/h/${houseId}`,
      database,
      houseId,
      stop: async () => {
        await running?.();
        running = undefined;
      },
      start: async () => {
        running = (await startServer(database, site.clock, Number(new URL(url).port))).stop;
      },
    };
    await use(away);
    await running?.();
    await query(`DROP DATABASE ${database} WITH (FORCE)`);
  },
});
test.use({ serviceWorkers: 'allow' });

const AHEAD_MS = 70 * 60_000;
const PHONE = { viewport: { width: 390, height: 844 } };

/** Signs in on a phone, opens a page of the house, and waits until the phone could do without the server. */
async function openAndKeep(
  phone: BrowserContext,
  name: string,
  { url, house }: Pick<Away, 'url' | 'house'>,
): Promise<Page> {
  const page = await phone.newPage();
  await page.request.post(`${url}/api/commands/signIn`, { data: { name, password: 'oak-demo' } });
  const seen = page.waitForResponse((response) => response.url().endsWith('/seen') && response.ok());
  await page.goto(`${house}/my-day`);
  await (await seen).finished();
  await expect.poll(() => page.evaluate(couldDoWithout)).toBe(true);
  return page;
}
const noConnection = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: 'No connection' })).toBeVisible();
const unsent = (page: Page) => page.getByRole('button', { name: / unsent/ });
/** Tells a page that the connection is back; one that found out by itself is shown anew just then. */
const isBack = (page: Page) =>
  page
    .evaluate(() => window.dispatchEvent(new Event('online')))
    .catch((error: Error) => {
      if (!/navigation|destroyed/.test(error.message)) throw error;
    });
/** The page is the server's. */
const isServed = (page: Page) => expect(page.getByRole('button', { name: /^Account of/ })).toBeVisible();
const titleOf = (page: Page) => jobNow(page).getByRole('heading', { level: 2 });
const jobNow = (page: Page) => page.getByRole('region', { name: 'Now' });

test('a list is gone on with without a server, over a closed browser, and recorded once', async ({ browser, away }) => {
  const entriesNow = () => query<{ id: string }>('SELECT id FROM entries ORDER BY seq', away.database);
  const before = await entriesNow();
  const phones: BrowserContext[] = [];
  const pages: Page[] = [];
  for (const name of ['Petra', 'Tobin']) {
    const phone = await browser.newContext(PHONE);
    // One of the two phones has a clock that is 70 min ahead.
    if (name === 'Tobin') await phone.clock.setFixedTime(DEMO_INSTANT + AHEAD_MS);
    phones.push(phone);
    pages.push(await openAndKeep(phone, name, away));
  }
  await away.stop();
  for (const [index, phone] of phones.entries()) {
    const page = pages[index] as Page;
    const title = await jobNow(page).getByRole('heading').textContent();
    const room = await jobNow(page)
      .getByText(/^Now, /)
      .textContent();
    await jobNow(page).getByRole('button', { name: 'Done', exact: true }).click();
    // The device goes on by itself: what was said counts, and something else is to be done.
    await noConnection(page);
    await expect(unsent(page)).toContainText('1 unsent');
    await expect(page.getByText(`${room}${title}`)).toHaveCount(0);
    await page.close();

    const again = await phone.newPage();
    await again.goto(`${away.house}/my-day`);
    await noConnection(again);
    await expect(unsent(again)).toContainText('1 unsent');
    await again.getByRole('link', { name: 'Board', exact: true }).click();
    await expect(again.getByRole('heading', { name: 'Coat board' })).toBeAttached();
    await noConnection(again);
    // A page that needs the server says so, and what does not.
    await again.goto(`${away.house}/coats`);
    await expect(again.getByText('This page needs the server')).toBeVisible();
    await again.getByRole('link', { name: 'My day' }).first().click();
    await expect(again.getByRole('heading', { name: 'My day' })).toBeVisible();
    pages[index] = again;
  }

  await away.start();
  for (const page of pages) {
    await isBack(page);
    // What waits is sent, and the page is the server's again.
    await isServed(page);
    await expect(unsent(page)).toHaveCount(0);
  }
  const after = await entriesNow();
  expect(after.length).toBeGreaterThan(before.length + 1);

  // What was said counts at the server's time; what the phone's clock said is kept beside it.
  const clocks = await query<{ name: string; at: Date; own: Date | null }>(
    `SELECT DISTINCT name, at, device_at AS own FROM entries JOIN people ON by = people.id
     WHERE entries.id = ANY($1) AND name = 'Tobin'`,
    away.database,
    [after.slice(before.length).map(({ id }) => id)],
  );
  expect(clocks.map(({ at, own }) => [at.getTime(), own?.getTime()])).toEqual([
    [DEMO_INSTANT, DEMO_INSTANT + AHEAD_MS],
  ]);

  // Both devices know of the house what the server does, to the byte.
  const states: string[] = [];
  for (const phone of phones) {
    const answer = await phone.request.get(`${away.house}/seen`);
    const { entries }: { entries: readonly Entry[] } = await answer.json();
    const log = new HouseLog();
    log.add(entries);
    states.push(JSON.stringify([...log.states()]));
    expect(entries.map(({ id }) => id)).toEqual(expect.arrayContaining(after.slice(before.length).map(({ id }) => id)));
  }
  expect(states[0]).toBe(states[1]);
});

test('what the server refuses is said where it was said, and the others go on', async ({ browser, house, site }) => {
  const phone = await browser.newContext(PHONE);
  const page = await openAndKeep(phone, 'Petra', { url: site.url, house: site.url + house });
  const houseId = house.split('/').at(-1);
  await phone.setOffline(true);
  const room = (
    await jobNow(page)
      .getByText(/^Now, /)
      .textContent()
  )?.replace('Now, ', '');
  await jobNow(page).getByRole('button', { name: 'Done', exact: true }).click();
  await noConnection(page);
  // Another job may be done first, also without a connection.
  await page.getByRole('link', { name: 'Do first: Bunk room, fill' }).click();
  await expect(jobNow(page)).toContainText('Bunk room');
  await page.getByRole('link', { name: 'Do first: Bath, sand' }).click();
  await page.getByRole('button', { name: 'Report problem in Bath' }).click();
  const wrong = page.getByRole('dialog');
  // The room is drawn by the device itself.
  await wrong.getByRole('combobox', { name: 'Where' }).selectOption('wall 1');
  await wrong.getByLabel('Notes (optional)').fill('Switch box stands proud');
  await wrong
    .getByLabel('Photo')
    .setInputFiles({ name: 'box.png', mimeType: 'image/png', buffer: await picture(40, 30) });
  await expect(wrong.getByRole('img', { name: 'photo 1' })).toBeVisible();
  await wrong.getByRole('button', { name: 'Save problem' }).click();
  await expect(unsent(page)).toContainText('2 unsent');
  // Somebody takes the first one's room away meanwhile, for good.
  await query("DELETE FROM rooms WHERE house_id = $1 AND room->>'name' = $2", site.database, [houseId, room]);
  await phone.setOffline(false);
  await isBack(page);
  await page.getByRole('button', { name: /refused/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Not sent yet' });
  await expect(dialog.getByRole('alert')).toContainText('Refused: The house has no room');
  await dialog.getByRole('button', { name: 'Discard' }).click();
  await expect(dialog.getByRole('alert')).toHaveCount(0);
  const [item] = await query<{ count: string }>(
    "SELECT count(*) FROM entries WHERE house_id = $1 AND payload->>'text' = 'Switch box stands proud'",
    site.database,
    [houseId],
  );
  expect(item?.count).toBe('1');
  // Its photo went before it.
  const photos = await query<{ width: number }>(
    `SELECT width FROM photos JOIN entries ON payload->'photos' ? photos.id::text
     WHERE entries.house_id = $1 AND payload->>'text' = 'Switch box stands proud'`,
    site.database,
    [houseId],
  );
  expect(photos).toEqual([{ width: 40 }]);
});

test('signing out with something unsent warns, and takes what was kept of houses away', async ({
  browser,
  house,
  site,
}) => {
  const phone = await browser.newContext(PHONE);
  const page = await openAndKeep(phone, 'Petra', { url: site.url, house: site.url + house });
  await page.route('**/api/entries', (route) => route.abort());
  // The device goes on by itself: the page is shown anew.
  const shownAnew = page.waitForEvent('load');
  await jobNow(page).getByRole('button', { name: 'Done', exact: true }).click();
  await shownAnew;
  await expect(unsent(page)).toContainText('1 unsent');
  await page.getByRole('button', { name: 'Account of Petra' }).click();
  const dialog = page.getByRole('dialog', { name: 'Petra' });
  await expect(dialog.getByRole('alert')).toContainText('1 unsent');
  await dialog.getByRole('button', { name: 'Sign out anyway' }).click();
  await page.waitForURL(/signin/);
  await phone.setOffline(true);
  await page.goto(`${house}/my-day`);
  await expect(page.getByText('This device keeps no house yet')).toBeVisible();
  // What was said is still there, and is sent once its writer is back.
  await phone.setOffline(false);
  await page.unroute('**/api/entries');
  const count = async () =>
    (
      await query<{ count: string }>('SELECT count(*) FROM entries WHERE house_id = $1', site.database, [
        house.split('/').at(-1),
      ])
    )[0]?.count;
  const before = await count();
  await page.request.post('/api/commands/signIn', { data: { name: 'Petra', password: 'oak-demo' } });
  await page.goto(`${house}/my-day`);
  await isServed(page);
  await expect.poll(count).not.toBe(before);
  await expect(unsent(page)).toHaveCount(0);
});

test('a device that is full sends at once, and what the application kept before it was renewed is sent too', async ({
  page,
  house,
  signIn,
  site,
}) => {
  await signIn(page, 'Petra');
  const [me] = await query<{ id: string }>("SELECT id FROM people WHERE name = 'Petra'", site.database);
  const id = crypto.randomUUID();
  const said = { id, room: 'hall', at: minutesBefore(9), kind: 'coat' };
  const old = {
    id: 'group',
    house: house.split('/').at(-1),
    who: me?.id,
    version: 1,
    entries: [{ ...said, payload: { class: 'flat', key: 'extra', share: { of: 'half' }, mud: { kind: 'drying' } } }],
  };
  // As a version of long ago kept it, in a page that opens nothing of what is kept.
  await page.goto('/api/health');
  await page.evaluate(keepAsBefore, old);
  await page.addInitScript(() => {
    IDBObjectStore.prototype.add = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.goto(`${house}/my-day`);
  const kept = () => query<{ payload: object }>('SELECT payload FROM entries WHERE id = $1', site.database, [id]);
  await expect.poll(async () => (await kept())[0]?.payload).toMatchObject({ key: 'extra', part: 0.5 });
  await expect(unsent(page)).toHaveCount(0);
  const title = await titleOf(page).textContent();
  await jobNow(page).getByRole('button', { name: 'Done', exact: true }).click();
  await expect(titleOf(page)).not.toHaveText(title ?? '');
});

/** Keeps a group as the first version of the application did. */
async function keepAsBefore(group: object): Promise<void> {
  const open = await new Promise<IDBDatabase>((resolve, reject) => {
    const request = indexedDB.open('oak-tally', 1);
    request.onupgradeneeded = () => {
      request.result.createObjectStore('unsent', { autoIncrement: true }).createIndex('id', 'id', { unique: true });
      request.result.createObjectStore('seen');
    };
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error);
  });
  await new Promise((resolve) => {
    open.transaction('unsent', 'readwrite').objectStore('unsent').add(group).onsuccess = resolve;
  });
  open.close();
}

test('a browser that keeps nothing sends at once, and says what did not go', async ({ page, house, signIn, site }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', {
      get: () => {
        throw new DOMException('nothing is kept here', 'SecurityError');
      },
    });
  });
  await signIn(page, 'Petra');
  await page.goto(`${house}/my-day`);
  const count = async () =>
    Number((await query<{ count: string }>('SELECT count(*) FROM entries', site.database))[0]?.count);
  const before = await count();
  const sent: (readonly string[])[] = [];
  await page.route('**/api/entries', async (route) => {
    const { entries } = route.request().postDataJSON();
    sent.push(entries.map(({ id }: { id: string }) => id));
    if (sent.length === 1) await route.abort();
    else await route.continue();
  });
  const title = await titleOf(page).textContent();
  await jobNow(page).getByRole('button', { name: 'Done', exact: true }).click();
  await expect(jobNow(page).getByRole('alert')).toContainText('Press again to send the same entry');
  await jobNow(page).getByRole('button', { name: 'Done', exact: true }).click();
  await expect(titleOf(page)).not.toHaveText(title ?? '');
  expect(sent[1]).toEqual(sent[0]);
  expect(await count()).toBe(before + (sent[0]?.length ?? 0));
});

test('workers run in a browser whose device answers by itself: the plan is made', async ({ browser, house, site }) => {
  const desk = await browser.newContext();
  const page = await openAndKeep(desk, 'Marit', { url: site.url, house: site.url + house });
  const wrong: string[] = [];
  page.on('console', (message) => message.type() === 'error' && wrong.push(message.text()));
  await page.goto(`${house}/run`);
  await expect(page.getByRole('region', { name: 'The plan' })).toContainText(/Finish /);
  await page.goto(`${house}/tally`);
  await expect(page.getByRole('main')).toBeVisible();
  expect(wrong).toEqual([]);
  await desk.close();
});

test('what a phone shows by itself fits it, however narrow it is', async ({ browser, away }) => {
  const phone = await browser.newContext(PHONE);
  const page = await openAndKeep(phone, 'Petra', away);
  await away.stop();
  for (const path of ['my-day', 'board', 'walk', 'guide']) {
    await page.goto(`${away.house}/${path}`);
    await noConnection(page);
    expect(await smallText(page), path).toEqual([]);
    for (const width of [360, 390, 412, 430]) {
      await page.setViewportSize({ width, height: 740 });
      expect(await page.evaluate(() => document.documentElement.scrollWidth), `${path} at ${width}`).toBe(width);
      if (path !== 'my-day') continue;
      const done = await jobNow(page).getByRole('button', { name: 'Done', exact: true }).boundingBox();
      expect((done?.x ?? width) + (done?.width ?? 0)).toBeLessThanOrEqual(width);
    }
  }
});

test('a phone whose sign-in is ended forgets the houses that it kept, and the page that is open goes too', async ({
  browser,
  away,
}) => {
  const phone = await browser.newContext(PHONE);
  const page = await openAndKeep(phone, 'Petra', away);
  await query('DELETE FROM sessions', away.database);
  await page.waitForURL(/signin/);
  await phone.setOffline(true);
  await page.goto(`${away.house}/my-day`);
  await expect(page.getByText('This device keeps no house yet')).toBeVisible();
  await phone.close();
});
