import { expect, isLive, keepRoom, test, untilTaken, visit } from './site';

test('a line of the tally lights its joints in the picture, and back', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?room=hall`);
  const picture = page.getByRole('img', { name: /laid flat/ });
  const flat = picture.locator('[data-joint="flat"]').first();
  const angle = picture.locator('[data-joint="angle"]').first();
  await page.getByRole('region', { name: 'Tally of Hall' }).getByRole('button', { name: 'Flats' }).focus();
  await expect(angle).toHaveAttribute('opacity', '0.18');
  await expect(flat).toHaveAttribute('opacity', '1');
  await page.getByLabel('Quick line').focus();
  await expect(angle).toHaveAttribute('opacity', '1');
  await flat.locator('path').first().hover({ force: true });
  await expect(angle).toHaveAttribute('opacity', '0.18');
  await expect(page.getByRole('region', { name: 'Tally of Hall' }).getByRole('row', { name: /Flats/ })).toHaveClass(
    /bg-base-200/,
  );
});

test('the quick line and the form redraw each other', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  const line = page.getByLabel('Quick line');
  await line.fill("Sail room: 12' x 10' x 8', window 36x48 @36 wall 3 bead");
  await page.getByRole('button', { name: 'As a form' }).click();
  const form = page.getByRole('form', { name: 'Room as a form' });
  const sizes = form.getByLabel('Length x width x height');
  await expect(sizes).toHaveValue("12' x 10' x 8'");
  await sizes.fill("16' x 10' x 8'");
  await expect(line).toHaveValue(/^Sail room: 16' x 10'/);
  await form.getByLabel('Add').selectOption({ label: 'Soffit' });
  const soffit = form.getByRole('group', { name: 'Soffit' });
  await soffit.getByLabel('Depth').fill('24');
  await soffit.getByLabel('Drop').fill('12');
  await expect(soffit.getByText('the wall is missing')).toBeVisible();
  await soffit.getByLabel('Wall').selectOption('2');
  await expect(line).toHaveValue(/, soffit 24x12 wall 2/);
  await expect(page.getByRole('img', { name: /laid flat/ })).toContainText('soffit 1');
  const window = form.getByRole('group', { name: 'Window' });
  await window.getByLabel('Sill').fill('3x');
  await expect(window.getByText('"x" does not belong in a length')).toBeVisible();
  await expect(window.getByLabel('Sill')).toHaveValue('3x');
  await line.fill("Sail room: 9' x 10' x 8'");
  await expect(sizes).toHaveValue("9' x 10' x 8'");
  await expect(form.getByRole('group')).toHaveCount(0);
});

test('what is wrong in the line is said, the last good picture stays, and nothing typed is lost', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  const line = page.getByLabel('Quick line');
  await line.fill("Sail room: 12' x 10' x 8', door 32x80 wall 1");
  await expect(page.getByRole('img', { name: /laid flat/ })).toContainText('door');
  await line.fill("Sail room: 12' x 10' x 8', door 32x80 wall 9");
  await expect(page.getByText('the room has 4 walls')).toBeVisible();
  await expect(page.getByRole('img', { name: /laid flat/ })).toContainText('door');
  await expect(page.getByRole('button', { name: 'Save room' })).toBeDisabled();
  await expect(line).toHaveValue(/wall 9/);
});

test('a lost server loses nothing that was typed', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  const line = page.getByLabel('Quick line');
  await line.fill("Lost room: 8' x 8' x 8'");
  await page.route('**/api/commands/**', (route) => route.abort());
  await line.press('Enter');
  const unsaved = page.getByRole('region', { name: 'Rooms to save' });
  await expect(unsaved.getByRole('alert')).toContainText('No connection. The room is on this device');
  await expect(unsaved.getByLabel('Line of Lost room')).toHaveValue("Lost room: 8' x 8' x 8'");
  await page.reload();
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(line).toHaveValue("Lost room: 8' x 8' x 8'");
  await page.unroute('**/api/commands/**');
  await line.press('Enter');
  await page.getByRole('link', { name: 'Open Lost room' }).click();
  await expect(page).toHaveURL(/room=lost-room/);
});

test('a save over a newer version shows both and overwrites neither by itself', async ({
  page,
  browser,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Shared room: 10' x 10' x 8'");
  await page.getByLabel('Quick line').fill("Shared room: 12' x 10' x 8'");
  const other = await browser.newPage();
  await signIn(other, 'Marit');
  await visit(other, page.url());
  await other.bringToFront();
  await isLive(other);
  await other.getByLabel('Quick line').fill("Shared room: 11' x 10' x 8'");
  await other.getByLabel('Quick line').press('Enter');
  await expect(other.getByText('Saved.')).toBeVisible();
  await page.bringToFront();
  await page.getByRole('button', { name: 'Save changes' }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'Somebody changed this room' });
  await expect(notice).toContainText("Shared room: 11' x 10' x 8'");
  await expect(notice).toContainText("Shared room: 12' x 10' x 8'");
  await page.getByRole('button', { name: 'Take theirs' }).click();
  await expect(page.getByLabel('Quick line')).toHaveValue("Shared room: 11' x 10' x 8'");
});

test('what was typed and not kept outlives the page, and is sent again where no server answered', async ({
  page,
  context,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Lost room: 10' x 10' x 8'");
  const line = page.getByLabel('Quick line');
  await line.fill("Lost room: 11' x 10' x 8'");
  await expect(page.getByText('Rooms as a table')).toBeVisible();
  await page.reload();
  await expect(line).toHaveValue("Lost room: 10' x 10' x 8'");
  const left = page.getByRole('status').filter({ hasText: 'Unsaved changes' });
  await expect(left).toContainText("Lost room: 11' x 10' x 8'");
  await left.getByRole('button', { name: 'Restore' }).click();
  await expect(line).toHaveValue("Lost room: 11' x 10' x 8'");

  await context.setOffline(true);
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByText('Saved on this device; it will send by itself')).toBeVisible();
  await untilTaken(page, '/commands/saveRoom', () => context.setOffline(false));
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.reload();
  await expect(line).toHaveValue("Lost room: 11' x 10' x 8'");
  await expect(left).toHaveCount(0);

  // Given up it is gone.
  await line.fill("Lost room: 14' x 10' x 8'");
  await page.reload();
  await left.getByRole('button', { name: 'Discard' }).click();
  await expect(left).toHaveCount(0);
  await page.reload();
  await expect(line).toHaveValue("Lost room: 11' x 10' x 8'");
  await isLive(page);
  await expect(left).toHaveCount(0);
});

test('the keyboard opens stations, the quick line, a new room and the keys', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, house);
  await isLive(page);
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/\/tally$/);
  await expect(page.getByRole('img', { name: /laid flat/ })).toBeVisible();
  await page.keyboard.press('/');
  await expect(page.getByLabel('Quick line')).toBeFocused();
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await page.waitForURL(/\/tally\?new/);
  await expect(page.getByLabel('Quick line')).toBeFocused();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('The quick line');
  await page.keyboard.press('Escape');
  // At once, while the dialog is still going.
  await page.keyboard.press('6');
  await page.waitForURL(/\/board$/);
});

test('a window that is taken away leaves its trim to no other, and ids stay through the quick line', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Trim room: 12' x 10' x 8', window 24x36 wall 1, window 30x40 wall 2, edge w1.o1 J");
  const stored = async () => {
    const file: { rooms: { id: string }[] } = await (await page.request.get(`${house}/file`)).json();
    return file.rooms.find(({ id }) => id === 'trim-room');
  };
  expect(await stored()).toMatchObject({ openings: [{ id: 'o0' }, { id: 'o1' }], beads: { edges: { 'w1.o1': 'J' } } });
  const line = page.getByLabel('Quick line');
  const keepLine = (text: string) =>
    untilTaken(page, '/api/commands/saveRoom', async () => {
      await line.fill(text);
      await line.press('Enter');
    });
  await expect(line).toHaveValue(/window 30x40/);
  await keepLine("Trim room: 12' x 10' x 8', window 30x40 wall 2, edge w1.o1 J");
  expect(await stored()).toMatchObject({ openings: [{ id: 'o1', width: 30 }], beads: { edges: { 'w1.o1': 'J' } } });
  await keepLine("Trim room: 12' x 10' x 8', window 30x40 wall 2, door 32x80 wall 3, edge w1.o1 J");
  // No id is given twice in a room: the door is not what the window was.
  expect(await stored()).toMatchObject({ walls: ['w0', 'w1', 'w2', 'w3'], openings: [{ id: 'o1' }, { id: 'o4' }] });
});
