import { expect, test, visit } from './site';

test('a coat over what must be fixed first asks one question, and keeps the answer', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Tobin');
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Day room' });
  const flats = room.getByRole('button', { name: /^Flats:/ });
  await flats.click();
  // The rest of the fill lies beside the bubble; the finish would go over it.
  await page.getByLabel('Coat', { exact: true }).selectOption({ label: 'Finish coat' });
  await page.getByRole('button', { name: 'All done' }).click();
  const question = page.getByRole('alert').filter({ hasText: 'Fix before covering in Day room: Bubble, loose tape' });
  await question.getByRole('button', { name: 'Cover anyway' }).click();
  await question.getByRole('button', { name: 'Cover anyway' }).click();
  await expect(question).toContainText('Say why before you cover it.');
  await question.getByLabel('Why is it covered?').fill('behind the stove');
  await question.getByRole('button', { name: 'Cover anyway' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await visit(page, `${house}/my-day`);
  await expect(page.getByText('Covered before it was fixed: behind the stove')).toBeVisible();
});

test('a problem that names no joint stops Done on My day until it is fixed', async ({ page, house, signIn }) => {
  await signIn(page, 'Tobin');
  await visit(page, `${house}/my-day`);
  const now = page.getByRole('region', { name: 'Now' });
  await expect(now.getByRole('heading', { level: 2 })).toContainText('Fill coat on fasteners, flats');
  await now.getByRole('button', { name: 'Report problem' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Crack', exact: true }).click();
  await dialog.getByRole('button', { name: 'Save problem' }).click();
  await expect(now.getByRole('list', { name: 'Open items of Day room' })).toContainText('Crack');
  await now.getByRole('button', { name: 'Done', exact: true }).click();
  const question = now.getByRole('alert').filter({ hasText: 'Fix before covering in Day room' });
  await expect(question).toContainText('Crack');
  await question.getByRole('button', { name: 'Fixed now' }).click();
  await expect(now).toHaveCount(0);
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Day room' });
  await expect(room.getByRole('button', { name: /^Fasteners:/ })).toHaveAccessibleName(/Fill coat wet/);
});
