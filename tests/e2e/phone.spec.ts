import type { Page } from '@playwright/test';
import { picture } from './picture';
import { expect, test, untilTaken, visit } from './site';
import { smallText } from './smallText';
import { query } from './testDatabase';

/** What somebody presses is at least so high, px: gloves. */
const LEAST = 48;

/** What can be pressed on a page and is too small, in words. */
const smallTargets = (page: Page, least: number) =>
  page.evaluate((height) => {
    const all = document.querySelectorAll<HTMLElement>(
      'main :is(button, a.btn, input:not([type=checkbox], [type=file]), select, summary), nav[aria-label=Main] :is(a, button), header :is(button, a)',
    );
    return [...all]
      .filter((one) => one.checkVisibility() && one.getBoundingClientRect().width > 0)
      .filter((one) => one.getBoundingClientRect().height < height - 0.5)
      .map((one) => `${one.tagName} ${one.getAttribute('aria-label') ?? one.textContent?.trim().slice(0, 40)}`);
  }, least);

test('on a phone no text of a page is smaller than 14 px', async ({ page, house, signIn }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Marit');
  for (const path of ['', '/tally', '/load', '/run', '/board', '/dry', '/sand', '/hand-over', '/my-day', '/walk']) {
    await visit(page, house + path);
    // The plan comes after the page.
    if (path === '/run') await expect(page.getByRole('region', { name: 'The week' })).toBeVisible();
    expect(await smallText(page), path).toEqual([]);
  }
});

for (const width of [360, 390, 412, 430])
  test(`what a finisher opens fits a phone of ${width} px, with one bar in reach of the thumb`, async ({
    page,
    house,
    signIn,
  }) => {
    await page.setViewportSize({ width, height: 740 });
    await signIn(page, 'Petra');
    for (const station of ['my-day', 'board', 'walk', 'guide']) {
      await visit(page, `${house}/${station}`);
      const bar = page.getByRole('navigation', { name: 'Main' });
      await expect(bar.getByRole('link')).toHaveText(['My day', 'Board', 'Walk', 'Guide']);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(wide, station).toBeLessThanOrEqual(width);
      // The header is one row.
      const header = await page.getByRole('banner').boundingBox();
      expect(header?.height ?? 0, station).toBeLessThanOrEqual(64);
      const box = await bar.boundingBox();
      expect((box?.y ?? 0) + (box?.height ?? 0), station).toBeCloseTo(740, 0);
      if (station !== 'guide') expect(await smallTargets(page, LEAST), station).toEqual([]);
    }
    await visit(page, `${house}/my-day`);
    const done = await page.getByRole('button', { name: 'Done', exact: true }).boundingBox();
    const bar = await page.getByRole('navigation', { name: 'Main' }).boundingBox();
    expect((done?.y ?? 0) + (done?.height ?? 0)).toBeLessThanOrEqual(bar?.y ?? 0);
  });

test('a lead has House on the bar, all pages behind More, and an account menu that asks before it signs out', async ({
  page,
  house,
  signIn,
}) => {
  await page.setViewportSize({ width: 360, height: 740 });
  await signIn(page, 'Marit');
  await visit(page, house);
  const bar = page.getByRole('navigation', { name: 'Main' });
  await expect(bar.getByRole('link')).toHaveText(['House', 'Board', 'Walk', 'Guide']);
  await expect(page.getByRole('navigation', { name: 'Stations of the job' })).toBeHidden();
  await bar.getByRole('button', { name: 'More' }).click();
  const more = page.getByRole('dialog', { name: 'All pages' });
  await expect(more.getByRole('link')).toHaveCount(12);
  await more.getByRole('link', { name: /^Run sheet/ }).click();
  await expect(page).toHaveURL(/\/run$/);
  await expect(more).toHaveCount(0);
  await page.getByRole('button', { name: 'Account of Marit' }).click();
  const account = page.getByRole('dialog', { name: 'Marit' });
  await expect(account.getByRole('button', { name: 'Sign out' })).toBeVisible();
  await account.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('button', { name: 'Account of Marit' })).toBeFocused();
});

test('a problem with its place, its kind and a photo takes five taps', async ({ browser, house, site, signIn }) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await signIn(page, 'Petra');
  await visit(page, `${house}/my-day`);
  await page.evaluate(() => {
    document.addEventListener('pointerdown', () => document.body.setAttribute('data-taps', `${taps() + 1}`), true);
    const taps = () => Number(document.body.getAttribute('data-taps'));
  });
  await page.getByRole('button', { name: /^Report problem in / }).tap();
  const wrong = page.getByRole('dialog');
  const laid = wrong.getByRole('img', { name: 'The room laid flat: tap the place' });
  await laid.tap();
  await expect(wrong.getByRole('combobox', { name: 'Where' })).not.toHaveValue('');
  await wrong.getByRole('button', { name: 'Bubble' }).tap();
  const chooser = page.waitForEvent('filechooser');
  await wrong.getByText('Photo', { exact: true }).tap();
  await (await chooser).setFiles({ name: 'a.png', mimeType: 'image/png', buffer: await picture(60, 40) });
  await expect(wrong.getByRole('img', { name: 'photo 1' })).toBeVisible();
  await untilTaken(page, '/api/entries', () => wrong.getByRole('button', { name: 'Save problem' }).tap());
  expect(await page.evaluate(() => document.body.getAttribute('data-taps'))).toBe('5');
  const [item] = await query<{ payload: object }>(
    "SELECT payload FROM entries WHERE house_id = $1 AND kind = 'item' ORDER BY seq DESC LIMIT 1",
    site.database,
    [house.split('/').at(-1)],
  );
  expect(item?.payload).toMatchObject({
    defect: expect.any(String),
    face: expect.any(String),
    place: [expect.any(Number), expect.any(Number)],
    photos: [expect.any(String)],
  });
  await phone.close();
});
