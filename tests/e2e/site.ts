import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { type BrowserContext, test as base, expect, type Page } from '@playwright/test';
import { DEMO_PEOPLE } from '../../src/db/demo/demoPeople';
import { type DemoIds, loadDemoHouse } from '../../src/db/demo/loadDemo';
import { inFirm } from '../../src/db/firm';
import { setClock } from './clock';
import { copyHouse } from './copyHouse';
import { BASE_FOLDER, DEMO_INSTANT, TIME_ZONE } from './instants';
import { type Server, startServer } from './server';
import { query, urlOf } from './testDatabase';

export { expect };

const HOUR = 3_600_000;
/** The cookies of somebody who has signed in. */
type Session = Parameters<BrowserContext['addCookies']>[0];

/** A server of a worker's own, on a database of its own, by a clock that only its tests move. */
interface Site extends Server {
  readonly database: string;
  readonly clock: string;
  /** The house of which tests' own are copies; its rooms are removed, so that there is no work in it. */
  readonly demo: string;
  /** Sessions by person: each signs in once, the other tests take the session over. */
  readonly sessions: Map<string, Session>;
}

async function makeSite(worker: number): Promise<Site> {
  const database = `demo_${worker}`;
  mkdirSync(BASE_FOLDER, { recursive: true });
  const clock = join(BASE_FOLDER, `clock-${database}`);
  setClock(clock, DEMO_INSTANT);
  await query(`DROP DATABASE IF EXISTS ${database} WITH (FORCE)`);
  await query(`CREATE DATABASE ${database} TEMPLATE template_demo`);
  // Tests work on copies: a crew that has work in the demo too would be planned for both.
  await query('UPDATE rooms SET removed_at = now()', database);
  // What a test puts into the database by the application's own functions goes there too.
  process.env.DATABASE_URL = urlOf(database);
  process.env.OAK_TEST_CLOCK = clock;
  const [demo] = await query<{ id: string }>('SELECT id FROM houses', database);
  return { ...(await startServer(database, clock)), database, clock, demo: demo?.id ?? '', sessions: new Map() };
}

interface TestFixtures {
  /** The houses of other tests are gone. */
  readonly cleared: undefined;
  /** The path of a house that is this test's own: a copy of the demo's. */
  readonly house: string;
  /** Signs a page in as one of the demo's people. */
  readonly signIn: (page: Page, name: string) => Promise<void>;
  /** Loads the demo's house as it stands at an instant, and moves the clock there. */
  readonly loadHouse: (at: number) => Promise<{ readonly house: string; readonly keyEnd: string }>;
  /** Moves the clock to so many hours after the demo's instant. */
  readonly moveClock: (hours: number) => void;
}

interface WorkerFixtures {
  readonly site: Site;
}

export const test = base.extend<TestFixtures, WorkerFixtures>({
  site: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads in it which fixtures are asked for.
    async ({}, use, { workerIndex }) => {
      const site = await makeSite(workerIndex);
      await use(site);
      await site.stop();
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ site }, use) => use(site.url),
  cleared: [
    async ({ site }, use) => {
      // A crew is planned for all of its houses: what another test left is in nobody's way.
      await query('DELETE FROM houses WHERE id <> $1', site.database, [site.demo]);
      await use(undefined);
    },
    { auto: true },
  ],
  moveClock: [
    async ({ site }, use) => {
      const move = (hours: number) => setClock(site.clock, DEMO_INSTANT + hours * HOUR);
      move(0);
      await use(move);
    },
    { auto: true },
  ],
  loadHouse: async ({ site }, use) => {
    await use(async (at) => {
      // Months away no sign-in holds.
      site.sessions.clear();
      setClock(site.clock, at);
      const people = await query<{ firm: string; id: string; name: string }>(
        'SELECT firm, id, name FROM people WHERE removed_at IS NULL ORDER BY name',
        site.database,
      );
      const ids = Object.fromEntries(
        DEMO_PEOPLE.map(({ name }) => [name, people.find((person) => person.name === name)?.id]),
      ) as DemoIds;
      const keyEnd = `-${at}`;
      const id = await inFirm(people.find(({ name }) => name === 'Marit')?.firm ?? '', () =>
        loadDemoHouse(ids, new Date(at), TIME_ZONE, keyEnd),
      );
      await query(
        "UPDATE houses SET weather_url = NULL, head = head || jsonb_build_object('name', $2::text) WHERE id = $1",
        site.database,
        [id, `Loaded ${at}`],
      );
      return { house: `/h/${id}`, keyEnd };
    });
    site.sessions.clear();
  },
  signIn: async ({ site }, use) => use((page, name) => signIn(page, site, name)),
  // biome-ignore lint/correctness/noUnusedFunctionParameters: it comes after the houses of others are gone
  house: async ({ site, cleared }, use, { testId }) => {
    await use(`/h/${await copyHouse(site.database, `Copy for ${testId}`)}`);
  },
});

/** The instant that the tests' clock shows at first, less so many minutes, as entries and readings write it. */
export const minutesBefore = (minutes: number): string => new Date(DEMO_INSTANT - minutes * 60_000).toISOString();

/** The key of a sensor of the demo, as the copy of its house has it. */
export const keyOf = (house: string, room: string): string => `oak-demo-${room}-${house.split('/').at(-1)}`;

async function signIn(page: Page, { sessions, url }: Site, name: string): Promise<void> {
  // What somebody else had open is not theirs.
  if (page.url() !== 'about:blank') await page.goto('about:blank');
  const session = sessions.get(name) ?? (await startSession(url, name));
  sessions.set(name, session);
  await page.context().addCookies(session);
}

/** Signs in as a program does and returns the session's cookies: a browser that has just started is asked for nothing. */
async function startSession(url: string, name: string): Promise<Session> {
  const answer = await fetch(`${url}/api/commands/signIn`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url },
    body: JSON.stringify({ name, password: 'oak-demo' }),
  });
  expect(await answer.json()).toEqual({ ok: true, value: null });
  return answer.headers.getSetCookie().map((line) => {
    const [, cookie = '', value = ''] = /^([^=]+)=([^;]*)/.exec(line) ?? [];
    return { name: cookie, value, url };
  });
}

/**
 * Goes to a page of the application: by its link where the open page has one, as people do, and by its address otherwise.
 *
 * A page that is open already is loaded anew, and so is what tells another hour once a test has moved the clock: use `goto`.
 */
export async function visit(page: Page, path: string): Promise<void> {
  const { pathname, search } = new URL(page.url());
  const linked =
    pathname + search !== path &&
    (await page.evaluate((href) => {
      const link = document.querySelector(`a[href="${CSS.escape(href)}"]`);
      link?.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));
      return link !== null;
    }, path));
  if (linked) await page.waitForURL((url) => url.pathname + url.search === path);
  else await page.goto(path);
}

/** A house without rooms, in feet and inches; opens its Tally and returns its path. */
export async function startHouse(page: Page, name: string): Promise<string> {
  await visit(page, '/houses');
  await page.getByLabel('Name of the house').fill(name);
  await page.getByRole('button', { name: 'Start house' }).click();
  await page.waitForURL(/\/tally\?new/);
  const [house] = /\/h\/[^/]+/.exec(page.url()) ?? [];
  if (!house) throw new Error('a new house opens its tally');
  return house;
}

/** Does something on a page, and waits until the server has said yes to what that sends. */
export async function untilTaken(page: Page, path: string, act: () => Promise<unknown>): Promise<void> {
  const answer = page.waitForResponse((response) => response.url().endsWith(path));
  await act();
  expect((await answer).status()).toBe(200);
}

/** The page's script has taken over, and hears what happens. */
export const isLive = (page: Page): Promise<void> =>
  expect(page.getByRole('status').filter({ hasText: 'live' })).toBeAttached();

/** Collects what the browser complains about. */
export function watchErrors(page: Page): readonly string[] {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error') errors.push(message.text());
  });
  return errors;
}

/** Types a room on the quick line of an open Tally, saves it and opens it. */
export async function keepRoom(page: Page, line: string): Promise<void> {
  await page.getByLabel('Quick line').fill(line);
  await page.getByLabel('Quick line').press('Enter');
  await page.getByRole('link', { name: /^Open / }).click();
  await expect(page).toHaveURL(/room=/);
}

/** A lead hands one kind of work in every room that has it to somebody, for today. */
export async function handOut(page: Page, house: string, work: string, name: string): Promise<void> {
  await visit(page, `${house}/run`);
  await page.getByRole('button', { name: 'Assign several' }).click();
  const dialog = page.getByRole('dialog', { name: 'Assign several' });
  await dialog.getByLabel('Work', { exact: true }).selectOption({ label: work });
  await dialog.getByLabel('Who').selectOption({ label: name });
  await untilTaken(page, '/api/entries', () =>
    dialog.getByRole('button', { name: 'Assign jobs', exact: true }).click(),
  );
  await expect(dialog).toBeHidden();
}
