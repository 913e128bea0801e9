import { expect, test, untilTaken, visit } from './site';
import { query } from './testDatabase';

test('a thumb corrects the clock of its room, on the walk, the board and the plan', async ({
  page,
  house,
  signIn,
  moveClock,
}) => {
  // The next morning, half past six: butts were to be dry before noon.
  moveClock(18);
  await signIn(page, 'Marit');
  await visit(page, `${house}/board`);
  const cell = page.getByRole('region', { name: 'Hall' }).getByRole('button', { name: /^Butts: / });
  await expect(cell).toHaveAccessibleName(/wet/i);
  const before = await cell.getAttribute('aria-label');
  await visit(page, house);
  await page.getByRole('link', { name: 'Morning walk' }).click();
  const hall = page.getByRole('region', { name: 'Hall', exact: true });
  await expect(hall).toContainText(/wet\s*until/i);
  await expect(page.getByRole('region', { name: 'Changes for today' })).toContainText('Nothing was touched yet');
  await untilTaken(page, '/api/entries', () => hall.getByRole('button', { name: 'All of Hall: white' }).click());
  await expect(hall).toContainText(/Walked 6:\d\d: white at 6:\d\d\. It moved /);
  await expect(page.getByRole('status').filter({ hasText: 'left to walk' })).toContainText(/^\d+ of \d+ rooms left/);
  await expect(hall).toContainText(/→/);
  await expect(hall).toContainText(/dries \d+ % faster than the tables say/);
  await expect(page.getByRole('region', { name: 'Changes for today' })).toContainText('Hall');
  await expect(page.getByRole('region', { name: 'Was it right?' })).toContainText(
    /Of \d+ coats? checked by touch in this house/,
  );
  // Another room dries as before.
  await expect(page.getByRole('region', { name: 'Galley' })).not.toContainText('→');
  const told = await (await page.request.get(`${house}/plan`)).text();
  const learned = [...told.matchAll(/"slowness":([\d.]+)/g)].map(([, factor]) => Number(factor));
  expect(Math.min(...learned)).toBeLessThan(1);

  await visit(page, `${house}/board`);
  expect(await cell.getAttribute('aria-label')).not.toBe(before);
  // Taken back, all is as it was.
  await untilTaken(page, '/api/entries', () => page.keyboard.press('u'));
  await expect(cell).toHaveAccessibleName(before ?? '');
});

test('a builder may look at the walk and touches nothing', async ({ page, house, signIn }) => {
  await signIn(page, 'Builder');
  await visit(page, `${house}/walk`);
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

test('what was done is taken back with one press, for a minute', async ({ page, house, site, signIn, moveClock }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Petra');
  await visit(page, `${house}/my-day`);
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);
  const job = page.getByRole('region', { name: 'Now' });
  // A job of three coats, with one press.
  await page.getByRole('link', { name: 'Do first: Bunk room, fill' }).click();
  await expect(job).toContainText('Fill coat');
  const title = job.getByRole('heading', { level: 2 });
  const before = await title.textContent();
  // Two presses at most: this is one.
  await untilTaken(page, '/api/entries', () => job.getByRole('button', { name: 'Done', exact: true }).click());
  await expect(title).not.toHaveText(before ?? '');
  await untilTaken(page, '/api/entries', () => page.getByRole('button', { name: 'Undo' }).click());
  await expect(title).toHaveText(before ?? '');
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);
  const [row] = await query<{ coats: string; voids: string }>(
    `SELECT count(*) FILTER (WHERE kind = 'coat') AS coats, count(*) FILTER (WHERE kind = 'void') AS voids
       FROM entries WHERE house_id = $1 AND recorded_at = (SELECT max(recorded_at) FROM entries WHERE house_id = $1)`,
    site.database,
    [house.split('/').at(-1)],
  );
  expect(row?.voids).toBe('3');
  // Later it is not offered any more.
  await untilTaken(page, '/api/entries', () => job.getByRole('button', { name: 'Done', exact: true }).click());
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
  moveClock(2 / 60);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'My day' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);
});

for (const { name, paths } of [
  { name: 'Petra', paths: ['/my-day', '/walk', '/board', '/guide'] },
  {
    name: 'Marit',
    paths: ['', '/tally?room=pantry', '/coats', '/load', '/run', '/dry', '/dry/air', '/sand', '/hand-over'],
  },
])
  test(`everything that ${name} presses on a phone is large enough for a glove`, async ({ page, house, signIn }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await signIn(page, name);
    for (const path of paths) {
      await visit(page, house + path);
      await expect(page.getByRole('main')).toBeVisible();
      const small = await page.evaluate(() =>
        [...document.querySelectorAll('main button, main a, main summary, main input:not([type=file]), main select')]
          // A link within a sentence is as high as its line.
          .filter((target) => target.checkVisibility() && getComputedStyle(target).display !== 'inline')
          // A box is pressed by its words too.
          .map(
            (target) =>
              (target instanceof HTMLInputElement &&
                ['checkbox', 'radio'].includes(target.type) &&
                target.closest('label')) ||
              target,
          )
          .map(
            (target) => [target.textContent?.slice(0, 40), Math.round(target.getBoundingClientRect().height)] as const,
          )
          .filter(([, height]) => height < 48),
      );
      expect.soft(small, path).toEqual([]);
    }
  });
