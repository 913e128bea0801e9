import { createServer } from 'node:http';
import { type AddressInfo, connect } from 'node:net';
import type { Page } from '@playwright/test';
import { freePort } from '../../scripts/setup/ports.mjs';
import { weatherReport } from '../../standins/weather';
import { DEMO_INSTANT } from './instants';
import { startServer } from './server';
import { expect, isLive, keepRoom, keyOf, minutesBefore, test, visit, watchErrors } from './site';

const send = async (page: Page, key: string, readings: readonly object[]) => {
  const answer = await page.request.post('/api/readings', {
    data: { readings },
    headers: { authorization: `Bearer ${key}` },
  });
  return { status: answer.status(), ...(await answer.json()) };
};

test('a new reading and a new entry appear on open pages by themselves', async ({ page, browser, house, signIn }) => {
  const errors = watchErrors(page);
  await signIn(page, 'Marit');
  await visit(page, `${house}/dry?room=bath`);
  const panel = page.getByRole('region', { name: 'Bath, drying' });
  await isLive(page);
  await page.evaluate(() => Object.assign(window, { neverReloaded: true }));
  expect(
    (await send(page, keyOf(house, 'bath'), [{ at: minutesBefore(0), temperature: 23.3, humidity: 31 }])).recorded,
  ).toBe(1);
  await expect(panel).toContainText('74 °F · 31 %');

  // Another browser logs a coat: the strip of this one shows it.
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await signIn(phone, 'Ines');
  await visit(phone, `${house}/board`);
  const boot = page.getByRole('link', { name: /^Boot room:/ });
  await expect(boot).toHaveAccessibleName('Boot room: ready now');
  await phone
    .getByRole('region', { name: 'Boot room' })
    .getByRole('button', { name: /^Flats: Go/ })
    .click();
  await phone.getByRole('button', { name: 'All done' }).click();
  await expect(boot).toHaveAccessibleName(/^Boot room: partly ready now, all ready/);
  expect(await page.evaluate(() => 'neverReloaded' in window)).toBe(true);
  expect(errors).toEqual([]);
});

test('tabs of one browser share one stream, and a browser without it asks', async ({
  page,
  context,
  browser,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/dry?room=hall`);
  await isLive(page);
  const streams: string[] = [];
  context.on('request', (request) => {
    if (request.url().endsWith('/api/live')) streams.push(request.url());
  });
  const second = await context.newPage();
  await visit(second, `${house}/dry?room=hall`);
  await isLive(second);

  const cutOff = await (await browser.newContext()).newPage();
  await signIn(cutOff, 'Ines');
  await cutOff.route('**/api/live', (route) => route.abort());
  await visit(cutOff, `${house}/dry?room=hall`);
  await send(page, keyOf(house, 'hall'), [{ at: minutesBefore(0), temperature: 23.3, humidity: 45 }]);
  await expect(second.getByRole('region', { name: 'Hall, drying' })).toContainText('74 °F · 45 %');
  expect(streams).toEqual([]);
  await expect(cutOff.getByRole('status').filter({ hasText: 'asking' })).toBeVisible();
  await expect(cutOff.getByRole('region', { name: 'Hall, drying' })).toContainText('74 °F · 45 %');
});

test('a sensor gets a key, sends with it, is moved and taken away', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/dry/air`);
  await isLive(page);
  await page.getByLabel('Name of the sensor').fill('Loft clip');
  await page.getByLabel('Hangs in').selectOption({ label: 'Landing' });
  await page.getByRole('button', { name: 'Add it' }).click();
  const key = (await page.getByRole('status').locator('code').first().textContent()) ?? '';
  expect(key).toMatch(/^oak_/);

  const now = page.getByRole('region', { name: 'Rooms now' }).getByRole('listitem').filter({ hasText: 'Landing' });
  await expect(now).toContainText('borrowed from');
  // Late, out of order, twice, from the future, absurd: what is sound is kept.
  const first = { at: minutesBefore(3), temperature: 16, humidity: 61 };
  const answer = await send(page, key, [
    first,
    { at: minutesBefore(50), temperature: 15, humidity: 62 },
    { at: minutesBefore(-90), temperature: 15, humidity: 62 },
    { at: minutesBefore(1), temperature: 61, humidity: 62 },
    first,
  ]);
  expect(answer).toMatchObject({ status: 200, recorded: 2, known: 1 });
  expect(answer.refused.map(({ index, reason }: { index: number; reason: string }) => [index, reason])).toEqual([
    [2, 'lies 90 min in the future: is the clock that far ahead?'],
    [3, '61 °C is no air that people work in: is it °F?'],
  ]);
  expect(await send(page, key, [first])).toMatchObject({ recorded: 0, known: 1, refused: [] });
  await expect(now).toContainText('measured here');
  await expect(now).toContainText('61 °F · 61 %');

  const moved = page.waitForResponse((answer) => answer.url().endsWith('/api/commands/moveSensor'));
  await page.getByLabel('Where Loft clip hangs').selectOption({ label: 'Pantry' });
  await moved;
  await send(page, key, [{ at: minutesBefore(0), temperature: 14, humidity: 70 }]);
  const pantry = page.getByRole('region', { name: 'Rooms now' }).getByRole('listitem').filter({ hasText: 'Pantry' });
  await expect(pantry).toContainText('57 °F · 70 %');
  await page.getByRole('button', { name: 'Take Loft clip away' }).click();
  await expect(page.getByRole('region', { name: 'Sensors' })).not.toContainText('Loft clip');
  expect(await send(page, key, [first])).toMatchObject({ status: 401, message: 'No device has this key.' });
  expect((await page.request.post('/api/readings', { data: { readings: [] } })).status()).toBe(401);
  expect((await send(page, keyOf(house, 'hall'), [])).status).toBe(400);
});

test('a file of readings is mapped, looked at, mended and taken once', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/dry/air`);
  await isLive(page);
  const lines = Array.from(
    { length: 20 },
    (_, index) => `${minutesBefore(60 * (index + 1)).slice(0, 16)}Z;${61 + (index % 3)};57`,
  );
  const text = ['logged;inside;damp', ...lines, '2026-01-01 10:00;61;57', 'nonsense;61;57'].join('\n');
  const importer = page.getByRole('region', { name: 'Bring in a file of readings' });
  const choose = () =>
    importer
      .getByLabel('File (CSV)')
      .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await choose();
  // The names say little: the columns are told by hand.
  await importer.getByLabel('Date and time').selectOption({ label: 'logged' });
  await importer.getByLabel('Temperature').selectOption({ label: 'inside' });
  await importer.getByLabel('Humidity').selectOption({ label: 'damp' });
  await expect(importer).toContainText('These temperatures look like °F, not °C.');
  await importer.getByRole('button', { name: 'Read them so' }).click();
  await importer.getByLabel('Time zone of times that name none').selectOption('America/New_York');
  await expect(importer).toContainText('2 lines are left out');
  await expect(importer).toContainText('line 21: goes by the chosen time zone, the rest of the file names the zone Z');
  await expect(importer).toContainText('line 22: "nonsense" is no date and time');
  await importer.getByLabel('Measured in').selectOption({ label: 'Coat closet' });
  await importer.getByRole('button', { name: 'Take 20 readings' }).click();
  await expect(importer.getByRole('status')).toHaveText('20 readings taken, 0 known before, 2 left out.');
  await expect(page.getByRole('link', { name: 'Coat closet' })).toBeVisible();
  await choose();
  await importer.getByLabel('Temperature').selectOption({ label: 'inside' });
  await importer.getByLabel('Humidity').selectOption({ label: 'damp' });
  await importer.getByRole('button', { name: 'Read them so' }).click();
  await importer.getByLabel('Time zone of times that name none').selectOption('America/New_York');
  await importer.getByRole('button', { name: 'Take 20 readings' }).click();
  await expect(importer.getByRole('status')).toHaveText('0 readings taken, 20 known before, 2 left out.');

  await importer
    .getByLabel('File (CSV)')
    .setInputFiles({ name: 'note.txt', mimeType: 'text/plain', buffer: Buffer.from('call the painter') });
  await expect(importer.getByRole('alert')).toContainText('note.txt holds no table');
});

test('a long file of readings is taken part by part, says how far it is, and goes on where it was stopped', async ({
  page,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/dry/air`);
  await isLive(page);
  const lines = Array.from({ length: 7000 }, (_, index) => `${minutesBefore(index + 1).slice(0, 16)}Z;20;57`);
  const importer = page.getByRole('region', { name: 'Bring in a file of readings' });
  const choose = () =>
    importer.getByLabel('File (CSV)').setInputFiles({
      name: 'minutes.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(['time;temperature;humidity', ...lines].join('\n')),
    });
  let sent = 0;
  let release = () => {};
  const held = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.route('**/api/commands/importAir', async (route) => {
    sent += 1;
    if (sent === 2) await held;
    await route.continue();
  });
  await choose();
  await importer.getByRole('button', { name: 'Take 7,000 readings' }).click();
  await expect(importer.getByLabel('3,000 of 7,000 readings are in')).toBeVisible();
  await importer.getByRole('button', { name: 'Stop' }).click();
  release();
  await expect(importer.getByRole('status')).toHaveText(
    'Stopped. 6,000 of 7,000 readings are in. Take it again to go on.',
  );
  await importer.getByRole('button', { name: 'Take 7,000 readings' }).click();
  await expect(importer.getByRole('status')).toHaveText('1,000 readings taken, 6,000 known before, 0 left out.');
  expect(sent).toBe(5);
});

test('a fan makes a room ready sooner, and is taken away again', async ({ page, house, signIn }) => {
  await signIn(page, 'Petra');
  await visit(page, `${house}/dry?room=net-loft`);
  const panel = page.getByRole('region', { name: 'Net loft, drying' });
  const water = panel.getByRole('row', { name: /^Corner bead: set and first fill/ });
  const ready = panel.getByText(/all dry in/);
  await expect(ready).toBeVisible();
  await expect(water).toContainText('%');
  const before = (await ready.textContent()) ?? '';
  await panel.getByRole('button', { name: 'fan on the wall' }).click();
  await expect(panel.getByRole('button', { name: 'fan on the wall' })).toHaveAttribute('aria-pressed', 'true');
  await expect(ready).not.toHaveText(before);
  const hours = (text: string) => Number(/in (\d+) h/.exec(text)?.[1] ?? 0);
  expect(hours((await ready.textContent()) ?? '')).toBeLessThan(hours(before));
  await panel.getByRole('button', { name: 'still air' }).click();
  await expect(panel.getByRole('button', { name: 'still air' })).toHaveAttribute('aria-pressed', 'true');
});

test('what can be coated when the crew arrives follows the hour that is asked', async ({
  page,
  house,
  signIn,
  moveClock,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?new`);
  await keepRoom(page, "Signal store: 6' x 5' x 8'");
  await visit(page, `${house}/board`);
  await page
    .getByRole('region', { name: 'Signal store' })
    .getByRole('button', { name: /^Flats:/ })
    .click();
  await page.getByRole('button', { name: 'All done' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await visit(page, `${house}/dry`);
  await isLive(page);
  const list = page.getByRole('region', { name: 'When the crew arrives' });
  const fill = list.getByRole('listitem').filter({ hasText: /^Signal store: flats$/ });
  await list.getByLabel('at').selectOption('4:00');
  await expect(list.getByText(/Signal store \(until/)).toBeVisible();
  await expect(fill).toHaveCount(0);
  // A day later they are dry.
  moveClock(30);
  await page.reload();
  await isLive(page);
  await list.getByLabel('at').selectOption('12:00');
  await expect(fill).toHaveCount(1);
  // On the evening of a Friday they come again on Monday.
  moveClock(80);
  await page.reload();
  await expect(list).toContainText('Ready for work Mon 7:00:');
});

test('door tags say until when, with a code, and print', async ({ page, house, signIn }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/dry/tags`);
  const tag = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Net loft' }) });
  await expect(tag).toContainText(/Wet until\d+:\d\d/);
  await expect(tag.getByRole('img', { name: 'Code that opens Net loft' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Stations of the job' })).toBeHidden();
  await expect(tag).toBeVisible();
  const pdf = await page.pdf({ format: 'Letter' });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});

test('the weather is asked for, and a service that fails is told', async ({ page, house, signIn }) => {
  let broken = false;
  const service = createServer((_request, response) => {
    response
      .writeHead(broken ? 500 : 200, { 'content-type': 'application/json' })
      .end(JSON.stringify(weatherReport(5, DEMO_INSTANT)));
  });
  await new Promise<void>((resolve) => service.listen(0, '127.0.0.1', resolve));
  const url = `http://127.0.0.1:${(service.address() as AddressInfo).port}/weather`;
  await signIn(page, 'Marit');
  await visit(page, `${house}/dry/air`);
  await isLive(page);
  const weather = page.getByRole('region', { name: 'Weather' });
  const address = weather.getByLabel('Address of the weather service');
  const ask = weather.getByRole('button', { name: 'Save and fetch now' });
  await address.fill('ftp://weather');
  await ask.click();
  await expect(weather).toContainText('must be an address such as http://');
  await address.fill(url);
  await ask.click();
  await expect(weather).toContainText(/As of .*, forecast until/);
  await expect(weather.getByRole('alert')).toHaveCount(0);
  broken = true;
  await ask.click();
  await expect(weather.getByRole('alert')).toHaveText(
    'The weather was not taken: no report of hours with temperature and humidity is to be had there.',
  );
  await expect(address).toHaveValue(url);
  service.close();
});

test('a finisher reads the air and changes no sensor; a viewer neither', async ({ page, browser, house, signIn }) => {
  await signIn(page, 'Ines');
  await visit(page, `${house}/dry/air`);
  await expect(page.getByRole('region', { name: 'Sensors' })).toContainText('Hall sensor');
  await expect(page.getByRole('button', { name: 'Take Hall sensor away' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Add it' })).toHaveCount(0);
  const builder = await browser.newPage();
  await signIn(builder, 'Builder');
  await visit(builder, `${house}/dry`);
  await expect(builder.getByRole('button', { name: 'Record the air' })).toHaveCount(0);
  await expect(builder.getByRole('button', { name: 'fan in the room' })).toBeDisabled();
});

test('a bead that was forgotten catches up with setting mud', async ({ page, house, signIn, moveClock }) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/dry`);
  const offer = page
    .getByRole('region', { name: 'Catch up today' })
    .getByRole('listitem')
    .filter({ hasText: 'Bunk room' });
  await expect(offer).toContainText(
    /Corner bead, set and first fill: This is holding up the room. 45-minute mud saves \d+ h.*, a fan \d+ h/,
  );
  await offer.getByRole('link', { name: 'Open on the board' }).click();
  await page
    .getByRole('region', { name: 'Bunk room' })
    .getByRole('button', { name: /^Corner bead: Go/ })
    .click();
  await page.getByRole('button', { name: 'Use setting mud' }).click();
  await expect(page.getByLabel('Mud')).toHaveValue('45');
  await page.getByRole('button', { name: 'All done' }).click();
  await expect(
    page
      .getByRole('region', { name: 'Bunk room' })
      .getByRole('button', { name: /^Corner bead: Set and first fill wet/ }),
  ).toBeVisible();
  moveClock(2);
  await page.reload();
  await expect(
    page.getByRole('region', { name: 'Bunk room' }).getByRole('button', { name: /^Corner bead: Go: fill/ }),
  ).toBeVisible();
});

test('a server that is told to stop does so with streams open; pages come back with it and catch up', async ({
  page,
  house,
  signIn,
  site,
}) => {
  await signIn(page, 'Marit');
  const port = await freePort();
  const first = await startServer(site.database, site.clock, port);
  await visit(page, `${first.url}${house}/dry?room=galley`);
  await isLive(page);
  await page.evaluate(() => Object.assign(window, { neverReloaded: true }));
  // Browsers open connections to spare, on which nothing is ever asked; and somebody began to ask and went away.
  for (const said of ['', 'GET / HTTP/1.1\r\nHost: '])
    await new Promise<void>((resolve) => {
      const spare = connect(port, '127.0.0.1', () => spare.write(said, () => resolve()));
      // Ended by the server, which is told as a fault where it had something unread.
      spare.on('error', () => spare.destroy());
    });
  expect((await page.request.get(`${first.url}/api/health`)).status()).toBe(200);
  await first.stop();
  // Sent by way of the other server, while this page has none.
  expect(
    (await send(page, keyOf(house, 'galley'), [{ at: minutesBefore(0), temperature: 24.4, humidity: 44 }])).recorded,
  ).toBe(1);
  const second = await startServer(site.database, site.clock, port);
  try {
    await expect(page.getByRole('region', { name: 'Galley, drying' })).toContainText('76 °F · 44 %');
    expect(await page.evaluate(() => 'neverReloaded' in window)).toBe(true);
  } finally {
    await second.stop();
  }
});
