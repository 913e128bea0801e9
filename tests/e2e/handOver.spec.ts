import type { Page } from '@playwright/test';
import { picture } from './picture';
import { expect, minutesBefore, test, untilTaken, visit } from './site';
import { query } from './testDatabase';

const PHONE = { width: 390, height: 844 };
const roomCard = (page: Page, name: string) =>
  page.getByRole('article').filter({ has: page.getByRole('heading', { name, exact: true }) });

test('a room goes from sanding by class over the walk with the lamp to a signed hand-over, on a phone', async ({
  page,
  playwright,
  baseURL,
  house,
  site,
  signIn,
}) => {
  await page.setViewportSize(PHONE);
  await signIn(page, 'Marit');
  await visit(page, `${house}/sand`);
  const bath = roomCard(page, 'Bath');
  await bath.getByRole('checkbox', { name: 'Flats' }).check();
  await untilTaken(page, '/api/entries', () => bath.getByRole('button', { name: 'Sanded: flats' }).click());
  await expect(bath.getByRole('listitem').filter({ hasText: 'Flats' })).toContainText('Sanded');
  const walk = page.getByRole('region', { name: 'Light walk of Bath' });
  // Nothing is signed off that is not sanded.
  await expect(walk.getByRole('button', { name: 'Good: wall 1 of Bath' })).toBeDisabled();
  await expect(walk).toContainText('not sanded yet');
  const entry = { room: 'bath', at: minutesBefore(1), kind: 'checked', payload: { level: 4 } };
  const post = (more: object) =>
    page.request.post('/api/entries', {
      data: { house: house.split('/').at(-1), entries: [{ ...entry, id: crypto.randomUUID(), ...more }] },
    });
  const early = await post({});
  expect([early.status(), (await early.json()).message]).toEqual([409, expect.stringContaining('not sanded yet')]);
  await untilTaken(page, '/api/entries', () => bath.getByRole('button', { name: 'Bath is sanded' }).click());
  expect((await post({ payload: { level: 5 } })).status()).toBe(409);

  // A face is good, another one is not: it stays open until it is mended with mud, dried and sanded again.
  await untilTaken(page, '/api/entries', () => walk.getByRole('button', { name: 'Good: wall 1 of Bath' }).click());
  await expect(walk.getByRole('listitem').filter({ hasText: 'wall 1' })).toContainText('level 4, Marit');
  await walk.getByRole('button', { name: 'On the room laid flat' }).click();
  const drawn = walk.locator('svg').filter({ hasText: 'tap what shows' });
  await expect(drawn.getByText('✓', { exact: true })).toHaveCount(1);
  await drawn.scrollIntoViewIfNeeded();
  const second = await drawn.getByText('2', { exact: true }).boundingBox();
  if (!second) throw new Error('the second wall has its number');
  await page.mouse.click(second.x + second.width / 2, second.y + second.height / 2);
  const wrong = page.getByRole('dialog');
  await expect(wrong.getByRole('combobox', { name: 'Where' })).toHaveValue('w1');
  await wrong.getByRole('button', { name: 'Ridge, lap mark' }).click();
  await wrong
    .getByLabel('Photo')
    .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: await picture(60, 40) });
  await expect(wrong.getByRole('img', { name: 'photo 1' })).toBeVisible();
  await untilTaken(page, '/api/entries', () => wrong.getByRole('button', { name: 'Save problem' }).click());
  await expect(drawn.locator('circle.stroke-error')).toHaveCount(1);
  await expect(walk.getByRole('button', { name: 'Good: wall 2 of Bath' })).toBeDisabled();
  await expect(walk.getByRole('button', { name: 'Good: wall 3 of Bath' })).toBeEnabled();
  await untilTaken(page, '/api/entries', () => bath.getByRole('button', { name: /^Mended: Ridge/ }).click());
  await untilTaken(page, '/api/entries', () => walk.getByRole('button', { name: 'Bath meets level 4' }).click());
  await expect(bath).toContainText('Go: seal');

  await visit(page, `${house}/hand-over/bath`);
  const sheet = page.getByRole('article');
  await expect(sheet).toContainText('dried in');
  await expect(sheet.getByRole('img', { name: /^Not sealed: paint sinks/ })).toBeVisible();
  await expect(sheet.getByRole('row').filter({ hasText: 'wall 1' })).toContainText('lamp');
  await untilTaken(page, '/api/entries', () => page.getByRole('checkbox', { name: 'Hand over' }).click());
  const pad = page.getByRole('region', { name: 'Sign' });
  await pad.getByRole('textbox', { name: 'Name' }).fill('Harbor Homes');
  await pad.getByRole('button', { name: 'Sign', exact: true }).click();
  await expect(pad.getByRole('alert')).toHaveText('Draw the signature first.');
  const drawing = pad.getByRole('img', { name: 'Draw the name here' });
  await drawing.scrollIntoViewIfNeeded();
  const box = await drawing.boundingBox();
  if (!box) throw new Error('there is a place to sign');
  await page.mouse.move(box.x + 20, box.y + 80);
  await page.mouse.down();
  await page.mouse.move(box.x + 120, box.y + 40, { steps: 5 });
  await page.mouse.move(box.x + 200, box.y + 90, { steps: 5 });
  await page.mouse.up();
  await untilTaken(page, '/api/entries', () => pad.getByRole('button', { name: 'Sign', exact: true }).click());
  await expect(sheet.getByRole('img', { name: 'Signature of Harbor Homes' })).toBeVisible();
  await untilTaken(page, '/api/entries', () =>
    page.getByRole('button', { name: 'Handed over to the painters' }).click(),
  );

  // The builder, who is not signed in, sees it under a secret address, and nothing else.
  await visit(page, `${house}/hand-over`);
  await page.getByRole('button', { name: 'Create share link' }).click();
  const address = await page
    .getByRole('region', { name: 'For the builder' })
    .getByRole('status')
    .locator('code')
    .textContent();
  const builder = await playwright.request.newContext({ ...(baseURL ? { baseURL } : {}) });
  const path = new URL(address ?? '').pathname;
  const shown = await builder.get(path);
  expect(shown.status()).toBe(200);
  const text = await shown.text();
  expect(text).toContain('Harbor Homes');
  expect(text).toContain('Bath');
  expect(text).not.toContain('Run sheet');
  const [chosen] = await query<{ id: string }>(
    `SELECT payload->'photos'->>0 AS id FROM entries WHERE house_id = $1 AND kind = 'shown' ORDER BY seq DESC`,
    site.database,
    [house.split('/').at(-1)],
  );
  const photo = `/api${path}/${chosen?.id}`;
  expect((await builder.get(photo)).headers()['content-type']).toBe('image/jpeg');
  const [other] = await query<{ id: string }>(
    'SELECT id FROM photos WHERE house_id = $1 AND id <> $2 ORDER BY id',
    site.database,
    [house.split('/').at(-1), chosen?.id],
  );
  expect((await builder.get(`/api${path}/${other?.id}`)).status()).toBe(404);
  expect((await builder.get(`${house}/record`)).status()).toBe(401);
  // Guessed at, and taken back.
  expect((await builder.get(`${path.slice(0, -4)}AAAA`)).status()).toBe(404);
  await page.reload();
  await untilTaken(page, '/commands/hideHouse', () => page.getByRole('button', { name: /^End link: Made/ }).click());
  expect((await builder.get(path)).status()).toBe(404);
  expect((await builder.get(photo)).status()).toBe(404);
  await builder.dispose();

  const record = await (await page.request.get(`${house}/record`)).json();
  const own = record.rooms.find(({ id }: { id: string }) => id === 'bath');
  expect(own).toMatchObject({ agreed: 4, met: { level: 4, who: ['Marit'] }, signatures: [{ name: 'Harbor Homes' }] });
  expect(own.coats.length).toBeGreaterThan(5);
  expect(own.items).toMatchObject([{ defect: 'ridge', closed: { who: ['Marit'] } }]);
  await expect(page.getByRole('region', { name: 'Cost of repairs' })).toContainText('Ridge, lap mark');
});

test('an address of a hand-over ends by itself', async ({ page, playwright, baseURL, house, signIn, moveClock }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/hand-over`);
  await page.getByRole('combobox', { name: 'For' }).selectOption({ label: 'a week' });
  await page.getByRole('button', { name: 'Create share link' }).click();
  const address = await page
    .getByRole('region', { name: 'For the builder' })
    .getByRole('status')
    .locator('code')
    .textContent();
  const path = new URL(address ?? '').pathname;
  const builder = await playwright.request.newContext({ ...(baseURL ? { baseURL } : {}) });
  moveClock(7 * 24 - 1);
  expect((await builder.get(path)).status()).toBe(200);
  moveClock(7 * 24 + 1);
  expect((await builder.get(path)).status()).toBe(404);
  await builder.dispose();
});

test('what is mended with mud is wet, and sanded once more', async ({ page, house, signIn, site }) => {
  await signIn(page, 'Marit');
  const post = (entry: object) =>
    page.request.post('/api/entries', {
      data: {
        house: house.split('/').at(-1),
        entries: [{ id: crypto.randomUUID(), room: 'pantry', at: minutesBefore(3), ...entry }],
      },
    });
  const [coat] = await query<{ piece: string }>(
    `SELECT payload->'on'->0->>'id' AS piece FROM entries WHERE house_id = $1 AND room_id = 'pantry' AND kind = 'coat'
       AND payload->>'class' = 'flat' ORDER BY seq`,
    site.database,
    [house.split('/').at(-1)],
  );
  const face = coat?.piece.split('@').at(-1);
  const wrong = { kind: 'item', payload: { defect: 'hollow', face, piece: coat?.piece, text: 'Low spot' } };
  expect((await post(wrong)).status()).toBe(200);
  await visit(page, `${house}/sand`);
  const pantry = roomCard(page, 'Pantry');
  await expect(pantry).toContainText('Go: fix');
  const item = pantry.getByRole('listitem').filter({ hasText: 'Low spot' });
  await expect(item.getByRole('checkbox', { name: 'with mud: it dries again' })).toBeChecked();
  await untilTaken(page, '/api/entries', () => item.getByRole('button', { name: /^Mended: Hollow/ }).click());
  await expect(pantry).toContainText(/Wet\s*until/);
  await expect(pantry.getByRole('listitem').filter({ hasText: /^Flats/ })).toContainText('% sanded');
  // Whoever says all the same that it is sanded is told why not; what is dry may be.
  const sanded = await post({ kind: 'sanded', at: minutesBefore(0), payload: { classes: ['flat'] } });
  expect([sanded.status(), (await sanded.json()).message]).toEqual([
    409,
    "Pantry can't be sanded: flats are still wet by the clock. If they are dry, press white on the morning walk first.",
  ]);
  expect((await post({ kind: 'sanded', at: minutesBefore(0), payload: { classes: ['angle'] } })).status()).toBe(200);
});
