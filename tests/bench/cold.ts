import { randomUUID } from 'node:crypto';
import { chromium, type Page } from '@playwright/test';
import { startTemporaryCluster } from '../../scripts/setup/cluster.mjs';
import { cookieOf, serveDemo } from '../../scripts/setup/served.mjs';
import { needChromium } from '../../scripts/setup/system.mjs';
import { closeConnection } from '../../src/db/connection';
import { inFirm } from '../../src/db/firm';
import { listPeople } from '../../src/db/people';
import { demoFirm } from './demoFirm';
import { houseWithEntries } from './loggedHouse';
import { median } from './rooms';

const ROOMS = 60;
const ENTRIES = 20_000;
const RUNS = 7;
/** Rooms in which something is handed out for the day. */
const HANDED = 8;

/**
 * How long a phone takes to show *My day* of a large house whose server is gone: from the address to the page, in a browser that
 * has shown nothing of it since it was started. It has a cluster and a server of its own, for it takes the server away.
 */
async function main(): Promise<void> {
  const cluster = await startTemporaryCluster();
  const env = { ...process.env, DATABASE_URL: cluster.url('postgres') };
  process.env.DATABASE_URL = env.DATABASE_URL;
  try {
    const server = await serveDemo(env);
    const house = await inFirm(await demoFirm(), () => houseWithEntries(ROOMS, ENTRIES));
    await handOut(server.url, house);
    await closeConnection();
    const [name = '', value = ''] = (await cookieOf(server.url, 'Marit')).split('=');
    const browser = await chromium.launch({
      executablePath: await needChromium(),
      args: ['--no-sandbox', '--disable-gpu'],
    });
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    await context.addCookies([{ name, value, url: server.url }]);
    const url = `${server.url}/h/${house}/my-day`;
    const page = await context.newPage();
    await keep(page, url);
    await server.stop();
    const times: number[] = [];
    for (let run = 0; run < RUNS; run += 1) times.push(await openCold(await context.newPage(), url));
    process.stdout.write(
      `\nMy day without a server, ${ROOMS} rooms and ${ENTRIES.toLocaleString('en-US')} entries (at most 1,000 ms)\n` +
        `  from the address to the page: median ${median(times).toFixed(0)} ms, ${times.map((time) => time.toFixed(0)).join(', ')}\n`,
    );
    await browser.close();
  } finally {
    await cluster.stop();
  }
}

/** Hands sanding in some rooms to Marit, for today. */
async function handOut(base: string, house: string): Promise<void> {
  const cookie = await cookieOf(base, 'Marit');
  const id = (await inFirm(await demoFirm(), listPeople)).find(({ name }) => name === 'Marit')?.id;
  const entries = Array.from({ length: HANDED }, (_, room) => ({
    id: randomUUID(),
    room: `room-${room * 7}`,
    at: new Date().toISOString(),
    kind: 'assigned',
    version: 3,
    payload: { work: 'sand', people: [id], day: new Date().toISOString().slice(0, 10) },
  }));
  const answer = await fetch(`${base}/api/entries`, {
    method: 'POST',
    headers: { cookie, 'content-type': 'application/json' },
    body: JSON.stringify({ house, entries }),
  });
  if (answer.status !== 200)
    throw new Error(`what was handed out was answered ${answer.status}: ${await answer.text()}`);
}

/** Opens a page until the device keeps its house and answers for it. */
async function keep(page: Page, url: string): Promise<void> {
  const seen = page.waitForResponse((response) => response.url().endsWith('/seen') && response.ok());
  await page.goto(url);
  await (await seen).finished();
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.waitForFunction(async () => {
    const open = await new Promise<IDBDatabase>((resolve) => {
      const request = indexedDB.open('oak-tally');
      request.onsuccess = () => resolve(request.result);
    });
    const count = await new Promise<number>((resolve) => {
      const request = open.transaction('seen').objectStore('seen').count();
      request.onsuccess = () => resolve(request.result);
    });
    open.close();
    return count > 0;
  });
  await page.close();
}

/** ms from the address to the list of the day, by the page's own clock. */
async function openCold(page: Page, url: string): Promise<number> {
  await page.addInitScript(() => {
    const watch = new MutationObserver(() => {
      if (!document.querySelector('main h1') || document.querySelector('main h1')?.textContent === 'No connection')
        return;
      watch.disconnect();
      requestAnimationFrame(() => setTimeout(() => Object.assign(window, { shownAt: performance.now() })));
    });
    watch.observe(document, { subtree: true, childList: true });
  });
  await page.goto(url);
  const shown = await page.waitForFunction(() => (window as { shownAt?: number }).shownAt);
  const ms = await shown.jsonValue();
  if ((await page.locator('main li').count()) < HANDED - 1) throw new Error('what was handed out is on the list');
  await page.close();
  return ms ?? Number.NaN;
}

await main();
