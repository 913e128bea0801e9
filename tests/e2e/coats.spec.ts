import { copyHouse } from './copyHouse';
import { expect, test, untilTaken, visit } from './site';
import { lockHouse } from './testDatabase';

test('choosing a level changes the ladder, the load and the coats to come', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await expect(page.getByRole('button', { name: /^Level 4 chosen/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: /^Level 2/ }).click();
  await page.getByRole('tab', { name: 'Coat ladder' }).click();
  await expect(page.getByRole('heading', { name: 'Coat ladder at level 2' })).toBeVisible();
  await expect(page.getByRole('link', { name: /Coats/ })).toContainText('level 2');
  await visit(page, `${house}/run`);
  // Only the lantern room, which carries level 5, still has a fill round.
  await page.getByRole('button', { name: 'Assign several' }).click();
  const dialog = page.getByRole('dialog', { name: 'Assign several' });
  await dialog.getByLabel('Work', { exact: true }).selectOption({ label: 'Fill: everything' });
  await expect(dialog.getByRole('checkbox')).toHaveCount(1);
  await expect(dialog.getByLabel('Lantern room')).toBeChecked();
});

test('a room may have a level of its own', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await page.getByRole('tab', { name: 'Room by room' }).click();
  const level = page.getByLabel('Level of Boot room', { exact: true });
  await untilTaken(page, '/commands/saveRoomFinish', () => level.selectOption({ label: 'level 5' }));
  await visit(page, `${house}/board`);
  await expect(
    page
      .getByRole('region', { name: 'Boot room' })
      .getByRole('button', { name: /^Whole surface: Stuck, the joints come first/ }),
  ).toBeVisible();
  await visit(page, `${house}/coats`);
  await page.getByRole('tab', { name: 'Room by room' }).click();
  await untilTaken(page, '/commands/saveRoomFinish', () => level.selectOption({ label: 'as house (4)' }));
  await visit(page, `${house}/board`);
  await expect(
    page.getByRole('region', { name: 'Boot room' }).getByRole('button', { name: /^Whole surface/ }),
  ).toHaveCount(0);
});

test('what covers a room asks for a level, and a face may have its own', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await page.getByRole('tab', { name: 'Room by room' }).click();
  await page.getByLabel('Surface of Pantry', { exact: true }).selectOption('gloss');
  const pantry = page.getByRole('listitem').filter({ has: page.getByLabel('Surface of Pantry', { exact: true }) });
  await expect(pantry).toContainText('gloss in ordinary light asks for level 5');
  await pantry.getByRole('button', { name: 'Level 5' }).click();
  await expect(page.getByLabel('Level of Pantry', { exact: true })).toHaveValue('5');
  const bath = page.getByRole('listitem').filter({ has: page.getByLabel('Surface of Bath', { exact: true }) });
  await bath.getByText('Faces').click();
  await bath.getByLabel('Level of Ceiling').selectOption('5');
  await expect(bath).toContainText('some of their own');
  await visit(page, `${house}/board`);
  // The bath is 8 by 6 ft or so: its ceiling alone is skimmed.
  await page
    .getByRole('region', { name: 'Bath' })
    .getByRole('button', { name: /^Whole surface/ })
    .click();
  const amount = Number(
    /([\d,]+) ft²/.exec((await page.getByRole('dialog').textContent()) ?? '')?.[1]?.replace(',', ''),
  );
  expect(amount).toBeGreaterThan(20);
  expect(amount).toBeLessThan(150);
});

test('a level chosen over a newer one is refused and said', async ({ page, browser, signIn, house }) => {
  await signIn(page, 'Marit');
  // A page that is cut off from the stream, and from asking, does not see the change coming.
  await page.route(/\/api\/live/, (route) => route.abort());
  await visit(page, `${house}/coats`);
  const other = await browser.newPage();
  await signIn(other, 'Marit');
  await visit(other, `${house}/coats`);
  await other.getByRole('button', { name: /^Level 3/ }).click();
  await expect(other.getByRole('link', { name: /Coats/ })).toContainText('level 3');
  await page.getByRole('button', { name: /^Level 5/ }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Somebody changed this' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Level 3 chosen/ })).toBeVisible();
});

test('a finisher sees the levels and changes none', async ({ page, house, signIn }) => {
  await signIn(page, 'Ines');
  await visit(page, `${house}/coats`);
  await expect(page.getByRole('button', { name: /^Level 5/ })).toBeDisabled();
  await expect(page.getByRole('radio', { name: /Flat boxes/ })).toBeDisabled();
  await page.getByRole('tab', { name: 'Room by room' }).click();
  await expect(page.getByLabel('Level of Bath', { exact: true })).toBeDisabled();
});

test('an answer shows its price for this house, and is kept', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  const boxes = page.getByRole('radio', { name: /Flat boxes/ });
  // The price comes from the worker.
  await expect(page.locator('label', { has: boxes })).toContainText(/−\d+ h/);
  await page.getByRole('radio', { name: /Widening knives/ }).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(boxes).toBeChecked();
  await expect(page.locator('label', { has: boxes })).toContainText('as planned');
  await page.getByRole('tab', { name: 'Coat ladder' }).click();
  await expect(page.getByText(/10 in flat box, set to 2/).first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole('radio', { name: /Flat boxes/ })).toBeChecked();
  await page.getByRole('radio', { name: /Setting for tape and fill/ }).check();
  await page.getByLabel('Label of the setting mud').selectOption('20 min');
  await page.getByRole('tab', { name: 'Coat ladder' }).click();
  await expect(page.getByText(/Wait 30 min from mixing/).first()).toBeVisible();
});

test('choices that a slow server has not answered when the page is left are kept, the last one last', async ({
  page,
  signIn,
  site,
  house,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  const answer = (name: RegExp) => page.getByRole('radio', { name });
  await expect(page.locator('label', { has: answer(/Flat boxes/) })).toContainText(/−\d+ h/);
  // The first choice is on its way and waits at the database; the second waits for it on the page.
  const release = await lockHouse(site.database, house.split('/').at(-1) ?? '');
  await answer(/Widening knives/).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  // No longer than that: a database that never answers is given up.
  await page.reload({ waitUntil: 'commit' });
  await release();
  await expect(answer(/Flat boxes/)).toBeChecked();
});

test('a choice after one whose answer was lost is kept', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  const answer = (name: RegExp) => page.getByRole('radio', { name });
  await page.route(
    '**/api/commands/saveMethod',
    async (route) => {
      // The server takes it, and the page never hears of it.
      expect(await (await route.fetch()).json()).toMatchObject({ ok: true });
      await route.abort();
    },
    { times: 1 },
  );
  await answer(/Hawk and trowel/).check();
  await expect(page.getByText('The server did not answer').first()).toBeVisible();
  await untilTaken(page, '/commands/saveMethod', () => answer(/Flat boxes/).check());
  await page.reload();
  await expect(answer(/Flat boxes/)).toBeChecked();
});

test('what contradicts itself is named, not kept, and mended with one touch', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await page.getByRole('radio', { name: /Mesh on flats$|Mesh on flats(?! and)/ }).check();
  const list = page.getByRole('list', { name: 'Contradictions' });
  await expect(list).toContainText('mesh in drying mud cracks');
  await expect(page.getByRole('status').filter({ hasText: 'Not saved.' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('radio', { name: /Paper everywhere/ })).toBeChecked();
  await page.getByRole('radio', { name: /Mesh on flats$|Mesh on flats(?! and)/ }).check();
  await list.getByRole('button', { name: 'Setting mud for tape and fill' }).first().click();
  await expect(page.getByText('Not saved.')).toHaveCount(0);
  await visit(page, `${house}/load`);
  const order = page.getByRole('table').first();
  await expect(order.getByRole('row', { name: /Mesh tape/ })).toBeVisible();
  await expect(order.getByRole('row', { name: /Setting mud/ })).toBeVisible();
  // What was taped before stays what it was.
  const onHand = page.getByRole('region', { name: 'On hand' });
  await expect(onHand.getByRole('row', { name: /Paper tape.*1,\d{3} ft/ })).toBeVisible();
  await expect(onHand.getByRole('row', { name: /Mesh tape 0 ft 0 ft/ })).toBeVisible();
});

test('the section follows its sliders, and what they show is taken over', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await page.getByRole('tab', { name: 'Section' }).click();
  const section = page.getByRole('region', { name: 'Section' });
  await expect(section.getByRole('list', { name: 'Advice' })).toContainText('Wide enough');
  // 37 in over all: that is no longer floated.
  await section.getByLabel('How far the ends stand proud').fill('2');
  await expect(section.getByRole('list', { name: 'Advice' })).toContainText('Cut it back and tape it again');
  await section.getByLabel('How far the ends stand proud').fill('1.5');
  await expect(section.getByRole('list', { name: 'Advice' })).toContainText('Wider by');
  await section.getByLabel('Width of the last coat').fill(String(36 * 25.4));
  await expect(section.getByRole('list', { name: 'Advice' })).toContainText('Wide enough');
  await section.getByRole('button', { name: 'Finish butts so' }).click();
  await page.getByRole('tab', { name: 'Coat ladder' }).click();
  await expect(page.getByText(/18 in knife/)).toBeVisible();
});

test('the knife check says what was found, and refuses what is no length', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await page.getByRole('tab', { name: 'Section' }).click();
  await page.getByLabel('Where').selectOption({ label: 'Hall' });
  const check = page.getByRole('region', { name: 'Knife check' });
  await check.getByLabel('It lifts by').fill('quarter');
  await expect(check.getByLabel('It lifts by')).toHaveAttribute('aria-invalid', 'true');
  await check.getByLabel('It lifts by').fill('3/16');
  await expect(check).toContainText('A hump of 3/32 in');
  await expect(check).toContainText('32 in over all');
  await check.getByRole('button', { name: 'Found so: butts in Hall' }).click();
  await expect(page.getByLabel('Where').locator('option:checked')).toHaveText('Hall (its own)');
  await page.getByRole('button', { name: 'Use house settings' }).click();
  await expect(page.getByLabel('Where').locator('option:checked')).toHaveText('Hall');
});

test('a method is kept under a name, and starts another house', async ({ page, house, signIn, site }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await page.getByRole('button', { name: /^Hawk and trowel/ }).click();
  await expect(page.getByRole('radio', { name: /Hawk and trowel/ })).toBeChecked();
  await page.getByLabel('Save this method as').fill('Our winter way');
  await page.getByRole('button', { name: 'Save preset' }).click();
  await expect(page.getByRole('button', { name: /^Our winter way/ })).toBeVisible();
  const second = `/h/${await copyHouse(site.database, 'Second house')}`;
  await visit(page, `${second}/coats`);
  await page.getByRole('button', { name: /^Our winter way/ }).click();
  await expect(page.getByRole('radio', { name: /Hawk and trowel/ })).toBeChecked();
  await page.getByRole('button', { name: 'Forget Our winter way' }).click();
  await expect(page.getByRole('button', { name: /^Our winter way/ })).toHaveCount(0);
});

test('a lost server loses no answer', async ({ page, signIn, house }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await expect(page.locator('label', { has: page.getByRole('radio', { name: /Flat boxes/ }) })).toContainText(/−\d+ h/);
  await page.route('**/api/commands/**', (route) => route.abort());
  await page.getByRole('radio', { name: /Hawk and trowel/ }).check();
  await expect(page.getByRole('alert').filter({ hasText: /server/i })).toBeVisible();
  await expect(page.getByRole('radio', { name: /Hawk and trowel/ })).toBeChecked();
  await page.unroute('**/api/commands/**');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('alert').filter({ hasText: /server/i })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('radio', { name: /Hawk and trowel/ })).toBeChecked();
});
