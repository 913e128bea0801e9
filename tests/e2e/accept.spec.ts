import { expect, handOut, keepRoom, startHouse, test, untilTaken, visit } from './site';

test('hanging is accepted face by face before tape; the hanger has a list, and an address that ends', async ({
  page,
  browser,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const house = await startHouse(page, 'House to accept');
  await keepRoom(page, "Den 12' x 10' x 8', door 32x80 wall 1");
  await visit(page, `${house}/coats`);
  await untilTaken(page, '/commands/saveMethod', () =>
    page
      .getByRole('group', { name: 'The hanging', exact: true })
      .getByRole('radio', { name: /Accepted face by face/ })
      .check(),
  );
  await visit(page, `${house}/board`);
  await expect(page.getByText('the hanging is not accepted').first()).toBeVisible();

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await signIn(phone, 'Marit');
  await visit(phone, `${house}/walk`);
  const den = phone.getByRole('region', { name: 'Hanging of Den' });
  await expect(den).toContainText('0 of 5 faces good');
  // Nothing is on its walls that a thumb could correct.
  await expect(phone.getByRole('button', { name: /^All of Den:|grey/ })).toHaveCount(0);
  await untilTaken(phone, '/api/entries', () => den.getByRole('button', { name: 'Hold: wall 2 of Den' }).click());
  await expect(den).toContainText('held for the hanger');
  await den.getByRole('button', { name: 'Report problem on wall 2' }).click();
  const dialog = phone.getByRole('dialog', { name: 'Report problem in Den' });
  await dialog.getByRole('button', { name: 'Gap in the board' }).click();
  await dialog.getByLabel('How long').fill('40q');
  await dialog.getByRole('button', { name: 'Save problem' }).click();
  await expect(dialog.getByText(/does not belong in a length/)).toBeVisible();
  await dialog.getByLabel('How long').fill('3 ft 4');
  await dialog.getByLabel('How wide').fill('20');
  await dialog.getByRole('button', { name: 'Save problem' }).click();
  await expect(dialog.getByText('Too wide to fill. Cut in a piece of board.')).toBeVisible();
  await dialog.getByLabel('How wide').fill('1/2');
  await untilTaken(phone, '/api/entries', () => dialog.getByRole('button', { name: 'Save problem' }).click());
  await expect(den).toContainText('1 to mend');
  await untilTaken(phone, '/api/entries', () => den.getByRole('button', { name: 'Good: wall 1 of Den' }).click());
  await expect(den).toContainText('1 of 5 faces good');

  await phone.getByRole('link', { name: 'The hanger’s list' }).click();
  const list = phone.getByRole('article', { name: 'The hanger’s list' });
  await expect(list).toContainText(/Gap in the board, 3′.* long, 1\/2 in wide, wall 2/);
  await expect(list).toContainText('held until mended: wall 2');
  await phone.getByRole('button', { name: 'Create share link' }).click();
  const address = (await phone.getByRole('status').locator('code').textContent()) ?? '';
  const stranger = await (await browser.newContext()).newPage();
  await visit(stranger, address);
  await expect(stranger.getByRole('article', { name: 'The hanger’s list' })).toContainText(/3′.* of gaps/);
  await expect(stranger.getByRole('link')).toHaveCount(0);
  await untilTaken(phone, '/commands/hideHouse', () => phone.getByRole('button', { name: /^End link/ }).click());
  await stranger.reload();
  await expect(stranger.getByRole('article')).toHaveCount(0);

  await visit(phone, `${house}/walk`);
  await untilTaken(phone, '/api/entries', () => den.getByRole('button', { name: 'The rest of Den is good' }).click());
  await expect(den).toContainText('5 of 5 faces good');
  await visit(page, `${house}/board`);
  await expect(page.getByText('the hanging is not accepted')).toHaveCount(0);
  await visit(page, `${house}/load`);
  await expect(page.getByRole('main')).toContainText(/Gaps to pre-fill/);

  // They are a job of their own, and the tape waits until they are firm.
  await handOut(page, house, 'Pre-fill', 'Marit');
  await visit(phone, `${house}/my-day`);
  const job = phone.getByRole('region', { name: 'Now' });
  await expect(job.getByRole('heading', { level: 2 })).toHaveText('Pre-fill the gaps');
  await job.getByRole('button', { name: 'Done', exact: true }).click();
  await untilTaken(phone, '/api/entries', () => job.getByRole('button', { name: '10 min ago' }).click());
  await expect(phone.getByText(/^Done: Den pre-fill/)).toBeVisible();
  await visit(page, `${house}/board`);
  const row = page.getByRole('region', { name: 'Den' });
  await expect(row.getByText('Pre-fill not firm').first()).toBeVisible();
  await expect(row.getByRole('button', { name: 'Pre-fill Den' })).toHaveCount(0);
  await untilTaken(page, '/api/entries', () => page.getByRole('button', { name: 'Undo Den: pre-filled' }).click());
  await expect(row.getByText('Pre-fill not firm')).toHaveCount(0);
  await row.getByRole('button', { name: 'Pre-fill Den' }).click();
  const prefill = page.getByRole('dialog', { name: 'Den: pre-fill' });
  await prefill.getByLabel('Where').selectOption('wall 2');
  await prefill.getByLabel('Mud').selectOption('drying mud');
  await untilTaken(page, '/api/entries', () => prefill.getByRole('button', { name: 'Filled' }).click());
  await expect(row.getByText('Pre-fill not firm').first()).toBeVisible();
});
