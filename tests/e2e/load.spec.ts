import { expect, minutesBefore, test, untilTaken, visit } from './site';
import { query } from './testDatabase';

// What is bought is said for all houses of the firm, those of other tests too.
let bought: string | undefined;
test.beforeEach(async ({ site }) => {
  const [row] = await query<{ text: string }>('SELECT catalogue::text AS text FROM catalogues', site.database);
  bought = row?.text;
});
test.afterEach(async ({ site }) => {
  await query('UPDATE catalogues SET catalogue = $1', site.database, [bought]);
});

test('what comes, goes on and is counted says what is left and what to order', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/load`);
  const onHand = page.getByRole('region', { name: 'On hand' });
  const taping = onHand.getByRole('row').filter({ hasText: 'Taping mud' });
  // Two pails of 4.5 gal came, and are nearly used up.
  await expect(taping).toContainText('9.0 gal');
  await onHand.getByRole('button', { name: 'Say it' }).click();
  await expect(onHand).toContainText('how many pails?');
  await onHand.getByLabel('How many pails').fill('3');
  await untilTaken(page, '/api/entries', () => onHand.getByRole('button', { name: 'Say it' }).click());
  await expect(taping).toContainText('22.5 gal');
  // More than ever came is no count.
  await onHand.getByLabel('How many pails').fill('6');
  await onHand.getByLabel('What happened').selectOption({ label: 'is there, counted' });
  await onHand.getByRole('button', { name: 'Say it' }).click();
  await expect(onHand.getByRole('alert')).toContainText('You counted more than was delivered. Log the delivery first.');
  await onHand.getByLabel('How many pails').fill('1');
  await untilTaken(page, '/api/entries', () => onHand.getByRole('button', { name: 'Say it' }).click());
  await expect(taping).toContainText('by count');
  await expect(taping).toContainText('4.5 gal');
  await expect(taping).toContainText(/\d days/);
  await onHand.getByText('Recent entries').click();
  await untilTaken(page, '/api/entries', () => onHand.getByRole('button', { name: /^Undo 1 pail/ }).click());
  await expect(taping).not.toContainText('by count');
  const negative = await page.request.post('/api/entries', {
    data: {
      house: house.split('/').at(-1),
      entries: [
        {
          id: crypto.randomUUID(),
          at: minutesBefore(1),
          kind: 'stock',
          payload: { good: 'taping', what: 'delivered', amount: -5 },
        },
      ],
    },
  });
  expect([negative.status(), (await negative.json()).message]).toEqual([
    400,
    'entries[0].payload.amount: must be 0 or more',
  ]);
});

test('bead is cut from sticks, each with its edges; a builder is not told what is in store', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Builder');
  await visit(page, `${house}/load`);
  const list = page.getByRole('region', { name: 'Cutting list' });
  await expect(list).toContainText('no way of cutting takes less');
  await list.getByText('Which edge each piece is for').first().click();
  await expect(list.getByRole('listitem').filter({ hasText: 'Day room, ' }).first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'On hand' })).toHaveCount(0);
});

test('the tally is taken along as a table, by room or by piece', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?room=bath`);
  const link = page.getByRole('link', { name: 'Pieces as a table' });
  const answer = await page.request.get((await link.getAttribute('href')) ?? '');
  expect(answer.headers()['content-type']).toContain('text/csv');
  expect(await answer.text()).toMatch(/Bath,wall 1,"48 from the top, [\d.]+ from the left",Flats,[\d.]+,/);
  expect((await page.request.get(`${house}/csv?of=nonsense`)).status()).toBe(404);
});

test('the load is told for a floor or a room, by room as a table, and for the days that are handed out', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/load`);
  const screws = page
    .getByRole('row', { name: /^Screws/ })
    .getByRole('cell')
    .nth(2);
  const count = async () => Number((await screws.textContent())?.replaceAll(',', ''));
  const whole = await count();
  await page.getByLabel('For', { exact: true }).selectOption({ label: 'Bath' });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('To order for Bath');
  const bath = await count();
  expect(bath).toBeGreaterThan(0);
  expect(bath).toBeLessThan(whole / 2);
  const bring = page.getByRole('region', { name: 'To bring' });
  await expect(bring.getByRole('heading', { level: 3 }).first()).toBeVisible();
  await expect(bring).toContainText(/ mud [\d.]+ (gal|qt) \([\d¼½¾]+ pails?\)/);
  const table = await page.request.get(
    (await page.getByRole('link', { name: 'By room as a table' }).getAttribute('href')) ?? '',
  );
  expect(await table.text()).toMatch(/^Room,Floor,Paper tape \(ft\),/);
  await visit(page, `${house}/load?for=room:nonsense`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('To order for the whole house');
});

test('what is bought is said once for all houses: packs, prices, how long it takes to come, what is really used', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/load`);
  // By the plan, taping mud runs out before it comes.
  const enough = page.getByRole('region', { name: 'Enough until' });
  const taping = enough.getByRole('row').filter({ hasText: 'Taping mud' });
  await expect(taping.getByRole('cell').nth(0)).toHaveText(/\d{1,2}:\d\d/);
  await expect(taping.getByRole('cell').nth(1)).toHaveText('now (arrives late)');
  await expect(page.getByRole('region', { name: 'Compared with typical' })).toContainText(/usual: 300 ft to 450 ft/);
  const costs = page.getByRole('region', { name: 'Material cost' });
  await expect(costs).not.toContainText('no price is known');

  await page.getByRole('button', { name: 'What we buy …' }).click();
  const dialog = page.getByRole('dialog', { name: 'What we buy' });
  await dialog.getByLabel('Taping mud: a pack holds').fill('0');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByRole('alert')).toHaveText('A pack holds: must be greater than 0');
  await dialog.getByLabel('Taping mud: a pack holds').fill('1');
  await dialog.getByLabel('Taping mud: price of a pack').fill('6.50');
  await dialog.getByLabel('Taping mud: days to come').fill('0');
  await dialog.getByLabel('Paper tape: price of a pack').fill('');
  await dialog.getByLabel('Taping mud: called').fill('Small blue pail');
  await dialog.getByLabel(/^Sticks of bead/).fill("8' = 3.20, 10'");
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText('say the price of every stick, or of none')).toBeVisible();
  await dialog.getByLabel(/^Sticks of bead/).fill("8' = 3.20, 10' = 4.10");
  await untilTaken(page, '/commands/saveCatalogue', () => dialog.getByRole('button', { name: 'Save' }).click());
  await expect(dialog).toBeHidden();

  const order = page.getByRole('table').first().getByRole('row').filter({ hasText: 'Taping mud' });
  await expect(order).toContainText('1 gal, 10 % waste');
  await expect(page.getByRole('region', { name: 'On hand' })).toContainText('Small blue pail');
  await expect(taping.getByRole('cell').nth(1)).toHaveText('Tue 6 May');
  await expect(costs).toContainText('Without paper tape: no price is known');
  await expect(costs.getByRole('row').filter({ hasText: 'Day room' }).getByRole('cell')).toHaveText(/^[1-9]\d*$/);

  await page.getByRole('button', { name: 'At the counter' }).click();
  const counter = page.getByRole('dialog', { name: 'At the counter' });
  const pails = counter.getByLabel(/pails Taping mud: Small blue pail/);
  await expect(counter.getByText(/^\d+ Sheets of sandpaper/)).toBeVisible();
  await pails.check();
  // Ticks survive a reload, and become deliveries.
  await page.reload();
  await page.getByRole('button', { name: 'At the counter' }).click();
  await expect(pails).toBeChecked();
  const came = page
    .getByRole('region', { name: 'On hand' })
    .getByRole('row')
    .filter({ hasText: 'Small blue pail' })
    .getByRole('cell')
    .first();
  const cameBefore = await came.textContent();
  await untilTaken(page, '/api/entries', () => counter.getByRole('button', { name: 'Log delivery (1)' }).click());
  await expect(counter).toHaveCount(0);
  await expect(came).not.toHaveText(cameBefore ?? '');

  // What lies there of other houses is cut first; once it is cut, what is left now lies there.
  const list = page.getByRole('region', { name: 'Cutting list' });
  await expect(list.getByText('left: ')).toHaveCount(2);
  const left = dialog.getByLabel('Square metal');
  await page.getByRole('button', { name: 'What we buy …' }).click();
  await left.fill("7'");
  await untilTaken(page, '/commands/saveCatalogue', () => dialog.getByRole('button', { name: 'Save' }).click());
  await expect(list.getByText('left: ')).toHaveCount(1);
  await untilTaken(page, '/commands/saveCatalogue', () => list.getByRole('button', { name: /^It is cut/ }).click());
  await page.getByRole('button', { name: 'What we buy …' }).click();
  await expect(left).not.toHaveValue(/7'/);
});
