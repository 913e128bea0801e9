import type { Page } from '@playwright/test';
import { expect, isLive, keepRoom, startHouse, test, visit, watchErrors } from './site';

const picture = (page: Page) => page.getByRole('img', { name: /laid flat/ });
const roomsOf = (page: Page) => page.getByRole('navigation', { name: 'Rooms' }).getByRole('listitem').getByRole('link');

test('a bedroom with a door and two windows takes at most 60 keystrokes and no click', async ({ page, signIn }) => {
  await signIn(page, 'Marit');
  await startHouse(page, 'Keystroke House');
  // The line has the focus on a new house.
  await expect(page.getByLabel('Quick line')).toBeFocused();
  let keys = 0;
  let clicks = 0;
  await page.exposeFunction('countKey', () => (keys += 1));
  await page.exposeFunction('countClick', () => (clicks += 1));
  await page.evaluate(() => {
    const count = window as unknown as { countKey: () => void; countClick: () => void };
    window.addEventListener('keydown', () => count.countKey(), true);
    window.addEventListener('pointerdown', () => count.countClick(), true);
  });
  await page.keyboard.type("Bed 12'x10',d 30x80,w 36x48,w 36x48");
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved Bed.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Tally of Bed' })).toBeVisible();
  // The cursor is in an empty line for the next room.
  await expect(page.getByLabel('Quick line')).toBeFocused();
  await expect(page.getByLabel('Quick line')).toHaveValue('');
  await page.getByRole('link', { name: 'Open Bed' }).press('Enter');
  await expect(page.getByLabel('Quick line')).toHaveValue(
    "Bed: 12' x 10' x 8', door 30x80 wall 1, window 36x48 @32 wall 2, window 36x48 @32 wall 3",
  );
  process.stdout.write(`\n  A bedroom with a door and two windows: ${keys} keystrokes, ${clicks} clicks\n`);
  expect(keys).toBeGreaterThan(0);
  expect(keys).toBeLessThanOrEqual(60);
  expect(clicks).toBe(0);
});

test('a walk that does not close says by how much, and is spread on request', async ({ page, signIn }) => {
  await signIn(page, 'Marit');
  await startHouse(page, 'Walked House');
  const line = page.getByLabel('Quick line');
  await line.fill("Landing: r 12' d 3'6 r 4' d 8' l 15'10 u 11'6, h 9'");
  await expect(page.getByText('the walls do not close: they end 2" to the right of the start')).toBeVisible();
  await page.getByRole('button', { name: 'Spread it over the 6 walls' }).click();
  await expect(line).toHaveValue(/u 11'6 spread, h 9'$/);
  await expect(picture(page)).toContainText('wall 6');
  await line.press('Enter');
  await page.getByRole('link', { name: 'Open Landing' }).click();
  await expect(line).toHaveValue(/^Landing: r 11'11/);
});

test('the line offers what may come next; Tab takes it, arrows and Enter choose', async ({ page, signIn }) => {
  await signIn(page, 'Marit');
  await startHouse(page, 'Offered House');
  const line = page.getByLabel('Quick line');
  await line.pressSequentially("Hall 8' x 6', so");
  await expect(page.getByRole('option', { name: 'soffit' })).toBeVisible();
  await line.press('Tab');
  await expect(line).toHaveValue("Hall 8' x 6', soffit ");
  await line.pressSequentially('12x10 ');
  await line.press('ArrowDown');
  await line.press('Enter');
  await expect(line).toHaveValue("Hall 8' x 6', soffit 12x10 wall ");
  await line.pressSequentially('1');
  await expect(picture(page)).toContainText('soffit 1');
});

test('the picture zooms by buttons and keys, opens a face large, and shows one class alone', async ({
  page,
  house,
  signIn,
}) => {
  const errors = watchErrors(page);
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?room=day-room`);
  const whole = await picture(page).getAttribute('viewBox');
  // Buttons work once the page's script has taken over, which nothing on the page shows.
  await expect(async () => {
    await page.getByRole('button', { name: 'Closer' }).click();
    await expect(picture(page)).not.toHaveAttribute('viewBox', whole ?? '', { timeout: 1_000 });
  }).toPass();
  await page.getByRole('button', { name: 'The whole room' }).click();
  await expect(picture(page)).toHaveAttribute('viewBox', whole ?? '');
  await picture(page).focus();
  await page.keyboard.press('+');
  await expect(picture(page)).not.toHaveAttribute('viewBox', whole ?? '');
  await page.keyboard.press('0');
  await expect(picture(page)).toHaveAttribute('viewBox', whole ?? '');

  await page.getByLabel('Open a face large').selectOption({ label: 'wall 3' });
  const sheet = page.getByRole('dialog', { name: /Wall 3/i });
  await expect(sheet.getByRole('img')).toContainText('opening 5′ × 7′');
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();

  const tally = page.getByRole('region', { name: 'Tally of Day room' });
  await tally.getByRole('button', { name: /Flats/ }).click();
  await page.getByLabel('Quick line').focus();
  await expect(picture(page).locator('[data-joint="angle"]').first()).toHaveAttribute('opacity', '0.18');
  await tally.getByRole('button', { name: /Flats/ }).click();
  await page.getByLabel('Quick line').focus();
  await expect(picture(page).locator('[data-joint="angle"]').first()).toHaveAttribute('opacity', '1');
  expect(errors).toEqual([]);
});

test('three layouts stand side by side, for the room and for the house, and one is taken', async ({ page, signIn }) => {
  const errors = watchErrors(page);
  await signIn(page, 'Marit');
  const house = await startHouse(page, 'Layout House');
  await keepRoom(page, "Loft: 16' x 14' x 9', knee 4' run 5' walls 1 3, window 36x48 @36 wall 2");
  await visit(page, `${house}/tally?room=loft`);
  await page.getByRole('button', { name: 'Layouts' }).click();
  const panel = page.getByRole('region', { name: 'Three ways to hang it' });
  await expect(panel.getByRole('row')).toHaveCount(4);
  await expect(panel.getByRole('row', { name: /Fewest butts/ })).toContainText('in use');
  // What to ask the hanger for in time.
  await expect(
    panel.getByRole('region', { name: 'Boards that would help' }).getByRole('listitem').first(),
  ).toContainText(/^(54 in|14 (and 16 )?ft) boards too.* of mud, −.*(min|h)/);
  await panel
    .getByRole('row', { name: /Fewest sheets/ })
    .getByRole('button', { name: 'Hang so' })
    .click();
  await expect(page.getByLabel('Quick line')).toHaveValue(/, aim boards$/);
  await expect(panel.getByRole('row', { name: /Fewest sheets/ })).toContainText('in use');
  // What the house is hung with is said once for all rooms.
  const hung = page.getByLabel('The whole house is hung');
  await hung.fill("boards 54x12', door 2x2");
  await expect(page.getByText('only boards can be said of the house')).toBeVisible();
  await hung.fill("boards 54x12'");
  const before = await panel.getByRole('row', { name: /Fewest butts/ }).textContent();
  await page.getByRole('button', { name: 'Save for the house' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  // The comparison is of the house as it is hung now.
  await expect(async () => {
    expect(await panel.getByRole('row', { name: /Fewest butts/ }).textContent()).not.toBe(before);
  }).toPass();
  await expect(page.getByRole('region', { name: 'Tally of Loft' })).toContainText('of 4′ 6″ × 12′');
  await panel.getByLabel('The whole house', { exact: true }).check();
  await expect(panel.getByRole('heading')).toHaveText('Three ways to hang the house');
  await expect(panel.getByRole('row')).toHaveCount(4);
  // And when that would be finished, planned with the crew.
  const better = panel.getByRole('region', { name: 'Boards that would help' });
  await better.getByRole('button', { name: 'When it would be finished' }).click();
  await expect(better.getByText('Rooms with work in them keep their boards')).toBeVisible();
  await expect(better.getByRole('listitem').filter({ hasText: /^As it is/ })).toHaveText(/\d{1,2}:\d\d/);
  await expect(
    better
      .getByRole('listitem')
      .filter({ hasText: /sooner|same finish|later/ })
      .first(),
  ).toBeVisible();
  expect(errors).toEqual([]);
});

test('six alike flats: copied with every other one mirrored, moved, removed and brought back', async ({
  page,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const house = await startHouse(page, 'Terrace');
  await keepRoom(page, "Flat 1: 16' x 12' x 8', door 32x80 wall 1 at 1', window 36x48 wall 3 bead");
  await page.getByRole('button', { name: 'Copy' }).click();
  const dialog = page.getByRole('dialog', { name: 'Copy Flat 1' });
  await dialog.getByLabel('How many').fill('six');
  await dialog.getByRole('button', { name: 'Copy' }).click();
  await expect(dialog.getByText('how many is a whole number')).toBeVisible();
  await dialog.getByLabel('How many').fill('5');
  await dialog.getByLabel('Copies are').selectOption({ label: 'every other one mirrored' });
  await dialog.getByRole('button', { name: 'Copy' }).click();
  await expect(page).toHaveURL(/room=flat-2$/);
  await expect(page.getByLabel('Quick line')).toHaveValue(
    /^Flat 2: 16' x 12' x 8', door 32x80 wall 1 at 12'4, .*mirrored$/,
  );
  await expect(roomsOf(page)).toHaveText([/Flat 1/, /Flat 2/, /Flat 3/, /Flat 4/, /Flat 5/, /Flat 6/]);
  // Mirrored or not, every flat has the same joints.
  await expect(async () => {
    const lengths = (await roomsOf(page).allInnerTexts()).map((text) => text.replace(/Flat \d/, '').trim());
    expect(new Set(lengths).size).toBe(1);
  }).toPass();

  await page.getByRole('button', { name: 'Remove Flat 2' }).click();
  await expect(page).toHaveURL(/removed=flat-2/);
  await expect(roomsOf(page)).toHaveText([/Flat 1/, /Flat 3/, /Flat 4/, /Flat 5/, /Flat 6/]);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(roomsOf(page)).toHaveText([/Flat 1/, /Flat 2/, /Flat 3/, /Flat 4/, /Flat 5/, /Flat 6/]);

  // By keyboard: lift, one place down, drop.
  await visit(page, `${house}/tally?room=flat-1`);
  const handle = page.getByRole('button', { name: 'Move Flat 1', exact: true });
  await isLive(page);
  await handle.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/flat-1 was moved over droppable area/)).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/was moved over droppable area flat-2/)).toBeAttached();
  await page.keyboard.press('Space');
  await expect(roomsOf(page)).toHaveText([/Flat 2/, /Flat 1/, /Flat 3/, /Flat 4/, /Flat 5/, /Flat 6/]);
  await page.reload();
  await expect(roomsOf(page).first()).toContainText('Flat 2');
});

test('rooms are placed on the plan: dragged they snap to a neighbour’s wall, arrows move them', async ({
  page,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const house = await startHouse(page, 'Planned House');
  await keepRoom(page, "Parlour: 16' x 12' x 8'");
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Study: 10' x 12' x 8'");
  await page.getByRole('button', { name: 'Plan' }).click();
  const place = (name: string) => page.getByRole('button', { name: `Place of ${name}` });
  await place('Parlour').focus();
  await page.keyboard.press('ArrowRight');
  // Dropped near the right end of its neighbour, it comes to rest a partition away and in line.
  const [parlour, study] = [await place('Parlour').boundingBox(), await place('Study').boundingBox()];
  if (!parlour || !study) throw new Error('both rooms are on the plan');
  const feet = parlour.width / 16;
  await page.mouse.move(study.x + study.width / 2, study.y + study.height / 2);
  await page.mouse.down();
  const [x, y] = [parlour.x + parlour.width + 0.7 * feet + study.width / 2, parlour.y + 0.5 * feet + study.height / 2];
  await page.mouse.move(x - 30, y - 20, { steps: 4 });
  await page.mouse.move(x, y, { steps: 4 });
  await page.mouse.up();
  await expect(async () => {
    const [a, b] = [await place('Parlour').boundingBox(), await place('Study').boundingBox()];
    if (!a || !b) throw new Error('both rooms are on the plan');
    // The boxes hold the strokes too, an inch or so on either side.
    const inches = a.width / 192;
    expect(Math.abs(b.y - a.y)).toBeLessThan(2);
    expect((b.x - a.x - a.width) / inches).toBeGreaterThan(0.5);
    expect((b.x - a.x - a.width) / inches).toBeLessThan(6.5);
  }).toPass();
  // A placed room can be kept on without asking whose version it is.
  await page.getByLabel('Quick line').press('End');
  await page.getByLabel('Quick line').pressSequentially(', level 3');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Plan' }).click();
  await expect(async () => {
    const [a, b] = [await place('Parlour').boundingBox(), await place('Study').boundingBox()];
    if (!a || !b) throw new Error('both rooms are on the plan');
    expect(Math.abs(b.y - a.y)).toBeLessThan(2);
  }).toPass();
});

test('a viewer sees the tally and may change nothing', async ({ page, house, signIn }) => {
  await signIn(page, 'Builder');
  await visit(page, `${house}/tally?room=hall`);
  await expect(picture(page)).toBeVisible();
  await page.getByRole('button', { name: 'Layouts' }).click();
  await expect(page.getByRole('region', { name: 'Three ways to hang it' }).getByRole('row')).toHaveCount(4);
  for (const name of ['Copy', 'Remove Hall', 'Plan', 'Hang so', 'Save changes'])
    await expect(page.getByRole('button', { name })).toHaveCount(0);
});
