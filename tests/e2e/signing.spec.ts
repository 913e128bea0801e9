import { randomUUID } from 'node:crypto';
import type { Locator, Page } from '@playwright/test';
import { expect, isLive, minutesBefore, test, untilTaken, visit } from './site';
import { query } from './testDatabase';
import { violationsOf } from './violations';

async function draw(page: Page, within: Locator): Promise<void> {
  const field = within.getByRole('img', { name: 'Draw the name here' });
  await field.scrollIntoViewIfNeeded();
  const box = await field.boundingBox();
  if (!box) throw new Error('there is a field to sign in');
  await page.mouse.move(box.x + 20, box.y + 80);
  await page.mouse.down();
  await page.mouse.move(box.x + 120, box.y + 40, { steps: 5 });
  await page.mouse.up();
}

test('several rooms are sanded, checked, signed and handed over in one go', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/hand-over`);
  await isLive(page);
  const choose = async (...names: readonly string[]) => {
    for (const name of names) await page.getByRole('checkbox', { name, exact: true }).check();
  };
  const press = (name: string) =>
    untilTaken(page, '/api/entries', () => page.getByRole('button', { name, exact: true }).click());
  const bath = page.getByRole('listitem').filter({ has: page.getByRole('checkbox', { name: 'Bath' }) });
  await choose('Bath', 'Hall');
  // The hall is wet: it is left out.
  await press('Log sanded (1)');
  await expect(bath).toContainText('Go: check');
  await choose('Bath');
  await press('Log light check (1)');
  await expect(bath).toContainText('Go: seal');
  await choose('Bath', 'Coat closet');
  await page.getByRole('button', { name: 'Sign (2)' }).click();
  const dialog = page.getByRole('dialog', { name: 'Sign for 2 rooms' });
  await dialog.getByRole('textbox', { name: 'Name' }).fill('Harbor Homes');
  await draw(page, dialog);
  await untilTaken(page, '/api/entries', () => dialog.getByRole('button', { name: 'Sign', exact: true }).click());
  await press('Hand over (2)');
  await expect(bath).toContainText('Handed over');
  await page.getByRole('link', { name: 'Sheet of Coat closet' }).click();
  await expect(page.getByRole('img', { name: 'Signature of Harbor Homes' })).toBeVisible();
});

test('the whole house is one print, each room on one page of Letter or A4, under the company’s head', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/hand-over`);
  const company = page.getByRole('region', { name: 'Company' });
  await company.getByLabel('Name').fill('');
  await company.getByRole('button', { name: 'Save company' }).click();
  await expect(company.getByText('needs a name')).toBeVisible();
  await company.getByLabel('Name').fill('Demo crew');
  await company.getByLabel('License').fill('C-9 12345');
  await untilTaken(page, '/commands/saveCompany', () => company.getByRole('button', { name: 'Save company' }).click());
  await page.getByRole('link', { name: 'Print whole house' }).click();
  const sheets = page.getByRole('article');
  await expect(sheets).toHaveCount(12);
  for (const sheet of await sheets.all()) await expect(sheet).toContainText('Demo crew');
  await expect(sheets.nth(1)).toContainText('C-9 12345');
  await expect(sheets.nth(1)).toContainText(/Page made\w{3} \d{1,2} \w{3} 20\d\d/);
  for (const format of ['Letter', 'A4']) {
    const pdf = (await page.pdf({ format })).toString('latin1');
    expect([format, pdf.match(/\/Type \/Page\b(?!s)/g)?.length]).toEqual([format, 12]);
  }
});

test('the builder signs on the link; what was signed is kept, and nobody undoes it', async ({
  page,
  browser,
  house,
  signIn,
  site,
}) => {
  await signIn(page, 'Marit');
  const id = house.split('/').at(-1);
  const send = async (name: string, data: object) =>
    (await page.request.post(`/api/commands/${name}`, { data: { house: id, ...data } })).json();
  const { value } = await send('showHouse', { what: 'handOver', days: 7 });
  const builder = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, baseURL: site.url })
  ).newPage();
  await builder.goto(`/shown/${value.secret}`);
  await isLiveEnough(builder);
  // What is open is read first, and the page is no wider than the phone.
  await expect(builder.locator('summary').first()).toContainText(/1 open/);
  expect(await builder.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  expect(await violationsOf(builder)).toEqual([]);
  const pad = builder.getByRole('region', { name: 'Sign' });
  const sign = pad.getByRole('button', { name: /^Sign/ });
  await sign.click();
  await expect(pad.getByRole('alert')).toHaveText('Choose the rooms that you sign for.');
  // Only what is ready can be signed for.
  await expect(pad.getByRole('checkbox')).toHaveCount(1);
  await pad.getByRole('checkbox', { name: /Coat closet/ }).check();
  await pad.getByLabel('Your name').fill('Harbor Homes');
  await sign.click();
  await expect(pad.getByRole('alert')).toHaveText('Draw your signature first.');
  await draw(builder, pad);
  await sign.dblclick();
  await expect(pad.getByRole('status')).toHaveText('Signed: Coat closet.');
  await expect(pad).toContainText('signed by Harbor Homes');
  // The same sheet is signed once.
  await pad.getByRole('checkbox', { name: /Coat closet/ }).check();
  await draw(builder, pad);
  await sign.click();
  await expect(pad.getByRole('alert')).toHaveText('Harbor Homes has signed this sheet of Coat closet already.');

  const signed = await query<{ id: string; sheet: string }>(
    "SELECT id, payload->>'sheet' AS sheet FROM entries WHERE house_id = $1 AND kind = 'signed'",
    site.database,
    [id],
  );
  expect(signed).toHaveLength(1);
  const [entry] = signed;
  const kept = await page.request.get(`${house}/signed/${entry?.sheet}`);
  expect(await kept.json()).toMatchObject({ name: 'Coat closet', agreed: 4, met: { level: 4 } });
  const post = (more: object) =>
    page.request.post('/api/entries', {
      data: { house: id, entries: [{ id: randomUUID(), at: minutesBefore(0), ...more }] },
    });
  const undone = await post({ kind: 'void', room: null, payload: { target: entry?.id } });
  expect([undone.status(), (await undone.json()).message]).toEqual([
    409,
    'A builder’s signature can’t be undone. The builder can sign again.',
  ]);
  const strokes = [
    [
      [0, 0],
      [9, 9],
    ],
  ];
  const forged = { name: 'Harbor Homes', as: 'builder', strokes, sheet: entry?.sheet, link: randomUUID() };
  expect((await post({ kind: 'signed', room: 'coat-closet', payload: forged })).status()).toBe(403);

  // What is no signature is refused before anything of the house is told.
  const bare = { name: 'A', strokes, sheets: [{ id: randomUUID(), room: 'coat-closet', sheet: 'f'.repeat(64) }] };
  const signs = async (data: object, secret = value.secret) => {
    const answer = await builder.request.post(`/api/shown/${secret}`, { data });
    return [answer.status(), (await answer.json()).message];
  };
  expect(await signs(bare)).toEqual([409, expect.stringContaining('changed while you were reading')]);
  expect(await signs({ ...bare, sheets: [{ ...bare.sheets[0], room: 'cellar' }] })).toEqual([404, expect.anything()]);
  expect(await signs({ ...bare, sheets: [{ ...bare.sheets[0], room: 'hall' }] })).toEqual([
    409,
    'Hall is not ready to be signed for.',
  ]);
  expect(await signs({ ...bare, name: ' ' })).toEqual([400, 'name: needs some text']);
  expect(await signs({ ...bare, strokes: [] })).toEqual([400, 'strokes: needs at least one stroke']);
  expect(await signs({ ...bare, name: 'A'.repeat(1_100_000) })).toEqual([413, expect.anything()]);
  expect(await signs(bare, 'guessed')).toEqual([404, expect.stringContaining('This link has ended')]);
  const { value: list } = await send('showHouse', { what: 'hanger', days: 7 });
  expect(await signs(bare, list.secret)).toEqual([404, expect.stringContaining('This link has ended')]);

  await visit(page, `${house}/hand-over/coat-closet`);
  await expect(page.getByRole('article')).toContainText(`sheet ${entry?.sheet.slice(0, 8)}, unchanged since`);
  await expect(page.getByRole('link', { name: 'Show what was signed' })).toHaveAttribute(
    'href',
    `${house}/signed/${entry?.sheet}`,
  );
  const more = { kind: 'item', room: 'coat-closet', payload: { defect: 'pinholes', text: 'By the door' } };
  expect((await post(more)).status()).toBe(200);
  await page.reload();
  await expect(page.getByRole('article')).toContainText(`sheet ${entry?.sheet.slice(0, 8)}, changed since`);

  // The link ends while somebody signs.
  const [link] = await query<{ id: string }>(
    "SELECT id FROM shown_houses WHERE house_id = $1 AND what = 'handOver'",
    site.database,
    [id],
  );
  await send('hideHouse', { address: link?.id });
  await pad.getByLabel('Your name').fill('Somebody else');
  await sign.click();
  await expect(pad.getByRole('alert')).toHaveText('This link has ended. Nothing was signed. Ask for a new link.');
  await expect(pad.getByLabel('Your name')).toHaveValue('Somebody else');
  await builder.context().close();
});

/** A page of a share link has no mark of being live: its script has taken over once the browser is idle. */
const isLiveEnough = (page: Page) =>
  page.waitForFunction(() =>
    Object.keys(document.querySelector('button') ?? {}).some((key) => key.startsWith('__react')),
  );
