import { expect, handOut, keepRoom, test, visit } from './site';

/** A number with an imperial unit, or its signs; neither a slope of 1 in 40 nor 5 h 28 in all is one. */
const IMPERIAL = /\d ?(?:in|ft|ft²|gal|qt)\b(?! \d| all)|°F|[′″]|\binch|\bfeet\b|\bfoot\b/;
const VIEWS = [
  '',
  '/tally?room=office',
  '/load',
  '/run',
  '/board',
  '/dry',
  '/dry/air',
  '/sand',
  '/hand-over',
  '/my-day',
];

test('a metric house shows no feet, inches or gallons', async ({ page, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, '/houses');
  await page.getByLabel('Name of the house').fill('Metric Mews');
  await page.getByLabel('Measured in').selectOption({ label: 'millimetres' });
  await page.getByRole('button', { name: 'Start house' }).click();
  await page.waitForURL(/\/tally\?new/);
  const [house = ''] = /\/h\/[^/]+/.exec(page.url()) ?? [];
  await expect(page.getByLabel('Quick line')).toHaveAttribute('placeholder', /2300 x 1500/);
  await keepRoom(page, 'Office: 5000 x 4000 x 2500, door 800x2000 wall 1, window 1200x1200 @900 wall 2 bead');

  await handOut(page, house, 'Tape: everything', 'Marit');
  for (const view of VIEWS) {
    await visit(page, house + view);
    await expect(page.getByRole('main')).toBeVisible();
    expect(imperialIn(await page.getByRole('main').allInnerTexts()), view).toEqual([]);
  }

  await visit(page, `${house}/coats`);
  for (const tab of ['How it is done', 'Section', 'Coat ladder', 'Room by room']) {
    await page.getByRole('tab', { name: tab }).click();
    await expect(page.getByRole('tab', { name: tab })).toHaveAttribute('aria-selected', 'true');
    expect(imperialIn(await page.getByRole('main').allInnerTexts()), tab).toEqual([]);
  }
  await visit(page, `${house}/board`);
  await page.getByRole('button', { name: /^Flats:/ }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(imperialIn(await page.getByRole('dialog').allInnerTexts())).toEqual([]);
});

const imperialIn = (texts: readonly string[]): readonly string[] =>
  texts.flatMap((text) => text.split('\n')).filter((line) => IMPERIAL.test(line));
