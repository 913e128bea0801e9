import type { Page } from '@playwright/test';
import { expect, test, visit, watchErrors } from './site';
import { violationsOf } from './violations';

const VIEWS = [
  '',
  '/tally?room=day-room',
  '/coats',
  '/load',
  '/run',
  '/board',
  '/dry',
  '/dry/air',
  '/dry/tags',
  '/sand',
  '/hand-over',
  '/hand-over/coat-closet',
  '/sheets',
  '/my-day',
  '/walk',
  '/hanger',
  '/guide',
];

const THEMES = ['oak-day', 'oak-night'] as const;

/** Holds that the page fits a phone, also when its window was wider before. */
async function fitsPhone(page: Page, words: string): Promise<void> {
  const desk = page.viewportSize();
  await page.setViewportSize({ width: 390, height: 844 });
  // Charts follow the window a frame later.
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth), words)
    .toBe(0);
  if (desk) await page.setViewportSize(desk);
}

test('every view is free of axe violations and browser errors, by day and by night, and fits a phone', async ({
  page,
  context,
  baseURL,
  house,
  signIn,
}) => {
  // Every view one after the other.
  test.slow();
  const errors = watchErrors(page);
  await signIn(page, 'Marit');
  const html = page.locator('html');
  for (const [index, path] of [...VIEWS.map((view) => house + view), '/houses'].entries()) {
    // The theme of the cookie is the page's; the other one follows by what the button of the shell does.
    const [first, second] = index % 2 === 0 ? THEMES : THEMES.toReversed();
    await context.addCookies([{ name: 'oak-theme', value: first ?? '', url: baseURL ?? '' }]);
    await page.goto(path);
    await expect(html).toHaveAttribute('data-theme', first ?? '');
    expect(await violationsOf(page), `${path}, ${first}`).toEqual([]);
    await html.evaluate((element, theme) => element.setAttribute('data-theme', theme), second ?? '');
    // In another theme only the colours are others.
    expect(await violationsOf(page, { rules: ['color-contrast'] }), `${path}, ${second}`).toEqual([]);
    await fitsPhone(page, `${path} on a phone`);
  }
  expect(errors).toEqual([]);
});

test('dialogs and the sign-in are free of axe violations', async ({ page, house, signIn }) => {
  await visit(page, '/signin');
  expect(await violationsOf(page)).toEqual([]);
  await signIn(page, 'Marit');
  await visit(page, `${house}/board`);
  await page
    .getByRole('button', { name: /Log a coat/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await violationsOf(page)).toEqual([]);
  await page.getByLabel('Where').selectOption('joints that I tap');
  await page.getByRole('dialog').getByRole('checkbox').first().click();
  expect(await violationsOf(page)).toEqual([]);

  await page.keyboard.press('Escape');
  await page
    .getByRole('button', { name: /^Pre-fill / })
    .first()
    .click();
  await expect(page.getByRole('dialog', { name: /: pre-fill$/ })).toBeVisible();
  expect(await violationsOf(page)).toEqual([]);

  await visit(page, `${house}/load`);
  for (const name of ['What we buy …', 'At the counter']) {
    await page.getByRole('button', { name }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    expect(await violationsOf(page), name).toEqual([]);
    await page.keyboard.press('Escape');
  }

  await visit(page, `${house}/tally?room=day-room`);
  await page.getByLabel('Open a face large').selectOption({ label: 'wall 1' });
  await page.getByRole('button', { name: 'As built …' }).click();
  await page.getByRole('slider').first().focus();
  expect(await violationsOf(page)).toEqual([]);
  await page.getByRole('button', { name: 'Cancel' }).click();
  for (const name of ['From a drawing …', 'From a house file …']) {
    await page.getByRole('button', { name }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    expect(await violationsOf(page), name).toEqual([]);
    await page.keyboard.press('Escape');
  }
  await visit(page, `${house}/tally?new`);
  await page.getByRole('button', { name: 'By laser' }).click();
  await page.getByText('Pair a laser measure').click();
  expect(await violationsOf(page)).toEqual([]);
});

test('the tabs of Coats are free of axe violations', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  for (const tab of ['Section', 'Coat ladder', 'Room by room']) {
    await page.getByRole('tab', { name: tab }).click();
    await expect(page.getByRole('tab', { name: tab })).toHaveAttribute('aria-selected', 'true');
    expect(await violationsOf(page), tab).toEqual([]);
  }
});
