import { expect, keepRoom, test, visit } from './site';

/** Where a page stands once a wheel was turned over it, px from its top. */
const placeAfterWheel = () =>
  new Promise<number>((resolve) =>
    window.addEventListener(
      'wheel',
      () => requestAnimationFrame(() => requestAnimationFrame(() => resolve(window.scrollY))),
      { once: true, passive: true },
    ),
  );

test('a coat is logged all, half and some, and taken back', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Rope store: 12' x 10' x 8', ceiling along");
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Rope store' });

  await room.getByRole('button', { name: /^Flats: Go: tape coat/ }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  // On a phone the page behind it stands still.
  await page.setViewportSize({ width: 390, height: 844 });
  const scrolled = await page.evaluate(() => window.scrollY);
  await page.mouse.move(5, 400);
  const turned = page.evaluate(placeAfterWheel);
  await page.mouse.wheel(0, -300);
  expect(await turned).toBe(scrolled);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: 'Half of it' }).click();
  await expect(room.getByRole('button', { name: /^Flats:/ })).toHaveAccessibleName(/Go: tape coat, 50 % done/);

  await room.getByRole('button', { name: /^Flats:/ }).click();
  await page.getByLabel('Part of it').fill('12 q');
  await page.getByRole('button', { name: 'Some' }).click();
  await expect(page.getByText('"q" does not belong in a length')).toBeVisible();
  await page.getByLabel('Part of it').fill("500'");
  await page.getByRole('button', { name: 'Some' }).click();
  await expect(page.getByText('that is all of it or more')).toBeVisible();
  await page.getByRole('button', { name: 'The rest is done' }).click();
  await expect(room.getByRole('button', { name: /^Flats:/ })).toHaveAccessibleName(/Tape coat wet/);

  await page.keyboard.press('u');
  await expect(room.getByRole('button', { name: /^Flats:/ })).toHaveAccessibleName(/50 % done/);
});

test('a coat is logged on the ceiling only, for a pair, with begun and ended', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Rope store: 12' x 10' x 8', ceiling along");
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Rope store' });
  const flats = room.getByRole('button', { name: /^Flats:/ });
  await flats.click();
  await page.getByLabel('Where').selectOption('the ceiling');
  await page.getByText('Run by Marit').click();
  await page.getByLabel('Who ran it').selectOption('Tobin');
  await page.getByLabel('With').selectOption('Ines');
  await page.getByLabel('Begun today at').fill('11:30');
  await page.getByLabel('Ended at').fill('10:15');
  await page.getByRole('button', { name: 'Done there' }).click();
  await expect(page.getByText('End must be after start.')).toBeVisible();
  await page.getByLabel('Ended at').fill('23:50');
  await page.getByRole('button', { name: 'Done there' }).click();
  await expect(page.getByText('Begun and ended lie in the past.')).toBeVisible();
  await page.getByLabel('Ended at').fill('12:10');
  await page.getByRole('button', { name: 'Done there' }).click();
  // One of two courses of seams lies on the ceiling, the others on the walls.
  await expect(flats).toHaveAccessibleName(/Go: tape coat, \d\d % done/);
  const done = page.getByRole('listitem').filter({ hasText: 'Rope store: tape coat on flats, ceiling' });
  await expect(done).toContainText('Tobin and Ines');

  await flats.click();
  await page.getByLabel('Where').selectOption('all but the ceiling');
  await page.getByRole('button', { name: 'Done there' }).click();
  await expect(flats).toHaveAccessibleName(/Tape coat wet/);
  await visit(page, `${house}/hand-over/rope-store`);
  await expect(page.getByRole('row', { name: /^Flats.*Tape coat 100 %/ })).toContainText(
    /12:10, Tobin and Ines, dried in [^;]*; .*Marit/,
  );
});

test('a coat is logged on the joints that are tapped, and goes on there by itself', async ({
  page,
  house,
  signIn,
  moveClock,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Rope store: 12' x 10' x 8', ceiling along");
  await visit(page, `${house}/board`);
  const flats = page.getByRole('region', { name: 'Rope store' }).getByRole('button', { name: /^Flats:/ });
  await flats.click();
  await page.getByLabel('Where').selectOption('joints that I tap');
  await page.getByRole('button', { name: 'Done there' }).click();
  await expect(page.getByText('Tap the joints that are done.').first()).toBeVisible();
  const joints = page.getByRole('dialog').getByRole('checkbox');
  // Four courses of walls and two seams of a ceiling.
  await expect(joints.first()).toBeVisible();
  const all = await joints.count();
  const wall = joints.and(page.getByLabel(/on wall 1/));
  await wall.first().click();
  await expect(wall.first()).toBeChecked();
  await page
    .getByLabel(/on wall 3/)
    .first()
    .focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(`2 of ${all},`)).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByText('What was in the pail').click();
  await page.getByLabel('Product').fill('All-purpose, green lid');
  await page.getByLabel('Batch').fill('B7');
  await expect(page.getByText(`1 of ${all}, 12 ft`)).toBeVisible();
  await page.getByRole('button', { name: 'Done there' }).click();
  await expect(flats).toHaveAccessibleName(/Go: tape coat, \d\d % done/);
  await expect(page.getByText('Rope store: tape coat on flats, 1 piece')).toBeVisible();
  await visit(page, `${house}/hand-over/rope-store`);
  await expect(page.getByRole('row', { name: /^Flats.*Tape coat/ })).toContainText('All-purpose, green lid, batch B7');
  // Two days later that seam can have its fill, though nothing else was taped.
  moveClock(48);
  await signIn(page, 'Marit');
  await visit(page, `${house}/board`);
  await expect(flats).toHaveAccessibleName(/Go: tape coat, \d\d % done, fill coat on \d\d %/);
  await flats.click();
  await page.getByLabel('Where').selectOption('joints that I tap');
  await expect(page.getByRole('dialog').getByRole('checkbox', { name: /on already/ })).toHaveCount(1);
});

test('setting mud is ready within the hour where drying mud is not', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Lamp store: 6' x 5' x 8'");
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Lamp store' });
  await room.getByRole('button', { name: /^Flats:/ }).click();
  await page.getByLabel('Mud').selectOption({ label: 'setting, 20 min' });
  await page.getByLabel('Mixed, minutes before').fill('soon');
  await page.getByRole('button', { name: 'All done' }).click();
  await expect(page.getByText('how many minutes before?')).toBeVisible();
  // The clock of setting mud starts at mixing: ten minutes of its thirty are gone.
  await page.getByLabel('Mixed, minutes before').fill('10');
  await page.getByRole('button', { name: 'All done' }).click();
  await expect(room.getByRole('button', { name: /^Flats:/ })).toHaveAccessibleName(
    /Tape coat wet, until (tomorrow )?\d/,
  );
  await visit(page, `${house}/dry?room=lamp-store`);
  const panel = page.getByRole('region', { name: 'Lamp store, drying' });
  await expect(panel.getByText(/all dry in (19|20) min/)).toBeVisible();
  await expect(panel.getByText(/work it until/)).toBeVisible();
});

test('a coat that is logged late dries from when it was put on', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Late store: 6' x 5' x 8'");
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Late store' });
  await room.getByRole('button', { name: /^Flats:/ }).click();
  await page.getByLabel('Put on').selectOption({ label: 'a day ago' });
  await page.getByRole('button', { name: 'All done' }).click();
  await expect(room.getByRole('button', { name: /^Flats:/ })).toHaveAccessibleName(/Go: fill coat/);
});

test('a room held for others is stuck until it is released', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Boot room' });
  await room.getByRole('button', { name: 'Hold Boot room' }).click();
  await page.getByLabel('Who has it').fill('Plumber until two');
  await page.getByRole('button', { name: 'Hold the room' }).click();
  await expect(room.getByRole('button', { name: /^Flats: Stuck, Plumber until two/ })).toBeVisible();
  await room.getByRole('button', { name: 'Release' }).click();
  await expect(room.getByRole('button', { name: /^Flats: Go/ })).toBeVisible();
});

test('an entry whose answer was lost is recorded once', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Oil store: 6' x 5' x 8'");
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Oil store' });
  await room.getByRole('button', { name: /^Flats:/ }).click();
  // The server takes the entry and says that something went wrong; then its answer never arrives.
  let tries = 0;
  await page.route('**/api/entries', async (route) => {
    tries += 1;
    if (tries < 3) await route.fetch();
    if (tries === 1) await route.fulfill({ status: 503, json: { message: 'Try again in a moment.' } });
    else if (tries === 2) await route.abort();
    else await route.continue();
  });
  await page.getByRole('button', { name: 'Half of it' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: '1 unsent' })).toBeVisible();
  // It is sent again by itself.
  await expect.poll(() => tries).toBeGreaterThan(2);
  await expect(page.getByRole('status').filter({ hasText: 'unsent' })).toHaveCount(0);
  await expect(room.getByRole('button', { name: /^Flats:/ })).toHaveAccessibleName(/50 % done/);
  await expect(page.getByText('Oil store: tape coat on flats, half')).toHaveCount(1);
});

test('a drier room is ready sooner: the air that is recorded moves the clock', async ({ page, house, signIn }) => {
  await signIn(page, 'Ines');
  await visit(page, `${house}/dry?room=net-loft`);
  const card = page.getByRole('region', { name: 'Net loft, drying' });
  const hours = async () => {
    const text = (await card.getByText(/all dry in/).textContent()) ?? '';
    const [, whole = '0', minutes = '0'] = /in (?:(\d+) h)? ?(?:(\d+)(?: min)?)?/.exec(text) ?? [];
    return Number(whole) + Number(minutes) / 60;
  };
  const before = await hours();
  await page.getByLabel('Temperature').fill('warm');
  await page.getByRole('button', { name: 'Record the air' }).click();
  await expect(page.getByText('must be a number').first()).toBeVisible();
  await expect(page.getByLabel('Temperature')).toHaveValue('warm');
  await page.getByLabel('Read in').selectOption({ label: 'Net loft' });
  await page.getByLabel('Temperature').fill('90');
  await page.getByLabel('Humidity').fill('25');
  await page.getByRole('button', { name: 'Record the air' }).click();
  await expect(card).toContainText('90 °F · 25 %');
  expect(await hours()).toBeLessThan(before);
});
