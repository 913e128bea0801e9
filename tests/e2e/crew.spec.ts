import { expect, isLive, test } from './site';

test('a lead adds a finisher, who signs in and finds nothing to do yet', async ({ page, browser, signIn }) => {
  await signIn(page, 'Marit');
  await page.goto('/houses');
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
  await expect(crew.getByRole('listitem').filter({ hasText: 'Signe' })).toBeVisible();

  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await signIn(phone, 'Signe');
  await phone.goto('/');
  await expect(phone).toHaveURL(/\/my-day$/);
  await expect(phone.getByText('Nothing is handed to you for today, Signe.')).toBeVisible();
  await phone.getByRole('button', { name: /^Sign out/ }).click();
  await expect(phone).toHaveURL(/\/signin$/);
  await phone.goto('/');
  await expect(phone).toHaveURL(/\/signin$/);
});

test('a finisher’s day shows what can go, what waits, and logs part of it on the board', async ({
  page,
  house,
  signIn,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Petra');
  await page.goto(`${house}/my-day`);
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('Bunk room');
  await expect(page.getByRole('list', { name: 'Then' })).toContainText('Bath, sand');
  await page.getByRole('link', { name: 'Part done, or something else' }).click();
  await expect(page).toHaveURL(/\/board#bunk-room$/);
  const room = page.getByRole('region', { name: 'Bunk room' });
  await room.getByRole('button', { name: /^Fasteners: Go: fill coat/ }).click();
  await page.getByLabel('Only so many').fill('23');
  await page.getByRole('button', { name: 'Some' }).click();
  await expect(room.getByRole('button', { name: /^Fasteners:/ })).toHaveAccessibleName(/10 % done/);
});

test('day and night are remembered', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await page.goto(house);
  await isLive(page);
  await page.getByRole('button', { name: 'Day or night' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'oak-night');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'oak-night');
});
