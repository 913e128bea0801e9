import { ownServer } from './ownServer';
import { expect, keepRoom, test, visit } from './site';

test('an empty application asks for the lead’s account, once', async ({ page, site }) => {
  const { url, end } = await ownServer('first_start', site.clock, 'empty');
  await page.goto(url);
  await expect(page).toHaveURL(/\/setup$/);
  await page.getByLabel('Firm').fill('Seam & Sons');
  await page.getByLabel('Name').fill('Wilma');
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await expect(page.getByText('must have at least 8 characters')).toBeVisible();
  await expect(page.getByLabel('Name')).toHaveValue('Wilma');
  await page.getByLabel('Password').fill('long enough');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await expect(page).toHaveURL(/\/houses$/);
  await expect(page.getByText('No house yet.')).toBeVisible();

  await page.getByLabel('Name of the house').fill('First house');
  await page.getByRole('button', { name: 'Start house' }).click();
  await page.waitForURL(/\/tally\?new/);
  await expect(page.getByLabel('Quick line')).toBeFocused();
  await page.keyboard.press('Escape');
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'No rooms yet' })).toBeVisible();
  for (const [key, words] of [
    ['4', 'To order'],
    ['5', 'No rooms yet'],
    ['6', 'No rooms yet'],
    ['7', 'No rooms yet'],
    ['8', 'No room is dry'],
    ['9', 'No rooms yet'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByRole('main')).toContainText(words);
  }
  // A room, and nobody to finish it: people are added where that is said.
  await page.keyboard.press('2');
  await keepRoom(page, "Den: 12' x 10' x 8'");
  await visit(page, new URL(page.url()).pathname.replace(/tally$/, 'run'));
  const nobody = page.getByRole('region', { name: 'Nobody can do this' });
  await expect(nobody).toContainText('Nobody on the crew can tape');
  await nobody.getByLabel('Name').fill('Ines');
  await nobody.getByLabel('First password').fill('a long password');
  await nobody.getByRole('button', { name: 'Add person' }).click();
  await expect(nobody).toHaveCount(0);
  await expect(page.getByRole('columnheader', { name: /^Ines/ })).toBeVisible();
  await page.goto(`${url}/setup`);
  await expect(page).toHaveURL(/\/signin$/);
  await end();
});
