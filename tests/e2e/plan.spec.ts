import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, handOut, test, untilTaken } from './site';

/** The run sheet once a plan stands and is not searched any more. */
async function openPlan(page: Page, house: string): Promise<void> {
  await page.goto(`${house}/run`);
  await expect(page.getByRole('button', { name: 'Propose anew' })).toBeVisible();
}
const plan = (page: Page) => page.getByRole('region', { name: 'The plan' });
const week = (page: Page) => page.getByRole('region', { name: 'The week' });

test('a proposal is taken whole, and everybody sees it on their list', async ({ page, browser, house, signIn }) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  await expect(plan(page)).toContainText(/Finish .* but for what is held; with it/);
  await expect(plan(page)).toContainText(/No plan finishes sooner|Cannot be before/);
  await expect(page.getByRole('region', { name: 'Not as it should be' })).toContainText('Landing');
  const proposed = week(page).getByRole('button', { name: /proposed$/ });
  await expect(proposed.first()).toBeVisible();
  // Osei's phone shows what is handed out only.
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await signIn(phone, 'Osei');
  await phone.goto(`${house}/run`);
  await expect(phone.getByRole('button', { name: 'Take all' })).toHaveCount(0);

  await untilTaken(page, '/api/entries', () => page.getByRole('button', { name: 'Take all' }).click());
  await expect(proposed).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Take all' })).toBeDisabled();
  await phone.reload();
  await expect(phone.getByRole('button', { name: /handed out/ }).first()).toBeVisible();
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
  const before = await who.inputValue();
  await who.selectOption({ label: 'Tobin' });
  if ((await who.inputValue()) === before) await who.selectOption({ label: 'Ines' });
  await expect(dialog.getByText(/^(same finish|.* (later|sooner))$/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Move it' }).click();
  await expect(
    week(page)
      .getByRole('button', { name: /^Net loft.*moved, not handed out/ })
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo the move' }).click();
  await expect(week(page).getByRole('button', { name: /moved, not handed out/ })).toHaveCount(0);
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
      .getByRole('button', { name: /moved, not handed out$/ })
      .first(),
  ).toBeVisible();
});

test('what one lead hands out another one does not hand out again', async ({ page, browser, house, signIn }) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  const other = await browser.newPage();
  await signIn(other, 'Marit');
  // The other page does not hear of it.
  await other.route('**/api/live**', (route) => route.abort());
  await openPlan(other, house);
  await handOut(page, house, 'Skim: everything', 'Petra');
  await other.getByRole('button', { name: 'Hand out several' }).click();
  const dialog = other.getByRole('dialog');
  await dialog.getByLabel('Work', { exact: true }).selectOption({ label: 'Skim: everything' });
  await dialog.getByLabel('Who').selectOption({ label: 'Tobin' });
  await dialog.getByRole('button', { name: 'Hand out', exact: true }).click();
  await expect(dialog.getByRole('alert')).toContainText('Somebody else handed out work');
});

test('the crew says who does what, and a plan without anybody who can says so', async ({
  page,
  house,
  signIn,
  site,
}) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  await page.getByRole('button', { name: 'Crew and tools' }).click();
  const dialog = page.getByRole('dialog', { name: 'Crew and tools' });
  await dialog.getByLabel('Hours a day of Tobin').fill('99');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog.getByRole('alert')).toContainText('at most 14');
  await dialog.getByLabel('Hours a day of Tobin').fill('8');
  for (const name of ['Tobin', 'Ines', 'Osei', 'Petra', 'Marit'])
    await dialog
      .getByRole('group', { name: `What ${name} does` })
      .getByLabel('seal')
      .uncheck();
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog).toBeHidden();
  const left = page.getByRole('region', { name: 'Not as it should be' });
  await left.getByText(/in no plan/).click();
  await expect(left).toContainText('seal: nobody is able to');
  // The crew is that of all houses: the next test finds it as it was.
  const { query } = await import('./testDatabase');
  await query("UPDATE crews SET crew = jsonb_set(crew, '{people}', '{}')", site.database);
});

test('the house says when it is done and what is late for the painters', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await page.goto(house);
  const finish = page.getByRole('region', { name: 'Finish' });
  await expect(finish).toContainText('By the plan all is done');
  await untilTaken(page, '/commands/setPainters', async () => {
    await finish.getByLabel('Painters come', { exact: true }).fill('2031-05-08');
    await finish.getByLabel('Painters come', { exact: true }).blur();
  });
  await expect(finish).toContainText(/Day room: .* after the painters come/);
  await finish.getByRole('button', { name: 'Room by room' }).click();
  await expect(finish.getByRole('row', { name: /Day room/ })).toContainText('May');
  expect((await new AxeBuilder({ page }).include('[aria-label="Finish"]').analyze()).violations).toEqual([]);
});

test('what if is priced by planning again, and its dialogs are free of axe violations', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await openPlan(page, house);
  for (const name of ['What if', 'Crew and tools', 'Hand out several']) {
    await page.getByRole('button', { name, exact: true }).click();
    const dialog = page.getByRole('dialog');
    if (name === 'What if') await expect(dialog.getByRole('row')).toHaveCount(8);
    expect((await new AxeBuilder({ page }).include('dialog').analyze()).violations, name).toEqual([]);
    await page.keyboard.press('Escape');
  }
  await week(page).getByRole('button', { name: 'Today' }).click();
  await expect(page.getByRole('region', { name: /by the hour/ })).toBeVisible();
  expect((await new AxeBuilder({ page }).include('main').analyze()).violations, 'the day').toEqual([]);
});

test('a builder sees when it is done, and of the crew no more than before', async ({ page, house, signIn }) => {
  await signIn(page, 'Builder');
  await page.goto(house);
  await expect(page.getByRole('region', { name: 'Finish' })).toContainText('By the plan all is done');
  const told = await (await page.request.get(`${house}/plan`)).text();
  expect(told).not.toContain('Tobin');
  await page.goto(`${house}/run`);
  await expect(page.getByRole('region', { name: 'Handed out' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take all' })).toHaveCount(0);
});
