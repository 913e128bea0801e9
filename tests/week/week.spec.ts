import type { Browser, BrowserContext, Page } from '@playwright/test';
import { setClock } from '../e2e/clock';
import { couldDoWithout } from '../e2e/couldDoWithout';
import { ownServer } from '../e2e/ownServer';
import { startServer } from '../e2e/server';
import { expect, isLive, test, untilTaken } from '../e2e/site';
import { query } from '../e2e/testDatabase';

test.use({ serviceWorkers: 'allow' });

/** Tuesday 6 May 2031, midnight in New York. */
const MIDNIGHT = Date.parse('2031-05-06T04:00:00Z');
const HOUR = 3_600_000;
const PASSWORD = 'a long password';
const ROOMS = ["Hall 16' x 4' x 8'", "Bath 8' x 5' x 8'", "Bed 1 12' x 10' x 8', door 32x80", "Bed 2 11' x 10' x 8'"];
/** Days on which somebody works; more than the house takes. */
const MOST_DAYS = 21;

/** A phone of somebody of the crew. */
interface Phone {
  readonly context: BrowserContext;
  readonly page: Page;
}

async function openPhone(browser: Browser, url: string, name: string, width: number): Promise<Phone> {
  const context = await browser.newContext({ viewport: { width, height: 740 }, baseURL: url });
  const page = await context.newPage();
  const signIn = await page.request.post('/api/commands/signIn', { data: { name, password: PASSWORD } });
  expect(await signIn.json()).toEqual({ ok: true, value: null });
  return { context, page };
}

const jobNow = (page: Page) => page.getByRole('region', { name: 'Now' });

/** Presses Done as long as something can go, and returns how often. */
async function doAll(page: Page): Promise<number> {
  const done = jobNow(page).getByRole('button', { name: 'Done', exact: true });
  for (let jobs = 0; ; jobs += 1) {
    if (!(await done.isVisible()) || !(await done.isEnabled())) return jobs;
    const before = await page.getByRole('main').textContent();
    await done.click();
    await expect.poll(() => page.getByRole('main').textContent()).not.toBe(before);
    // A dialog or a question on the way is none of a usual day.
    await expect(page.getByRole('dialog')).toHaveCount(0);
    expect(jobs).toBeLessThan(60);
  }
}

/** The lead logs a coat of the job that a phone shows, and its finisher, whose phone has not heard of it, logs it too. */
async function logTheSame(lead: Page, base: string, phone: Page): Promise<void> {
  await phone.route('**/api/live**', (route) => route.abort());
  await phone.reload();
  const words = await jobNow(phone)
    .getByText(/^Now, /)
    .textContent();
  const room = /^Now, ([^,]+)/.exec(words ?? '')?.[1] ?? '';
  await lead.goto(`${base}/board`);
  await lead
    .getByRole('region', { name: room, exact: true })
    .getByRole('button', { name: /^Fasteners:.*Go/ })
    .click();
  await lead.getByRole('button', { name: /^(All|The rest is) done$/ }).click();
  await expect(lead.getByRole('dialog')).toHaveCount(0);
  await jobNow(phone).getByRole('button', { name: 'Done', exact: true }).click();
  const question = phone.getByRole('alert').filter({ hasText: 'Which counts?' });
  await expect(question).toContainText(`${room}: Wilma logged`);
  await question.getByRole('button', { name: 'Keep mine' }).click();
  await expect(question).toHaveCount(0);
  await phone.unroute('**/api/live**');
  await phone.reload();
}

/** Nothing of a phone's page is wider than the phone. */
const fits = async (page: Page) =>
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);

test('a crew of four finishes a house in its week, from an empty company to the builder’s signature', async ({
  browser,
  site,
}) => {
  const server = await ownServer('week', site.clock, 'empty');
  const { url, database } = server;
  let { stop } = server;
  let at = MIDNIGHT + 7 * HOUR;
  setClock(site.clock, at);
  const lead = await (await browser.newContext({ baseURL: url, viewport: { width: 1280, height: 800 } })).newPage();

  await test.step('Tuesday at seven: a company, a house, its rooms and its people', async () => {
    await lead.goto('/');
    await lead.getByLabel('Firm').fill('Seam & Sons');
    await lead.getByLabel('Name').fill('Wilma');
    await lead.getByLabel('Password').fill(PASSWORD);
    await lead.getByRole('button', { name: 'Make the account' }).click();
    await lead.getByLabel('Name of the house').fill('');
    await lead.getByRole('button', { name: 'Start house' }).click();
    await expect(lead.getByText('needs a name')).toBeVisible();
    await lead.getByLabel('Name of the house').fill('Larch Lane 4');
    await lead.getByRole('button', { name: 'Start house' }).click();
    await lead.waitForURL(/\/tally\?new/);
    await isLive(lead);
    await lead.getByLabel('Quick line').fill(ROOMS.join('\n'));
    await lead.getByRole('button', { name: 'Save 4 rooms' }).click();
    await expect(lead.getByRole('navigation', { name: 'Rooms' }).getByRole('listitem')).toHaveCount(4);
    await lead.goto('/houses');
    const crew = lead.getByRole('region', { name: 'Crew' });
    for (const name of ['Ines', 'Tobin', 'Osei']) {
      await crew.getByLabel('Name', { exact: true }).fill(name);
      await crew.getByLabel('First password').fill(PASSWORD);
      await untilTaken(lead, '/commands/invite', () => crew.getByRole('button', { name: 'Add person' }).click());
      await expect(crew.getByText(name, { exact: true })).toBeVisible();
    }
  });
  const house = await lead.getByRole('link', { name: 'Larch Lane 4', exact: true }).getAttribute('href');
  if (!house) throw new Error('the house is in the list');
  const base = new URL(house, url).pathname.split('/').slice(0, 3).join('/');

  /** Confirms what the plan proposes. */
  const confirm = async () => {
    await lead.goto(`${base}/run`);
    await expect(lead.getByRole('button', { name: 'Propose anew' })).toBeVisible({ timeout: 120_000 });
    const button = lead.getByRole('button', { name: 'Confirm plan' });
    if (await button.isEnabled()) await untilTaken(lead, '/api/entries', () => button.click());
    await expect(button).toBeDisabled();
  };
  await confirm();

  const names = ['Ines', 'Tobin', 'Osei'] as const;
  const phones: Record<string, Phone> = {};
  for (const [index, name] of names.entries())
    phones[name] = await openPhone(browser, url, name, index % 2 ? 390 : 360);
  const pageOf = (name: string): Page => {
    const phone = phones[name];
    if (!phone) throw new Error(`${name} has a phone`);
    return phone.page;
  };

  let jobs = 0;
  let isAsked = false;
  let isClashed = false;
  for (let day = 0; day < MOST_DAYS; day += 1) {
    await test.step(`day ${day + 1}`, async () => {
      for (const hour of [7, 15]) {
        at = MIDNIGHT + (24 * day + hour) * HOUR;
        setClock(site.clock, at);
        // The phones have no signal in turns.
        const away = names[(2 * day + (hour === 7 ? 0 : 1)) % names.length];
        for (const name of names) {
          const page = pageOf(name);
          await page.goto(`${base}/my-day`);
          await expect(page.getByRole('heading', { name: 'My day' })).toBeVisible();
          await expect.poll(() => page.evaluate(couldDoWithout)).toBe(true);
          await fits(page);
          if (name === away) {
            await stop();
            await page.reload();
            await expect(page.getByRole('status').filter({ hasText: 'No connection' })).toBeVisible();
          }
          if (!isClashed && name !== away && day > 0 && (await jobNow(page).isVisible())) {
            await logTheSame(lead, base, page);
            isClashed = true;
          }
          jobs += await doAll(page);
          await fits(page);
          if (name !== away) continue;
          ({ stop } = await startServer(database, site.clock, Number(new URL(url).port)));
          await page.evaluate(() => window.dispatchEvent(new Event('online'))).catch(() => undefined);
          await expect(page.getByRole('button', { name: /^Account of/ })).toBeVisible();
          await expect(page.getByRole('button', { name: / unsent/ })).toHaveCount(0);
        }
      }
      if (day === 1) {
        // Osei is ill from the next morning: the others get the work.
        await lead.goto(`${base}/run`);
        await lead.getByRole('button', { name: 'Osei is ill today' }).click();
        const dialog = lead.getByRole('dialog', { name: 'Osei is ill' });
        await dialog.getByRole('button', { name: 'Confirm' }).click();
        await expect(dialog).toHaveCount(0);
      }
      if (day === 2) {
        // A wall with coats on it is hung anew.
        const button = lead.getByRole('button', { name: 'New boards …' });
        for (const room of ['hall', 'bath', 'bed-1', 'bed-2']) {
          await lead.goto(`${base}/tally?room=${room}`);
          await isLive(lead);
          if (await button.isVisible()) break;
        }
        await button.click();
        const dialog = lead.getByRole('dialog');
        await dialog.getByLabel('wall 2', { exact: true }).check();
        await dialog.getByRole('button', { name: 'Start joints over' }).click();
        await expect(dialog).toHaveCount(0);
      }
      await confirm();
      // The lead checks in light what is sanded, all rooms in one go.
      await lead.goto(`${base}/hand-over`);
      await isLive(lead);
      await lead.getByRole('checkbox', { name: 'All rooms' }).check();
      const check = lead.getByRole('button', { name: /^Log light check/ });
      if (await check.isEnabled()) await untilTaken(lead, '/api/entries', () => check.click());
      isAsked = (await lead.getByText(/^Go: (seal|hand over)$/).count()) === ROOMS.length;
    });
    if (isAsked) break;
  }
  expect(isAsked, 'every room is ready to hand over').toBe(true);
  expect(isClashed).toBe(true);
  expect(jobs).toBeGreaterThan(20);

  await test.step('the builder signs on the link, and the rooms are handed over', async () => {
    await lead.goto(`${base}/hand-over`);
    await lead.getByRole('button', { name: 'Create share link' }).click();
    const address = await lead.getByRole('region', { name: 'For the builder' }).locator('code').textContent();
    const builder = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await builder.goto(address ?? '');
    const pad = builder.getByRole('region', { name: 'Sign' });
    for (const box of await pad.getByRole('checkbox').all()) await box.check();
    await pad.getByLabel('Your name').fill('Harbor Homes');
    const field = pad.getByRole('img', { name: 'Draw the name here' });
    await field.scrollIntoViewIfNeeded();
    const box = await field.boundingBox();
    if (!box) throw new Error('there is a field to sign in');
    await builder.mouse.move(box.x + 20, box.y + 60);
    await builder.mouse.down();
    await builder.mouse.move(box.x + 140, box.y + 90, { steps: 5 });
    await builder.mouse.up();
    await pad.getByRole('button', { name: /^Sign for 4 rooms/ }).click();
    await expect(pad.getByRole('status')).toContainText('Signed: ');
    await fits(builder);
    await lead.reload();
    await isLive(lead);
    await lead.getByRole('checkbox', { name: 'All rooms' }).check();
    await untilTaken(lead, '/api/entries', () => lead.getByRole('button', { name: 'Hand over (4)' }).click());
    await builder.reload();
    await expect(builder.locator('summary').filter({ hasText: 'handed over' })).toHaveCount(4);
  });

  await test.step('every screen says that it is done', async () => {
    await lead.goto(base);
    await expect(lead.getByRole('link', { name: /: Handed over/ })).toHaveCount(4);
    await expect(lead.getByRole('navigation', { name: 'Stations of the job' })).toContainText('4 of 4 rooms');
    await lead.goto(`${base}/board`);
    await expect(lead.getByRole('button', { name: /Go: / })).toHaveCount(0);
    await lead.goto(`${base}/dry`);
    await expect(lead.getByRole('main')).toContainText(/[Nn]othing (is )?wet/);
    await lead.goto(`${base}/run`);
    await expect(lead.getByText('Nothing is left to do in this house.')).toBeVisible({ timeout: 60_000 });
    for (const name of names) {
      await pageOf(name).goto(`${base}/my-day`);
      await expect(jobNow(pageOf(name))).toHaveCount(0);
      await expect(pageOf(name).getByRole('list', { name: 'Then' })).toHaveCount(0);
    }
    await lead.goto(`${base}/sheets`);
    for (const sheet of (await lead.getByRole('article').all()).slice(1)) {
      await expect(sheet).toContainText('unchanged since');
      await expect(sheet).toContainText('None.');
    }
  });
  await stop();
  await query(`DROP DATABASE ${database} WITH (FORCE)`);
});
