import { expect, test, untilTaken } from './site';

test('a thumb corrects the clock of its room, on the walk, the board and the plan', async ({
  page,
  house,
  signIn,
  moveClock,
}) => {
  // The next morning, half past six: butts were to be dry before noon.
  moveClock(18);
  await signIn(page, 'Marit');
  await page.goto(`${house}/board`);
  const cell = page.getByRole('region', { name: 'Hall' }).getByRole('button', { name: /^Butts: / });
  await expect(cell).toHaveAccessibleName(/wet/i);
  const before = await cell.getAttribute('aria-label');
  await page.goto(house);
  await page.getByRole('link', { name: 'Morning walk' }).click();
  const hall = page.getByRole('region', { name: 'Hall', exact: true });
  await expect(hall).toContainText(/wet\s*until/i);
  await expect(page.getByRole('region', { name: 'What changed for today' })).toContainText('Nothing was touched yet');
  await untilTaken(page, '/api/entries', () => hall.getByRole('button', { name: 'All of Hall: white' }).click());
  await expect(hall).toContainText('white at 6:');
  await expect(hall).toContainText(/→/);
  await expect(hall).toContainText(/dries \d+ % faster than the tables say/);
  await expect(page.getByRole('region', { name: 'What changed for today' })).toContainText('Hall');
  await expect(page.getByRole('region', { name: 'Was it right?' })).toContainText('Of 1 thumb');
  // Another room dries as before.
  await expect(page.getByRole('region', { name: 'Galley' })).not.toContainText('→');
  const told: { input: { slowness: readonly number[] } } = await (await page.request.get(`${house}/plan`)).json();
  expect(Math.min(...told.input.slowness)).toBeLessThan(1);

  await page.goto(`${house}/board`);
  expect(await cell.getAttribute('aria-label')).not.toBe(before);
  // Taken back, all is as it was.
  await untilTaken(page, '/api/entries', () => page.keyboard.press('u'));
  await expect(cell).toHaveAccessibleName(before ?? '');
});

test('a builder may look at the walk and touches nothing', async ({ page, house, signIn }) => {
  await signIn(page, 'Builder');
  await page.goto(`${house}/walk`);
  await expect(page.getByRole('region', { name: 'Hall', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: /: white$/ })).toHaveCount(0);
  const entry = { room: 'hall', kind: 'touched', payload: { found: 'white' } };
  const answer = await page.request.post('/api/entries', {
    data: {
      house: house.split('/').at(-1),
      entries: [{ ...entry, id: crypto.randomUUID(), at: '2031-05-06T16:00:00Z' }],
    },
  });
  expect(answer.status()).toBe(403);
});
