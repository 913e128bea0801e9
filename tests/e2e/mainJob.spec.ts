import type { Page } from '@playwright/test';
import { expect, handOut, startHouse, test, visit, watchErrors } from './site';

/** The lead hands all work of a pass to Tobin for today. */
async function hand(page: Page, house: string, work: string): Promise<void> {
  await handOut(page, house, work, 'Tobin');
  const [pass] = work.split(':');
  const card = page.getByRole('button', { name: new RegExp(`Chart room.*${pass}.*assigned`) });
  await expect(card.first()).toBeVisible();
}

/** Tobin presses Done on his phone. */
async function done(page: Page, house: string, title: RegExp): Promise<void> {
  await page.goto(`${house}/my-day`);
  // In the demo's house he has work too.
  const now = page.getByRole('region', { name: 'Now' });
  await expect(now.getByRole('heading', { level: 2 })).toHaveText(title);
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByText(/^Done: Chart room/)).toBeVisible();
}

test('one room, from the tape measure to the hand-over', async ({ page: lead, browser, signIn, moveClock }) => {
  const errors = watchErrors(lead);
  await signIn(lead, 'Marit');

  // A house of its own, and its first room by the quick line.
  const house = await startHouse(lead, 'Heron Cottage');
  await lead
    .getByLabel('Quick line')
    .fill("Chart room: 12' x 10' x 8', door 32x80 wall 1, window 36x48 @36 wall 2, ceiling along");
  const tally = lead.getByRole('region', { name: 'Tally of Chart room' });
  await expect(tally.getByRole('row', { name: /Flats/ })).toContainText(/62 ft/);
  await expect(tally.getByRole('row', { name: /Inside angles/ })).toContainText(/76 ft/);
  await expect(tally.getByRole('row', { name: /Tape/ })).toContainText(/138 ft/);
  await lead.getByLabel('Quick line').press('Enter');
  await expect(lead.getByText('Saved Chart room.')).toBeVisible();

  // The lead hands the tape round to a finisher, who logs it on his phone.
  await hand(lead, house, 'Tape: everything');
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await signIn(phone, 'Tobin');
  await done(phone, house, /Tape coat on flats and inside angles, first fill on fasteners/);

  // Readiness counts down: wet now, still wet at night, ready the next day.
  const flats = lead.getByRole('button', { name: /^Flats:/ });
  await visit(lead, `${house}/board`);
  await expect(flats).toHaveAccessibleName(/Tape coat wet, until/);
  await visit(lead, `${house}/dry`);
  await expect(lead.getByText(/all dry in 2[0-3] h/)).toBeVisible();
  moveClock(6);
  await lead.reload();
  await expect(lead.getByText(/all dry in 1[4-7] h/)).toBeVisible();
  moveClock(24);
  await lead.goto(`${house}/board`);
  await expect(flats).toHaveAccessibleName(/Go: fill coat/);

  // Fill, then finish with the second sides of the angles, each after a day.
  await hand(lead, house, 'Fill: everything');
  await done(phone, house, /Fill coat on fasteners, flats and inside angles/);
  moveClock(48);
  await hand(lead, house, 'Finish: everything');
  await done(phone, house, /^Finish coat on fasteners/);
  moveClock(72);
  await hand(lead, house, 'Sand');
  await done(phone, house, /Sand the room/);

  // Checked in light, an open item mended, handed over and printed.
  await visit(lead, `${house}/sand`);
  await lead.getByRole('button', { name: 'Report problem in Chart room' }).click();
  const wrong = lead.getByRole('dialog');
  await wrong.getByRole('button', { name: 'Streak, drag line' }).click();
  await expect(wrong).toContainText('a crumb in the mud');
  await wrong.getByLabel('Notes (optional)').fill('Left of the window');
  await wrong.getByRole('button', { name: 'Save problem' }).click();
  await expect(lead.getByRole('button', { name: 'Chart room meets level 4' })).toBeDisabled();
  await lead.getByRole('button', { name: 'Mended: Streak, drag line: Left of the window' }).click();
  await lead.getByRole('button', { name: 'Chart room meets level 4' }).click();
  await expect(lead.getByText('Go: seal')).toBeVisible();
  await lead.getByLabel('Drying time on the label (hours)').fill('2');
  await lead.getByRole('button', { name: 'Chart room is sealed' }).click();
  // Not before the sealer is dry.
  await visit(lead, `${house}/hand-over/chart-room`);
  await expect(lead.getByRole('article')).toContainText('Chart room');
  await expect(lead.getByRole('button', { name: 'Handed over to the painters' })).toHaveCount(0);
  moveClock(75);
  await lead.reload();
  await visit(lead, `${house}/hand-over`);
  await lead.getByRole('link', { name: 'Sheet of Chart room' }).click();
  await lead.getByRole('button', { name: 'Handed over to the painters' }).click();
  await expect(lead.getByText('not yet')).toHaveCount(0);
  const sheet = lead.getByRole('article');
  await expect(sheet).toContainText('level 4');
  await expect(sheet).toContainText('Tobin');
  await expect(sheet).toContainText('None.');
  await lead.emulateMedia({ media: 'print' });
  await expect(lead.getByRole('navigation', { name: 'Stations of the job' })).toBeHidden();
  await expect(sheet).toBeVisible();
  const pdf = await lead.pdf({ format: 'Letter' });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect(errors).toEqual([]);
});
