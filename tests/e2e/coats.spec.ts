import { expect, test } from '@playwright/test';
import { demoHouse, signIn } from './site';

/** A copy of the demo, so that no other test sees its levels change. */
async function copyOfTheDemo(page: import('@playwright/test').Page, name: string): Promise<string> {
  const file = await (await page.request.get(`${await demoHouse(page)}/file`)).json();
  await page.goto('/houses');
  await page.getByLabel('House file (JSON)').setInputFiles({
    name: 'copy.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...file, name })),
  });
  await page.waitForURL(/\/h\//);
  return new URL(page.url()).pathname;
}

test('choosing a level changes the ladder, the load and the coats to come', async ({ page }) => {
  await signIn(page, 'Marit');
  const house = await copyOfTheDemo(page, 'Level house');
  await page.goto(`${house}/coats`);
  await expect(page.getByRole('button', { name: /^Level 4 chosen/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: /^Level 2/ }).click();
  await expect(page.getByRole('heading', { name: 'Coat ladder at level 2' })).toBeVisible();
  await expect(page.getByRole('link', { name: /Coats/ })).toContainText('level 2');
  await page.goto(`${house}/run`);
  // Only the lantern room, which carries level 5, still has a fill round.
  await expect(page.getByLabel(/Who runs .*, fill/)).toHaveCount(1);
  await expect(page.getByLabel('Who runs Lantern room, fill')).toBeVisible();
});

test('a room may have a level of its own', async ({ page }) => {
  await signIn(page, 'Marit');
  const house = await copyOfTheDemo(page, 'Own level house');
  await page.goto(`${house}/coats`);
  await page.getByLabel('Level of Bath').selectOption({ label: 'level 5' });
  await expect(page.getByLabel('Level of Bath')).toBeEnabled();
  await page.goto(`${house}/board`);
  await expect(
    page
      .getByRole('region', { name: 'Bath' })
      .getByRole('button', { name: /^Whole surface: Stuck, the joints come first/ }),
  ).toBeVisible();
  await page.goto(`${house}/coats`);
  await page.getByLabel('Level of Bath').selectOption({ label: 'as house (4)' });
  await expect(page.getByLabel('Level of Bath')).toBeEnabled();
  await page.goto(`${house}/board`);
  await expect(page.getByRole('region', { name: 'Bath' }).getByRole('button', { name: /^Whole surface/ })).toHaveCount(
    0,
  );
});

test('a level chosen over a newer one is refused and said', async ({ page, context }) => {
  await signIn(page, 'Marit');
  const house = await copyOfTheDemo(page, 'Contested house');
  await page.goto(`${house}/coats`);
  const other = await context.newPage();
  await other.goto(`${house}/coats`);
  await other.getByRole('button', { name: /^Level 3/ }).click();
  await expect(other.getByRole('heading', { name: 'Coat ladder at level 3' })).toBeVisible();
  await page.getByRole('button', { name: /^Level 5/ }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Somebody changed this house' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Coat ladder at level 3' })).toBeVisible();
});

test('a finisher sees the levels and changes none', async ({ page }) => {
  await signIn(page, 'Ines');
  await page.goto(`${await demoHouse(page)}/coats`);
  await expect(page.getByRole('button', { name: /^Level 5/ })).toBeDisabled();
  await expect(page.getByLabel('Level of Bath')).toBeDisabled();
});
