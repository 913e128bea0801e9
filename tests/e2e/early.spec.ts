import type { Page } from '@playwright/test';
import { expect, isLive, test, untilTaken, visit } from './site';
import { query } from './testDatabase';

/** Holds the scripts of a page back until what it returns is called. */
async function holdScripts(page: Page): Promise<() => void> {
  let release = () => {};
  const released = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.route('**/_next/static/**/*.js', async (route) => {
    await released;
    await route.continue();
  });
  return release;
}

const opened = { waitUntil: 'commit' } as const;

test('what is pressed before the script of a page is there is done once it is, once', async ({
  page,
  house,
  site,
  signIn,
}) => {
  await signIn(page, 'Petra');
  const coats = () =>
    query("SELECT id FROM entries WHERE house_id = $1 AND kind = 'coat' ORDER BY seq", site.database, [
      house.split('/').at(-1),
    ]);
  const before = await coats();
  const release = await holdScripts(page);
  await page.goto(`${house}/my-day`, opened);
  const now = page.getByRole('region', { name: 'Now' });
  const title = await now.getByRole('heading', { level: 2 }).textContent();
  const done = now.getByRole('button', { name: 'Done', exact: true });
  await untilTaken(page, '/api/entries', async () => {
    await done.click();
    await done.click();
    release();
  });
  await expect(now.getByRole('heading', { level: 2 })).not.toHaveText(title ?? '');
  const after = await coats();
  // A second job was not done by the second press.
  expect(after.length).toBeGreaterThan(before.length);
  await page.reload();
  expect(await coats()).toEqual(after);
});

test('a choice that is made, a name that is typed and a form that is sent by Enter before the script is there count', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const chosen = await holdScripts(page);
  await page.goto(`${house}/coats`, opened);
  const setting = page.getByRole('radio', { name: /Setting in the tape coat only/ });
  await untilTaken(page, '/commands/saveMethod', async () => {
    await setting.check();
    chosen();
  });
  await page.unrouteAll();
  await page.reload();
  await expect(setting).toBeChecked();

  const typed = await holdScripts(page);
  await page.goto('/houses', opened);
  await page.getByLabel('Name of the house').fill('Typed early');
  await page.getByLabel('Name of the house').press('Enter');
  typed();
  await page.waitForURL(/\/tally\?new/);
  await expect(page.getByRole('banner')).toContainText('Typed early');
});

test('the cursor stays where it was put before the script is there', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  const release = await holdScripts(page);
  await page.goto(`${house}/tally?room=pantry`, opened);
  const line = page.getByLabel('Quick line');
  const text = await line.inputValue();
  await line.evaluate((field: HTMLTextAreaElement) => {
    field.focus();
    field.setSelectionRange(field.value.indexOf(' x'), field.value.indexOf(' x'));
  });
  release();
  await isLive(page);
  await page.keyboard.type('½');
  await expect(line).toHaveValue(text.replace(' x', '½ x'));
});

test('a key that is pressed before the script is there counts', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  const release = await holdScripts(page);
  await page.goto(house, opened);
  await expect(page.getByRole('heading', { name: 'Ground floor' })).toBeVisible();
  await page.keyboard.press('6');
  release();
  await page.waitForURL(`${house}/board`);
});

test('a key that is pressed in the moment in which a page is gone to counts', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await page.goto(house);
  await isLive(page);
  // Its address is told while it is drawn; what React does later has not been done then.
  await page.evaluate(() =>
    window.navigation.addEventListener(
      'currententrychange',
      () =>
        queueMicrotask(() => document.body.dispatchEvent(new KeyboardEvent('keydown', { key: '/', bubbles: true }))),
      { once: true },
    ),
  );
  await visit(page, `${house}/tally`);
  await expect(page.getByLabel('Quick line')).toBeFocused();
});

test('what is typed early stays in a page that draws itself anew as soon as it has its script', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Osei');
  const release = await holdScripts(page);
  await page.goto(`${house}/guide#defect-bubble`, opened);
  const looked = page.getByRole('searchbox', { name: 'Search' });
  await looked.fill('stilts');
  release();
  await expect(page.getByRole('status').filter({ hasText: '1 card' })).toBeVisible();
  await expect(looked).toHaveValue('stilts');
});
