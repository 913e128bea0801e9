import AxeBuilder from '@axe-core/playwright';

import { expect, test, watchErrors } from './site';

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
  '/my-day',
];

for (const theme of ['oak-day', 'oak-night']) {
  test(`every view is free of axe violations and browser errors in ${theme}`, async ({
    page,
    context,
    house,
    signIn,
  }) => {
    // Every view one after the other.
    test.slow();
    const errors = watchErrors(page);
    await signIn(page, 'Marit');
    await context.addCookies([{ name: 'oak-theme', value: theme, url: new URL('/', page.url()).href }]);
    for (const path of [...VIEWS.map((view) => house + view), '/houses']) {
      await page.goto(path);
      await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
      // By night only the colours are others.
      const axe = new AxeBuilder({ page });
      const { violations } = await (theme === 'oak-night' ? axe.withRules(['color-contrast']) : axe).analyze();
      expect(
        violations.map(({ id, nodes }) => [id, nodes.map(({ html }) => html.slice(0, 160))]),
        path,
      ).toEqual([]);
    }
    expect(errors).toEqual([]);
  });
}

test('dialogs and the sign-in are free of axe violations', async ({ page, house, signIn }) => {
  await page.goto('/signin');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await signIn(page, 'Marit');
  await page.goto(`${house}/board`);
  await page
    .getByRole('button', { name: /Log a coat/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([]);
});

test('the tabs of Coats are free of axe violations', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await page.goto(`${house}/coats`);
  for (const tab of ['Section', 'Coat ladder', 'Room by room']) {
    await page.getByRole('tab', { name: tab }).click();
    await expect(page.getByRole('tab', { name: tab })).toHaveAttribute('aria-selected', 'true');
    expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => `${tab}: ${id}`)).toEqual([]);
  }
});

test('nothing runs off the side of a phone', async ({ page, house, signIn }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'Petra');
  for (const view of VIEWS) {
    await page.goto(house + view);
    const { scroll, client } = await page.evaluate(() => ({
      scroll: document.documentElement.scrollWidth,
      client: document.documentElement.clientWidth,
    }));
    expect(scroll, view).toBeLessThanOrEqual(client);
  }
});
