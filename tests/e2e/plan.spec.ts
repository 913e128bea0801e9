import { randomUUID } from 'node:crypto';
import type { Locator, Page } from '@playwright/test';
import { type FinishAnswer, leadPlanSchema } from '../../src/contract/plan';
import { instantWords } from '../../src/words/when';
import { copyHouse } from './copyHouse';
import { expect, handOut, isLive, minutesBefore, test, untilTaken, visit } from './site';
import { query } from './testDatabase';
import { violationsOf } from './violations';

/** The run sheet once a plan stands and is not searched any more. */
async function openPlan(page: Page, house: string): Promise<void> {
  await visit(page, `${house}/run`);
  await expect(page.getByRole('button', { name: 'Propose anew' })).toBeVisible();
}
/** Opens the dialog in which the crew is edited. */
async function openCrew(page: Page): Promise<Locator> {
  await page.getByRole('button', { name: 'Crew and tools' }).click();
  return page.getByRole('dialog', { name: 'Crew and tools' });
}
const plan = (page: Page) => page.getByRole('region', { name: 'The plan' });
const week = (page: Page) => page.getByRole('region', { name: 'The week' });

test('a proposal is taken whole, and everybody sees it on their list', async ({ page, browser, house, signIn }) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  await expect(plan(page)).toContainText(/Finish .* except rooms on hold; with them/);
  await expect(plan(page)).toContainText(/No plan finishes sooner|Cannot be before/);
  await expect(page.getByRole('region', { name: 'Scheduling problems' })).toContainText('Landing');
  const proposed = week(page).getByRole('button', { name: /proposed$/ });
  await expect(proposed.first()).toBeVisible();
  // Osei's phone shows what is handed out only.
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await signIn(phone, 'Osei');
  await visit(phone, `${house}/run`);
  await expect(phone.getByRole('button', { name: 'Confirm plan' })).toHaveCount(0);

  await untilTaken(page, '/api/entries', () => page.getByRole('button', { name: 'Confirm plan' }).click());
  // What is held is handed out by its card only.
  await page.getByRole('button', { name: /^All \d+ days$/ }).click();
  await expect(proposed.filter({ hasNotText: 'Landing' })).toHaveCount(0);
  await expect(proposed.first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Confirm plan' })).toBeDisabled();
  await phone.reload();
  await expect(phone.getByRole('button', { name: /assigned/ }).first()).toBeVisible();
});

test('a card is moved to somebody else by keys, its cost is said, and it is undone', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  const card = week(page)
    .getByRole('button', { name: /^Net loft.*Finish.*proposed/ })
    .first();
  await card.focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Net loft');
  const who = dialog.getByLabel('Who');
  /** Whoever it is proposed for: somebody else. */
  const chooseAnother = async () => {
    const names = await who.locator('option').allTextContents();
    const own = await who.locator('option:checked').textContent();
    await who.selectOption({ label: names.find((name) => name !== own && name !== 'Marit') ?? '' });
  };
  await chooseAnother();
  await expect(dialog.getByText(/^(same finish|.* (later|sooner))$/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Move job' }).click();
  await expect(
    week(page)
      .getByRole('button', { name: /^Net loft.*moved, not assigned/ })
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo move' }).click();
  await expect(week(page).getByRole('button', { name: /moved, not assigned/ })).toHaveCount(0);
  // Moved and handed out, it is handed out and moved no more.
  await card.click();
  await chooseAnother();
  await dialog.getByRole('button', { name: 'Move job' }).click();
  await expect(
    week(page)
      .getByRole('button', { name: /moved, not assigned/ })
      .first(),
  ).toBeVisible();
  await untilTaken(page, '/api/entries', () => page.getByRole('button', { name: 'Confirm plan' }).click());
  await expect(week(page).getByRole('button', { name: /moved, not assigned/ })).toHaveCount(0);
});

test('a card is dragged to another day, with the cost shown while it is held', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  const card = week(page)
    .getByRole('button', { name: /proposed$/ })
    .first();
  const rows = week(page).locator('tbody tr');
  const target = rows.nth(2).locator('td').nth(3);
  await card.scrollIntoViewIfNeeded();
  const [from, to] = [await card.boundingBox(), await target.boundingBox()];
  if (!from || !to) throw new Error('card and cell are drawn');
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(to.x + 30, Math.min(to.y + 20, 780), { steps: 6 });
  await expect(page.getByText(/^(same finish|.* (later|sooner)|cannot be run there)$/)).toBeVisible();
  await page.mouse.up();
  await expect(
    week(page)
      .getByRole('button', { name: /moved, not assigned$/ })
      .first(),
  ).toBeVisible();
});

test('what one lead hands out another one does not hand out again', async ({ page, browser, house, site, signIn }) => {
  const setRole = (role: string) => query("UPDATE people SET role = $1 WHERE name = 'Osei'", site.database, [role]);
  await setRole('lead');
  try {
    await signIn(page, 'Osei');
    await openPlan(page, house);
    const other = await browser.newPage();
    await signIn(other, 'Marit');
    // The other page does not hear of it.
    await other.route('**/api/live**', (route) => route.abort());
    await openPlan(other, house);
    await handOut(page, house, 'Skim: everything', 'Petra');
    await other.getByRole('button', { name: 'Assign several' }).click();
    const dialog = other.getByRole('dialog');
    await dialog.getByLabel('Work', { exact: true }).selectOption({ label: 'Skim: everything' });
    await dialog.getByLabel('Who').selectOption({ label: 'Tobin' });
    await dialog.getByRole('button', { name: 'Assign jobs', exact: true }).click();
    await expect(dialog.getByRole('alert')).toContainText('Somebody else assigned work');
  } finally {
    await setRole('finisher');
  }
});

test('the crew says who does what, and a plan without anybody who can says so', async ({
  page,
  house,
  signIn,
  site,
}) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  const dialog = await openCrew(page);
  await dialog.getByLabel('Hours a day of Tobin').fill('99');
  await dialog.getByRole('button', { name: 'Save crew' }).click();
  await expect(dialog.getByRole('alert')).toContainText('at most 14');
  await dialog.getByLabel('Hours a day of Tobin').fill('8');
  // Whoever else was added by a test before.
  for (const skills of await dialog.getByRole('group', { name: /^What .* does$/ }).all())
    await skills.getByLabel('seal').uncheck();
  await dialog.getByRole('button', { name: 'Save crew' }).click();
  await expect(dialog).toBeHidden();
  const left = page.getByRole('region', { name: 'Nobody can do this' });
  await expect(left).toContainText(/Nobody on the crew can seal\. \d+ jobs are not in the plan/);
  await left.getByRole('button', { name: 'Edit crew skills' }).click();
  await dialog.getByRole('group', { name: 'What Tobin does' }).getByLabel('seal').check();
  await dialog.getByRole('button', { name: 'Save crew' }).click();
  await expect(left).toHaveCount(0);
  // The crew is that of all houses: the next test finds it as it was.
  await query("UPDATE crews SET crew = jsonb_set(crew, '{people}', '{}')", site.database);
});

test('a crew that somebody else changed meanwhile is not overwritten, and what was typed stays', async ({
  page,
  house,
  signIn,
  site,
}) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  await isLive(page);
  const leadOf = async () => leadPlanSchema.parse(await (await page.request.get(`${house}/plan`)).json()).lead;
  const { crew, crewVersion } = await leadOf();
  const dialog = await openCrew(page);
  await dialog.getByLabel('Hours a day of Tobin').fill('7');
  // The page hears of it, and fetches the plan of the crew as it is now.
  const heard = page.waitForResponse((response) => response.url().includes('/plan'));
  const holiday = { version: crewVersion, crew: { ...crew, holidays: ['2031-05-20'] } };
  expect((await page.request.post('/api/commands/saveCrew', { data: holiday })).status()).toBe(200);
  await (await heard).finished();
  await dialog.getByRole('button', { name: 'Save crew' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Somebody');
  await expect(dialog.getByLabel('Hours a day of Tobin')).toHaveValue('7');
  expect((await leadOf()).crew.holidays).toEqual(['2031-05-20']);
  await query("UPDATE crews SET crew = jsonb_set(crew, '{holidays}', '[]')", site.database);
});

test('the house says when it is done and what is late for the painters', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, house);
  const finish = page.getByRole('region', { name: 'Finish' });
  await expect(finish).toContainText('Planned finish');
  await untilTaken(page, '/commands/setPainters', async () => {
    await finish.getByLabel('Painters come', { exact: true }).fill('2031-05-08');
    await finish.getByLabel('Painters come', { exact: true }).blur();
  });
  await expect(finish).toContainText(/Day room: .* after the painters come/);
  await finish.getByRole('button', { name: 'Room by room' }).click();
  await expect(finish.getByRole('row', { name: /Day room/ })).toContainText('May');
  expect(await violationsOf(page, { where: '[aria-label="Finish"]' })).toEqual([]);

  // What the run sheet found meanwhile is what the house says too.
  await page.getByRole('link', { name: /^Run sheet .* today/ }).click();
  await expect(page.getByRole('button', { name: 'Propose anew' })).toBeVisible();
  const found = /Finish (\w{3} \d+ \w{3}, [\d:]+)/.exec((await plan(page).textContent()) ?? '')?.[1];
  await page.getByRole('link', { name: /^House \d+ rooms/ }).click();
  await expect(finish).toContainText(`Planned finish ${found}`);
});

test('what if is priced by planning again, and its dialogs are free of axe violations', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  for (const name of ['Crew and tools', 'What if', 'Assign several']) {
    await page.getByRole('button', { name, exact: true }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toBeVisible();
    if (name === 'What if') {
      await expect(dialog.getByRole('row')).toHaveCount(9);
      // An hour costs 40.
      const cells = await dialog
        .getByRole('row', { name: /As it is/ })
        .getByRole('cell')
        .allTextContents();
      const [hours = '', , cost = ''] = cells.slice(-4);
      expect(Math.abs(Number(cost.replace(',', '')) / 40 - Number(hours))).toBeLessThanOrEqual(0.5);
      await expect(dialog.getByRole('row', { name: /Boxes instead of knives/ })).toContainText(/finish|later|sooner/);
    }
    expect(await violationsOf(page, { where: 'dialog' }), name).toEqual([]);
    await page.keyboard.press('Escape');
  }
  await week(page).getByRole('button', { name: 'Today', exact: true }).click();
  await expect(page.getByRole('region', { name: /by the hour/ })).toBeVisible();
  expect(await violationsOf(page, { where: 'main' }), 'the day').toEqual([]);
});

test('a builder sees when it is done, and of the crew no more than before', async ({ page, house, signIn }) => {
  await signIn(page, 'Builder');
  await visit(page, house);
  await expect(page.getByRole('region', { name: 'Finish' })).toContainText('Planned finish');
  expect((await page.request.get(`${house}/seen`)).status()).toBe(403);
  expect((await page.request.get(`${house}/plan`)).status()).toBe(403);
  await visit(page, `${house}/run`);
  await expect(page.getByRole('region', { name: 'Assigned work' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Confirm plan' })).toHaveCount(0);
});

test('a list is read by a calendar until its address is ended', async ({
  page,
  house,
  signIn,
  playwright,
  baseURL,
}) => {
  await signIn(page, 'Petra');
  await visit(page, `${house}/my-day`);
  await page.getByText('My list in a calendar').click();
  await page.getByRole('button', { name: 'Create address' }).click();
  const address = (await page.locator('code').textContent()) ?? '';
  const calendar = await playwright.request.newContext({ baseURL });
  const text = await (await calendar.get(new URL(address).pathname)).text();
  expect(text).toMatch(/^BEGIN:VCALENDAR/);
  expect(text).toContain('SUMMARY:Bunk room: fill');
  // Seven in New York in May; what is left from Saturday comes first, and nothing begins before the one before has ended.
  expect(text).toMatch(/SUMMARY:Bunk room: tape\r?\n(?:(?!END:VEVENT)[\s\S])*DTSTART:20310506T110000Z/);
  const times = (of: 'DTSTART' | 'DTEND') =>
    [...text.matchAll(new RegExp(`${of}:(20310506T\\d+Z)`, 'g'))].map(([, time = '']) => time);
  expect(times('DTSTART').length).toBeGreaterThan(2);
  expect(times('DTSTART').toSorted().slice(1)).toEqual(times('DTEND').toSorted().slice(0, -1));
  expect(text).not.toContain('Boot room');
  await page.getByRole('button', { name: 'End address' }).click();
  await expect(page.getByRole('button', { name: 'Create address' })).toBeVisible();
  expect((await calendar.get(new URL(address).pathname)).status()).toBe(404);
  await calendar.dispose();
});

test('a job is begun, paused and done on the phone; the lead sees how fast it went', async ({
  page,
  browser,
  house,
  signIn,
  moveClock,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Petra');
  await visit(page, `${house}/my-day`);
  const now = page.getByRole('region', { name: 'Now' });
  await now.getByRole('button', { name: 'Begin' }).click();
  await expect(now).toContainText('Begun 12:34');
  moveClock(1);
  await page.reload();
  await expect(now).toContainText('1 h so far');
  await now.getByRole('button', { name: 'Pause' }).click();
  moveClock(1.5);
  await page.reload();
  await now.getByRole('button', { name: 'Go on' }).click();
  moveClock(2);
  await page.reload();
  await expect(now).toContainText('1 h 30 so far');
  await untilTaken(page, '/api/entries', () => now.getByRole('button', { name: 'Done', exact: true }).click());
  await expect(page.getByText('Your pace, from your log')).toBeVisible();
  const lead = await browser.newPage();
  await signIn(lead, 'Marit');
  await openPlan(lead, house);
  await lead.getByRole('button', { name: 'Crew and tools' }).click();
  const paces = lead.getByRole('dialog').getByRole('row');
  await expect(paces.filter({ hasText: 'Petra' })).toContainText(/\d\.\d\d × usual, 1 pass, not sure yet/);
  await expect(paces.filter({ hasText: 'Tobin' })).toContainText('nothing known yet');
  // Another finisher is told nothing of it.
  const other = await browser.newPage();
  await signIn(other, 'Osei');
  const told = await (await other.request.get(`${house}/plan`)).json();
  expect(told.lead).toBeUndefined();
});

test('hours that are no hours are refused where they were typed', async ({ page, house, signIn }) => {
  await signIn(page, 'Petra');
  await visit(page, `${house}/my-day`);
  const now = page.getByRole('region', { name: 'Now' });
  await now.getByLabel('Hours worked').fill('soon');
  await now.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(now).toContainText('such as 1.5 or 1:30');
  await now.getByLabel('Hours worked').fill('1:30');
  await untilTaken(page, '/api/entries', () => now.getByRole('button', { name: 'Done', exact: true }).click());
});

test('all houses of the crew are planned together, and each gets what is handed out in it', async ({
  page,
  house,
  site,
  signIn,
}) => {
  const other = `/h/${await copyHouse(site.database, 'Tern Cottage')}`;
  await signIn(page, 'Marit');
  await openPlan(page, house);
  await page.getByLabel('All houses of the crew').check();
  await expect(
    week(page)
      .getByRole('button', { name: /Tern Cottage/ })
      .first(),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Propose anew' })).toBeVisible();
  const card = week(page)
    .getByRole('button', { name: /^\S.*Tern Cottage.*proposed$/ })
    .first();
  const [room = ''] = ((await card.textContent()) ?? '').split(', Tern Cottage');
  await card.click();
  const sent = page.waitForRequest((request) => request.url().endsWith('/api/entries'));
  await untilTaken(page, '/api/entries', () => page.getByRole('button', { name: 'Assign job' }).click());
  const { house: written, entries } = (await sent).postDataJSON();
  expect(`/h/${written}`).toBe(other);
  expect(entries[0]).toMatchObject({ kind: 'assigned', version: 3 });
  expect(room.length).toBeGreaterThan(2);
});

test('a house has the same dates on its pages and in the plan of all houses', async ({
  page,
  browser,
  house,
  site,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const finish = page.getByRole('region', { name: 'Finish' }).getByText(/^Planned finish /);
  const dateOn = async () => /\w{3} \d+ \w{3}, \d+:\d\d/.exec((await finish.textContent()) ?? '')?.[0] ?? 'no date';
  await visit(page, house);
  await expect(finish).toBeVisible();
  const alone = await dateOn();
  const other = await copyHouse(site.database, 'Tern Cottage');
  await page.reload();
  await expect(finish).toBeVisible();
  // The crew cannot be in both.
  expect(await dateOn()).not.toBe(alone);
  // What somebody logs in the other house is heard of here.
  await isLive(page);
  const again = page.waitForResponse((response) => response.url().endsWith('/plan/finish'));
  const noted = { id: randomUUID(), room: 'bath', at: minutesBefore(1), kind: 'item', payload: { text: 'A note' } };
  expect((await page.request.post('/api/entries', { data: { house: other, entries: [noted] } })).status()).toBe(200);
  const { finish: told }: FinishAnswer = await (await again).json();
  const shared = instantWords(told.finish, told.timeZone);
  await expect.poll(dateOn).toBe(shared);
  const viewer = await browser.newPage();
  await signIn(viewer, 'Builder');
  await visit(viewer, house);
  await expect(viewer.getByRole('region', { name: 'Finish' })).toContainText(shared);
  // Of the other house a builder hears nothing.
  const toldViewer = await (await viewer.request.get(`${house}/plan/finish`)).text();
  expect(toldViewer).not.toContain(other);
  expect(toldViewer).not.toContain('Tern Cottage');
  await viewer.close();

  await openPlan(page, house);
  await expect(plan(page)).toContainText(`Finish ${shared}`);
  await expect(plan(page)).toContainText('With everybody here it could be');
  await expect(week(page).getByText('in Tern Cottage').first()).toBeVisible();
  await expect(week(page).getByRole('button', { name: /Tern Cottage/ })).toHaveCount(0);
  // Shown together the plan stays what it is.
  const cards = week(page).getByRole('button', { name: /proposed$/ });
  const own = await cards.count();
  await page.getByLabel('All houses of the crew').check();
  await expect.poll(() => cards.count()).toBeGreaterThan(own);
  await page.getByLabel('All houses of the crew').uncheck();
  await expect(cards).toHaveCount(own);
  await expect(plan(page)).toContainText(`Finish ${shared}`);

  // Somebody is kept to the other one, and what they cost is for leads.
  await page.getByRole('button', { name: /^All \d+ days$/ }).click();
  const heads = await week(page).getByRole('columnheader').allInnerTexts();
  const column = heads.findIndex((head) => head.startsWith('Osei')) + 1;
  const ofOsei = week(page)
    .locator(`tbody td:nth-child(${column})`)
    .getByRole('button', { name: /proposed$/ });
  await expect(ofOsei).not.toHaveCount(0);
  const dialog = await openCrew(page);
  await dialog.getByLabel('House of Osei').selectOption({ label: 'only Tern Cottage' });
  await dialog.getByLabel('Hourly cost of Osei').fill('77');
  await dialog.getByRole('button', { name: 'Save crew' }).click();
  await expect(dialog).toBeHidden();
  await expect(ofOsei).toHaveCount(0);
  await signIn(page, 'Petra');
  for (const asked of ['', '?houses=all']) {
    const told = await (await page.request.get(`${house}/plan${asked}`)).text();
    expect(told).toContain('"learner"');
    expect(told).not.toContain('hourCost":77');
  }
  await query("UPDATE crews SET crew = jsonb_set(crew, '{people}', '{}')", site.database);
});

test('of more than forty houses the latest is not planned, and its page says so', async ({
  page,
  house,
  site,
  signIn,
}) => {
  const own = house.split('/').at(-1);
  // Of forty small houses one is painted last.
  await query(
    `WITH small AS (
       INSERT INTO houses (firm, id, head, time_zone, dates)
       SELECT firm, gen_random_uuid(), head || jsonb_build_object('name', 'Small ' || n), time_zone,
         jsonb_build_object('house', CASE n WHEN 1 THEN '2031-12-31' ELSE '2031-05-12' END, 'rooms', '{}'::jsonb)
       FROM houses, generate_series(1, 40) AS n WHERE id = $1 RETURNING firm, id
     ) INSERT INTO rooms (firm, house_id, id, position, room)
       SELECT small.firm, small.id, rooms.id, 1, room FROM small, rooms WHERE house_id = $1 AND rooms.id = 'bath'`,
    site.database,
    [own],
  );
  const latest = async () =>
    (await query<{ id: string }>("SELECT id FROM houses WHERE head->>'name' = 'Small 1'", site.database))[0]?.id;
  await signIn(page, 'Marit');
  await visit(page, `/h/${await latest()}/run`);
  await expect(page.getByRole('main')).toContainText(
    'This house is not in the plan yet. Houses with earlier painters’ dates come first.',
  );
  await openPlan(page, house);
  await page.getByLabel('All houses of the crew').check();
  await expect(plan(page)).toContainText('40 of 41');
});

test('a phone has the hours of the run sheet, and says what comes later', async ({ page, browser, house, signIn }) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  const today = week(page)
    .getByRole('row')
    .filter({ has: page.getByRole('button', { name: 'Today', exact: true }) });
  await untilTaken(page, '/api/entries', () => today.getByRole('button', { name: /^Confirm / }).click());
  await expect(today.getByRole('button', { name: /^Confirm / })).toHaveCount(0);
  const heads = await week(page).getByRole('columnheader').allInnerTexts();
  for (const name of ['Petra', 'Tobin', 'Osei']) {
    const cell = today.getByRole('cell').nth(heads.findIndex((head) => head.startsWith(name)) - 1);
    const hours =
      (await cell
        .getByText(/^(\d+ h \d+|\d+ h|\d+ min)$/)
        .last()
        .textContent()) ?? '';
    const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await signIn(phone, name);
    await visit(phone, `${house}/my-day`);
    await expect(phone.getByText(/jobs? left/)).toContainText(`about ${hours}`);
    await phone.close();
  }
});

test('prints the wall’s list and a sheet for everybody', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  await expect(page.getByRole('region', { name: 'Assigned work' })).toBeHidden();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('region', { name: 'Assigned work' })).toContainText(
    'Bunk room, fill: fasteners, flats, beads, angles',
  );
  await expect(page.getByRole('region', { name: 'List of Petra' })).toContainText('Bunk room, fill: fasteners, flats');
  await expect(page.getByRole('region', { name: 'List of Petra' })).not.toContainText('Boot room');
  await expect(week(page)).toBeHidden();
});

test('a room that is held until a time is planned after it', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/board`);
  await page.getByRole('button', { name: 'Hold Boot room' }).click();
  await page.getByLabel('Who has it').fill('Electrician');
  await page.getByLabel('Free again (optional)').fill('2031-05-12T09:00');
  await untilTaken(page, '/api/entries', () => page.getByRole('button', { name: 'Hold the room' }).click());
  await openPlan(page, house);
  await expect(page.getByRole('region', { name: 'Scheduling problems' })).not.toContainText('Boot room');
  await page.getByRole('button', { name: /^All \d+ days$/ }).click();
  const rowOf = (day: string) =>
    week(page)
      .getByRole('row')
      .filter({ has: page.getByRole('button', { name: day, exact: true }) });
  await expect(rowOf('Mon 12 May')).toContainText('Boot room');
  for (const day of ['Today', 'Wed 7 May', 'Thu 8 May', 'Fri 9 May'])
    await expect(rowOf(day)).not.toContainText('Boot room');
});

test('what two run together is written down for both', async ({ page, browser, house, site, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/run`);
  await page.getByRole('button', { name: 'Assign several' }).click();
  const dialog = page.getByRole('dialog', { name: 'Assign several' });
  await dialog.getByLabel('Work', { exact: true }).selectOption({ label: 'Fill: flats' });
  await dialog.getByRole('button', { name: 'None' }).click();
  await dialog.getByLabel('Bunk room').check();
  await dialog.getByLabel('Who').selectOption({ label: 'Osei' });
  await dialog.getByLabel('With').selectOption({ label: 'Ines' });
  await expect(dialog).toContainText(/for both/);
  await untilTaken(page, '/api/entries', () =>
    dialog.getByRole('button', { name: 'Assign jobs', exact: true }).click(),
  );
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await signIn(phone, 'Ines');
  await visit(phone, `${house}/my-day`);
  await expect(phone.getByRole('list', { name: 'Then' })).toContainText('Bunk room, fill');
  await signIn(phone, 'Osei');
  await visit(phone, `${house}/my-day`);
  const jobs = phone.getByRole('main');
  await expect(jobs).toContainText('Bunk room');
  const now = phone.getByRole('region', { name: 'Now' });
  while (!(await now.textContent())?.includes('Now, Bunk room')) {
    await untilTaken(phone, '/api/entries', () => now.getByRole('button', { name: 'Done', exact: true }).click());
    await phone.reload();
  }
  // Handed to both; who came instead of one of them is said with a press.
  const partner = now.getByLabel('With');
  await expect(partner.locator('option:checked')).toHaveText('Ines');
  await partner.selectOption({ label: 'Petra' });
  const sent = phone.waitForRequest((request) => request.url().endsWith('/api/entries'));
  await untilTaken(phone, '/api/entries', () => now.getByRole('button', { name: 'Done', exact: true }).click());
  const { entries } = (await sent).postDataJSON();
  expect(entries.map(({ payload }: { payload: { class: string } }) => payload.class)).toEqual(['flat']);
  const people = await query<{ id: string; name: string }>('SELECT id, name FROM people ORDER BY name', site.database);
  const names = entries[0].payload.ranBy.map((id: string) => people.find((person) => person.id === id)?.name);
  expect(names).toEqual(['Osei', 'Petra']);
});

test('a ceiling goes to one and the walls to another, each logs their own', async ({
  page,
  browser,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  const dialog = page.getByRole('dialog', { name: 'Assign several' });
  for (const [where, name] of [
    ['ceiling only', 'Petra'],
    ['walls only', 'Osei'],
  ] as const) {
    await page.getByRole('button', { name: 'Assign several' }).click();
    await dialog.getByLabel('Work', { exact: true }).selectOption({ label: 'Fill: flats' });
    await dialog.getByLabel('Where').selectOption({ label: where });
    await dialog.getByRole('button', { name: 'None' }).click();
    await dialog.getByLabel('Bunk room').check();
    await dialog.getByLabel('Who').selectOption({ label: name });
    await untilTaken(page, '/api/entries', () =>
      dialog.getByRole('button', { name: 'Assign jobs', exact: true }).click(),
    );
    await expect(dialog).toBeHidden();
  }
  await expect(
    week(page)
      .getByRole('button', { name: /^Bunk room.*flats \(ceiling only\).*assigned/ })
      .first(),
  ).toBeVisible();
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await signIn(phone, 'Petra');
  await visit(phone, `${house}/my-day`);
  const now = phone.getByRole('region', { name: 'Now' });
  while (!(await now.textContent())?.includes('Bunk room: ceiling only')) {
    await untilTaken(phone, '/api/entries', () => now.getByRole('button', { name: 'Done', exact: true }).click());
    await phone.reload();
  }
  const sent = phone.waitForRequest((request) => request.url().endsWith('/api/entries'));
  await untilTaken(phone, '/api/entries', () => now.getByRole('button', { name: 'Done', exact: true }).click());
  const { entries } = (await sent).postDataJSON();
  expect(entries).toHaveLength(1);
  const on: readonly string[] = entries[0].payload.pieces.map(({ id }: { id: string }) => id.split('@')[1]);
  expect(new Set(on)).toEqual(new Set(['c0']));
  // The walls are still Osei's, and the ceiling is nobody's any more.
  await expect(week(page).getByRole('button', { name: /^Bunk room.*ceiling only/ })).toHaveCount(0);
  await expect(
    week(page)
      .getByRole('button', { name: /^Bunk room.*Fill: .*flats.*assigned/ })
      .first(),
  ).toBeVisible();
});

test('scraping before a round and mending are handed out by themselves, and done on their own cards', async ({
  page,
  browser,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  await handOut(page, house, 'Scrape before fill', 'Tobin');
  await handOut(page, house, 'Mend', 'Petra');
  await expect(
    week(page)
      .getByRole('button', { name: /Scrape before fill.*assigned/ })
      .first(),
  ).toBeVisible();
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  const now = phone.getByRole('region', { name: 'Now' });
  await signIn(phone, 'Tobin');
  await visit(phone, `${house}/my-day`);
  const scrape = now.getByRole('heading', { name: /^Scrape and dust off / });
  while ((await scrape.count()) === 0) {
    await untilTaken(phone, '/api/entries', () => now.getByRole('button', { name: 'Done', exact: true }).click());
    await phone.reload();
  }
  const where = (await now.getByText(/^Now, /).textContent())?.replace('Now, ', '') ?? '';
  await expect(now.getByRole('button', { name: 'Done', exact: true })).toHaveCount(0);
  await untilTaken(phone, '/api/entries', () => now.getByRole('button', { name: 'Scraped and dusted' }).click());
  await phone.reload();
  // What is not dry yet is scraped later; what is dry is not asked for twice.
  await expect(phone.getByRole('main')).toContainText('My day');
  await expect(now.filter({ hasText: `Now, ${where}` }).filter({ has: scrape })).toHaveCount(0);
  await expect(phone.getByRole('main')).toContainText(`${where}, scrape before fill`);

  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await signIn(other, 'Petra');
  await visit(other, `${house}/my-day`);
  const wrong = other.getByRole('region', { name: 'Now' });
  while (!(await wrong.textContent())?.includes('Mend what is wrong')) {
    await untilTaken(other, '/api/entries', () => wrong.getByRole('button', { name: 'Done', exact: true }).click());
    await other.reload();
  }
  const mended = wrong.getByRole('button', { name: /^Mended: / });
  const room = (await wrong.getByText(/^Now, /).textContent())?.replace('Now, ', '') ?? '';
  while ((await wrong.textContent())?.includes(`Now, ${room}`) && (await mended.count()) > 0) {
    await untilTaken(other, '/api/entries', () => mended.first().click());
    await other.reload();
  }
  await expect(other.getByText(/^Done: /)).toContainText(`${room} mend`);
});
