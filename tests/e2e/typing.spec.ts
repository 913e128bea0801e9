import { expect, isLive, startHouse, test, visit } from './site';

test('rooms are typed one after the other, and no key leads to another page', async ({ page, signIn }) => {
  await signIn(page, 'Marit');
  const house = await startHouse(page, 'Typed House');
  const rooms = page.getByRole('navigation', { name: 'Rooms' }).getByRole('listitem');
  const line = page.getByLabel('Quick line');
  await isLive(page);
  for (const text of ["Hall 22' x 3'6 x 8'", "Bath 8' x 5' x 8'", "Den 12' x 10' x 8'"]) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  }
  await expect(rooms).toHaveText([/^Hall/, /^Bath/, /^Den/]);
  await expect(line).toBeFocused();
  // Even where the focus was lost, what is typed is a room.
  await page.getByRole('heading', { name: 'Den' }).click();
  await page.keyboard.type("2nd bath 8' x 5' x 8'");
  await expect(line).toHaveValue("2nd bath 8' x 5' x 8'");
  await page.keyboard.press('Enter');
  await expect(rooms).toHaveCount(4);
  // From an opened room, `n` and the name follow each other at once.
  await visit(page, `${house}/tally?room=hall`);
  await isLive(page);
  await page.keyboard.type("nLinen 4' x 2' x 8'");
  await expect(line).toHaveValue("Linen 4' x 2' x 8'");
  await expect(page).toHaveURL(/\/tally\?new/);
  await page.keyboard.press('Enter');
  await expect(rooms).toHaveCount(5);
  await page.goBack();
  await expect(line).toHaveValue(/^Hall: 22'/);
  // Somebody who leaves right after Enter finds nothing unsaved when they come back.
  await page.keyboard.type("nShaft 3' x 3' x 8'");
  await page.keyboard.press('Enter');
  await page.goto(`${house}/load`);
  await page.goto(`${house}/tally?new`);
  await isLive(page);
  await expect(rooms).toHaveCount(6);
  await expect(page.getByRole('button', { name: 'Restore' })).toHaveCount(0);
});

test('several lines are pasted at once, each with its picture or its error, and saved together', async ({
  page,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await startHouse(page, 'Pasted House');
  const line = page.getByLabel('Quick line');
  await isLive(page);
  await line.fill("Bed 1 12' x 10' x 8'\n\nBed 2 11' x 10' x 8', closet 5' x 2'\nBath 8' x 5' x 8'\n");
  const list = page.getByRole('region', { name: 'Rooms to save' });
  const rows = list.getByRole('listitem');
  await expect(rows).toHaveCount(3);
  await expect(rows.nth(0).getByRole('img', { name: 'Bed 1' })).toBeVisible();
  await expect(rows.nth(0)).toContainText(/\d+ ft of joint/);
  await expect(rows.nth(1)).toContainText('A closet is a room of its own, on its own line.');
  await expect(list.getByRole('button', { name: 'Save 2 rooms' })).toBeEnabled();
  await rows.nth(1).getByRole('button', { name: 'Move it to its own line' }).click();
  await expect(rows).toHaveCount(4);
  await expect(line).toHaveValue('');
  // Nothing is lost by a reload.
  await page.reload();
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(rows).toHaveCount(4);
  await list.getByRole('button', { name: 'Save 4 rooms' }).click();
  await expect(list).toHaveCount(0);
  await expect(page.getByRole('navigation', { name: 'Rooms' }).getByRole('listitem')).toHaveText([
    /^Bed 1/,
    /^Bed 2/,
    /^Bath/,
    /^Bed closet/,
  ]);
  // Shift+Enter goes on below.
  await line.fill("Hall 20' x 4' x 8'");
  await line.press('Shift+Enter');
  await expect(rows).toHaveCount(1);
  await rows.getByRole('button', { name: 'Discard' }).click();
  await expect(list).toHaveCount(0);
});
