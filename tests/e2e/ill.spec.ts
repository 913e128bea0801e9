import { expect, test, untilTaken, visit } from './site';

test('somebody is ill: their work is shared out, phones follow, and they come back', async ({
  page,
  browser,
  house,
  signIn,
}) => {
  const phone = await browser.newPage({ viewport: { width: 360, height: 740 } });
  await signIn(phone, 'Petra');
  await visit(phone, `${house}/my-day`);
  await expect(phone.getByRole('region', { name: 'Now' })).toContainText('Bunk room');

  await signIn(page, 'Marit');
  await visit(page, `${house}/run`);
  const week = page.getByRole('region', { name: 'The week' });
  await expect(week.getByRole('button', { name: /Bunk room.*assigned/ }).first()).toBeVisible({ timeout: 30_000 });
  await week.getByRole('button', { name: 'Petra is ill today' }).click();
  const dialog = page.getByRole('dialog', { name: 'Petra is ill' });
  const who = dialog.getByRole('list', { name: 'Who gets the work' });
  await expect(who).toContainText('Bunk room');
  await expect(who).not.toContainText('Petra');
  await expect(dialog).toContainText(/Finish: (same finish|.* (later|sooner))/);
  await untilTaken(page, '/api/entries', () => dialog.getByRole('button', { name: 'Confirm' }).click());
  await expect(dialog).toHaveCount(0);
  await expect(week.getByRole('button', { name: 'Petra is back today' })).toBeVisible();

  await expect(phone.getByText(/: 0 jobs left/)).toBeVisible();
  await phone.close();
  await week.getByRole('button', { name: 'Petra is back today' }).click();
  await expect(week.getByRole('button', { name: 'Petra is ill today' })).toBeVisible();
});
