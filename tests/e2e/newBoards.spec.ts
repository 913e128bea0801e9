import { expect, test, visit } from './site';

test('joints that move under coats are asked about, and start over on new boards', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?room=pantry`);
  const line = page.getByRole('textbox').first();
  await line.fill(`${await line.inputValue()}, walls upright`);
  await page.getByRole('button', { name: 'Save changes' }).click();
  const question = page.getByRole('alert', { name: 'Boards of Pantry' });
  await expect(question).toContainText('Pantry: joints moved under coats on wall 1');
  // Nobody has to answer at once: it is asked on the board too.
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Pantry' });
  await expect(room.getByRole('alert', { name: 'Boards of Pantry' })).toBeVisible();
  await room.getByRole('button', { name: 'Start joints over' }).click();
  await expect(room.getByRole('alert')).toHaveCount(0);
  await expect(room.getByRole('button', { name: /^Flats:/ })).toHaveAccessibleName(/Go: tape coat/);
  await page.getByRole('button', { name: /^Undo Pantry: new boards/ }).click();
  await expect(room.getByRole('alert', { name: 'Boards of Pantry' })).toBeVisible();
  await room.getByRole('button', { name: 'Keep coats: same boards' }).click();
  await expect(room.getByRole('alert')).toHaveCount(0);
});

test('a wall that was hung anew just as before starts over by one dialog', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?room=pantry`);
  await page.getByRole('button', { name: 'New boards …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Start joints over' }).click();
  await expect(dialog).toContainText('Choose the faces with new boards.');
  await dialog.getByLabel('wall 2', { exact: true }).check();
  await dialog.getByRole('button', { name: 'Start joints over' }).click();
  await expect(dialog).toHaveCount(0);
  await visit(page, `${house}/board`);
  const flats = page.getByRole('region', { name: 'Pantry' }).getByRole('button', { name: /^Flats:/ });
  await expect(flats).toHaveAccessibleName(/Go: tape coat/);
});
