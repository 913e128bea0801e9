import type { Page } from '@playwright/test';
import { expect, test, visit } from './site';

/** Logs all of the next coat of a class of the Day room on the board. */
async function logAll(page: Page, house: string, kind: string): Promise<void> {
  await visit(page, `${house}/board`);
  const room = page.getByRole('region', { name: 'Day room' });
  await room.getByRole('button', { name: new RegExp(`^${kind}:`) }).click();
  await page.getByRole('button', { name: /^(All|The rest is) done$/ }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

for (const [choice, who] of [
  ['Keep mine', ['Tobin']],
  ['Keep theirs', ['Marit']],
  ['Both did part', ['Tobin', 'Marit']],
] as const)
  test(`what two people logged is asked about, and the rest is recorded: ${choice}`, async ({
    page,
    browser,
    house,
    signIn,
  }) => {
    const phone = await browser.newPage({ viewport: { width: 360, height: 740 } });
    await signIn(phone, 'Tobin');
    // The phone hears nothing of what others do.
    await phone.route('**/api/live**', (route) => route.abort());
    await visit(phone, `${house}/my-day`);
    await expect(phone.getByRole('button', { name: 'Done', exact: true })).toBeEnabled();
    await signIn(page, 'Marit');
    await logAll(page, house, 'Fasteners');

    await phone.getByRole('button', { name: 'Done', exact: true }).click();
    const question = phone.getByRole('alert').filter({ hasText: 'Which counts?' });
    await expect(question).toContainText('Day room: Marit logged fill coat on fasteners');
    await expect(question).not.toContainText('flats');
    await question.getByRole('button', { name: choice }).click();
    await expect(question).toHaveCount(0);

    await visit(page, `${house}/board`);
    const done = page.getByRole('region', { name: 'Last done' });
    await expect(done.getByRole('listitem').filter({ hasText: 'Day room: fill coat on flats' }).first()).toContainText(
      'Tobin',
    );
    const fasteners = done.getByRole('listitem').filter({ hasText: 'Day room: fill coat on fasteners' });
    for (const name of ['Tobin', 'Marit'])
      await expect(fasteners.filter({ hasText: `${name}, Tue` })).toHaveCount(
        (who as readonly string[]).includes(name) ? 1 : 0,
      );
    await phone.close();
  });

test('what one person logs in two tabs is asked about in the second, and what follows in the first is not', async ({
  browser,
  house,
  signIn,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const [first, second] = [await context.newPage(), await context.newPage()];
  await signIn(first, 'Tobin');
  for (const tab of [first, second]) {
    // No tab hears what the other one does.
    await tab.route('**/api/live**', (route) => route.abort());
    await visit(tab, `${house}/my-day`);
    await expect(tab.getByRole('button', { name: 'Done', exact: true })).toBeEnabled();
  }
  await first.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(first.getByText(/^Done: /)).toBeVisible();
  await second.getByRole('button', { name: 'Done', exact: true }).click();
  const question = second.getByRole('alert').filter({ hasText: 'Which counts?' });
  await expect(question).toContainText('You already logged');
  await question.getByRole('button', { name: 'Keep the other' }).click();
  await expect(question).toHaveCount(0);
  await context.close();
});
