import { readFile, writeFile } from 'node:fs/promises';
import type { Locator, Page } from '@playwright/test';
import sharp from 'sharp';
import { picture } from './picture';
import { expect, isLive, minutesBefore, test, untilTaken, visit } from './site';
import { query } from './testDatabase';

const PHONE = { width: 390, height: 844 };
const jobNow = (page: Page) => page.getByRole('region', { name: 'Now' });
const payloadsOf = (kind: string, house: string, database: string) =>
  query<{ payload: Record<string, unknown>; at: Date }>(
    'SELECT payload, at FROM entries WHERE house_id = $1 AND kind = $2 ORDER BY seq DESC',
    database,
    [house.split('/').at(-1), kind],
  );

test('what is wrong has a place and a photo, is seen by the lead, mended by a finisher, and handed over', async ({
  page,
  browser,
  house,
  site,
  signIn,
}) => {
  const phone = await browser.newPage({ viewport: PHONE });
  await signIn(phone, 'Petra');
  await visit(phone, `${house}/my-day`);
  await jobNow(phone)
    .getByRole('button', { name: /^Report problem in / })
    .click();
  const wrong = phone.getByRole('dialog');
  // Nothing said is no entry.
  await wrong.getByRole('button', { name: 'Save problem' }).click();
  await expect(wrong).toContainText('Choose a kind, write a note or add a photo.');
  const drawing = wrong.locator('svg').filter({ hasText: 'tap the place' });
  // In its middle is the ceiling.
  await drawing.click();
  await expect(wrong.getByRole('combobox', { name: 'Where' })).not.toHaveValue('');
  await wrong.getByRole('button', { name: 'Dent by others' }).click();
  await wrong.getByLabel('Notes (optional)').fill('Ladder');
  const file = { name: 'dent.jpg', mimeType: 'image/jpeg', buffer: await withPlace(await picture(2400, 1200)) };
  await wrong.getByLabel('Photo').setInputFiles(file);
  await expect(wrong.getByRole('img', { name: 'photo 1' })).toBeVisible();
  await untilTaken(phone, '/api/entries', () => wrong.getByRole('button', { name: 'Save problem' }).click());
  const items = phone.getByRole('list', { name: /^Open items of / });
  await expect(items).toContainText('Dent by others, ceiling');

  const [item] = await payloadsOf('item', house, site.database);
  expect(item?.payload).toMatchObject({
    defect: 'dent',
    text: 'Ladder',
    place: [expect.any(Number), expect.any(Number)],
  });
  const [photo] = (item?.payload.photos ?? []) as readonly string[];
  const kept = await page.request.get(`/api/photos/${house.split('/').at(-1)}/${photo}`);
  // Nobody who is not signed in sees it.
  expect(kept.status()).toBe(401);
  await signIn(page, 'Marit');
  const shown = await page.request.get(`/api/photos/${house.split('/').at(-1)}/${photo}`);
  expect(shown.headers()['content-type']).toBe('image/jpeg');
  const { width, height, exif } = await sharp(await shown.body()).metadata();
  expect({ longest: Math.max(width, height), exif }).toEqual({ longest: 1600, exif: undefined });
  expect((await shown.body()).length).toBeLessThanOrEqual(400_000);

  await visit(page, house);
  await expect(page.getByRole('complementary')).toContainText('Dent by others, ceiling');
  await items.getByRole('textbox', { name: /^Minutes to mend: Dent by others/ }).fill('12');
  await untilTaken(phone, '/api/entries', () => items.getByRole('button', { name: /^Mended: Dent by others/ }).click());
  expect((await payloadsOf('itemClosed', house, site.database))[0]?.payload).toMatchObject({ minutes: 12 });

  const room = (
    await query<{ room: string }>('SELECT room_id AS room FROM entries WHERE payload->>$1 = $2', site.database, [
      'text',
      'Ladder',
    ])
  )[0]?.room;
  await visit(page, `${house}/hand-over/${room}`);
  const figure = page.getByRole('img', { name: /^Dent by others.*mended$/ });
  await expect(figure).toBeVisible();
  await untilTaken(page, '/api/entries', () => page.getByRole('checkbox', { name: 'Hand over' }).click());
  await expect(page.getByRole('checkbox', { name: 'Hand over' })).toBeChecked();
  await page.emulateMedia({ media: 'print' });
  await expect(figure).toBeVisible();
});

/** A JPEG that says where it was taken, and that it lies on its side. */
const withPlace = (image: Buffer): Promise<Buffer> =>
  sharp(image)
    .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' }, IFD0: { Model: 'a phone' } })
    .jpeg()
    .toBuffer();

test('what is no photo is refused where it was chosen, and by the server too', async ({
  page,
  house,
  signIn,
}, testInfo) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/sand`);
  await isLive(page);
  await page.getByRole('button', { name: 'Report problem in Bath' }).click();
  const wrong = page.getByRole('dialog');
  const whole = await sharp(await picture(800, 600))
    .jpeg()
    .toBuffer();
  const script = Buffer.from(
    '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>',
  );
  const files = [
    ['text.jpg', Buffer.from('no picture at all'), 'is no photo that can be read'],
    ['script.png', script, 'is no photo that can be read'],
    ['huge.png', pngHead(10_000, 10_000), 'has 100 million pixels'],
    ['large.jpg', Buffer.concat([whole, Buffer.alloc(40_000_000)]), 'has 40 MB'],
  ] as const;
  for (const [name, buffer, words] of files) {
    await writeFile(testInfo.outputPath(name), buffer);
    await wrong.getByLabel('Photo').setInputFiles(testInfo.outputPath(name));
    await expect(wrong.getByRole('alert')).toContainText(`${name} ${words}`);
  }
  const put = async (data: Buffer) => {
    const answer = await page.request.put(`/api/photos/${house.split('/').at(-1)}/${crypto.randomUUID()}`, { data });
    return answer.status();
  };
  expect(await put(files[0][1])).toBe(415);
  expect(await put(script)).toBe(415);
  expect(await put(files[2][1])).toBe(415);
  expect(await put(files[3][1])).toBe(413);
  expect(await put(whole.subarray(0, whole.length / 2))).toBe(415);
  expect(await put(await readFile('package.json'))).toBe(415);
  // An entry names only photos that are there.
  const entry = { room: 'bath', at: minutesBefore(1), kind: 'item', payload: { photos: [crypto.randomUUID()] } };
  const answer = await page.request.post('/api/entries', {
    data: { house: house.split('/').at(-1), entries: [{ ...entry, id: crypto.randomUUID() }] },
  });
  expect([answer.status(), (await answer.json()).message]).toEqual([
    400,
    'entries[0].payload.photos[0]: is no photo of this house',
  ]);
});

/** The beginning of a PNG of some size, with nothing of its picture. */
function pngHead(width: number, height: number): Buffer {
  const head = Buffer.alloc(33);
  head.write('\x89PNG\r\n\x1a\n', 0, 'latin1');
  head.writeUInt32BE(13, 8);
  head.write('IHDR', 12, 'latin1');
  head.writeUInt32BE(width, 16);
  head.writeUInt32BE(height, 20);
  head.set([8, 2, 0, 0, 0], 24);
  return head;
}

test('the joints that are done are tapped on the card, and only they are logged', async ({
  page,
  house,
  site,
  signIn,
}) => {
  await page.setViewportSize(PHONE);
  await signIn(page, 'Tobin');
  await visit(page, `${house}/my-day`);
  // What comes before the coat is said by itself.
  await untilTaken(page, '/api/entries', () =>
    jobNow(page).getByRole('button', { name: 'Scraped and dusted' }).click(),
  );
  await expect(jobNow(page)).toContainText('✓ 12:34');
  const pieces = jobNow(page).locator('[data-job-piece]');
  await expect(pieces.first()).toBeAttached();
  const ids = await pieces.evaluateAll((all) => all.slice(0, 2).map((one) => one.getAttribute('data-job-piece')));
  for (const id of ids) await jobNow(page).locator(`[data-job-piece="${id}"]`).first().dispatchEvent('click');
  const done = jobNow(page).getByRole('button', { name: 'Done: these 2' });
  // It stays within reach of a thumb, however long the card is.
  await expect(done).toBeInViewport();
  await untilTaken(page, '/api/entries', () => done.click());
  const coats = (await payloadsOf('coat', house, site.database)).filter(
    ({ at }) => at.toISOString() === minutesBefore(0),
  );
  const logged = coats.flatMap(({ payload }) => (payload.pieces as readonly { id: string }[]).map(({ id }) => id));
  expect(logged.toSorted()).toEqual(ids.toSorted());
  for (const id of ids) await expect(jobNow(page).locator(`[data-job-piece="${id}"]`)).toHaveCount(0);
});

test('a batch of setting mud is mixed once: its clock runs large, and done goes by it', async ({
  page,
  browser,
  house,
  site,
  signIn,
  moveClock,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/coats`);
  await untilTaken(page, '/commands/saveMethod', () =>
    page.getByRole('radio', { name: /Setting in the tape coat only/ }).check(),
  );
  const phone = await browser.newPage({ viewport: PHONE });
  await signIn(phone, 'Ines');
  await visit(phone, `${house}/my-day`);
  const mud = phone.getByRole('region', { name: 'Setting mud' });
  await expect(mud).toContainText(/at most \d+(\.\d)? (qt|gal) at once/);
  await mud.getByLabel('Minutes on the label').fill('soon');
  await mud.getByRole('button', { name: 'Mixed now' }).click();
  await expect(mud).toContainText('Enter the minutes as a number.');
  await mud.getByLabel('Minutes on the label').fill('40');
  await untilTaken(phone, '/api/entries', () => mud.getByRole('button', { name: 'Mixed now' }).click());
  await expect(mud.getByRole('timer')).toContainText('40 min left');
  moveClock(0.5);
  await phone.reload();
  await expect(mud.getByRole('timer')).toContainText('10 min left');
  // One press: when it was mixed is known.
  await untilTaken(phone, '/api/entries', () =>
    jobNow(phone).getByRole('button', { name: 'Done', exact: true }).click(),
  );
  const coats = (await payloadsOf('coat', house, site.database)).filter(({ payload }) => 'mixedAt' in payload);
  expect(coats.length).toBeGreaterThan(0);
  // By the label of the batch, whatever the method asks for.
  for (const { payload } of coats)
    expect(payload).toMatchObject({ mixedAt: minutesBefore(0), mud: { kind: 'setting', minutes: 40 } });
  moveClock(0.9);
  await phone.reload();
  await expect(phone.getByText(/^Done: .*Boot room tape/)).toBeVisible();
});

test('the field guide is looked through, opened by a link, and read larger', async ({ page, house, signIn }) => {
  await signIn(page, 'Osei');
  await visit(page, `${house}/guide#defect-bubble`);
  await expect(page.locator('#defect-bubble')).toBeInViewport();
  await expect(page.locator('#defect-bubble')).toContainText('Cut it out and tape it again');
  const looked = page.getByRole('searchbox', { name: 'Search' });
  await looked.fill('stilts');
  await expect(page.getByText('Stilts are forbidden in some places')).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: '1 card' })).toBeVisible();
  await looked.fill('no such word');
  await expect(page.getByText('No card says that.')).toBeVisible();
  await looked.fill('flats');
  const before = await page
    .getByRole('heading', { name: '1. Pre-fill' })
    .first()
    .evaluate((element) => getComputedStyle(element).fontSize);
  await page.getByRole('button', { name: 'Larger letters' }).click();
  const after = await page
    .getByRole('heading', { name: '1. Pre-fill' })
    .first()
    .evaluate((element) => getComputedStyle(element).fontSize);
  expect(Number.parseFloat(after)).toBeGreaterThan(Number.parseFloat(before));
});

test('on a tablet the header is one row, the board a table, and the tally beside its picture', async ({
  browser,
  house,
  signIn,
}) => {
  const upright = { width: 820, height: 1180 };
  const lying = { width: 1180, height: 820 };
  const page = await browser.newPage({ viewport: upright, hasTouch: true, isMobile: true });
  await signIn(page, 'Marit');
  for (const path of ['', '/board', '/tally?room=hall', '/run', '/sand', '/walk', '/guide', '/dry']) {
    await visit(page, house + path);
    const drawn = DRAWN[path];
    if (drawn) await expect(page.getByRole('button', { name: drawn, exact: true }).first()).toBeVisible();
    for (const viewport of [upright, lying]) {
      await page.setViewportSize(viewport);
      const at = `${path} at ${viewport.width}`;
      expect(await page.evaluate(smallTargets), at).toEqual([]);
      expect((await page.getByRole('banner').boundingBox())?.height, at).toBeLessThan(72);
      if (path === '/board') await lieBesideEachOther(page.getByRole('region', { name: 'Hall' }).getByRole('listitem'));
      if (path === '/tally?room=hall') {
        const picture = page.getByRole('img', { name: 'The room laid flat with its boards and joints' });
        const [drawing, tally] = [await picture.boundingBox(), await page.getByRole('complementary').boundingBox()];
        expect((drawing?.x ?? 0) + (drawing?.width ?? 0), at).toBeLessThanOrEqual(tally?.x ?? 0);
      }
    }
  }
});

/** The first two stand in one row. */
async function lieBesideEachOther(cells: Locator): Promise<void> {
  const [first, second] = [await cells.nth(0).boundingBox(), await cells.nth(1).boundingBox()];
  expect([first?.y === second?.y, (first?.x ?? 0) < (second?.x ?? 0)]).toEqual([true, true]);
}

/** What stands on a page when it is drawn whole, where that takes a while. */
const DRAWN: Readonly<Record<string, string>> = { '/run': 'Today' };

/** Buttons and fields that are lower than a finger wants, 44 px. */
function smallTargets(): readonly string[] {
  return [
    ...document.querySelectorAll<HTMLElement>(
      'button, .btn, select, input:not([type=checkbox], [type=radio], [type=file])',
    ),
  ]
    .filter((element) => element.checkVisibility() && !element.closest('.sr-only') && !element.matches(':disabled'))
    .map((element) => ({ element, height: element.getBoundingClientRect().height }))
    .filter(({ height }) => height > 0 && height < 44)
    .map(({ element, height }) => `${element.outerHTML.slice(0, 120)} ${height}`);
}

test('a finger moves a card to another day on a tablet', async ({ browser, house, signIn }) => {
  const tablet = await (
    await browser.newContext({ viewport: { width: 1180, height: 820 }, hasTouch: true, isMobile: true })
  ).newPage();
  await signIn(tablet, 'Marit');
  await visit(tablet, `${house}/run`);
  await expect(tablet.getByRole('button', { name: 'Propose anew' })).toBeVisible();
  const week = tablet.getByRole('region', { name: 'The week' });
  const card = week.getByRole('button', { name: /proposed$/ }).first();
  const target = week.locator('tbody tr').nth(2).locator('td').nth(3);
  await card.scrollIntoViewIfNeeded();
  const [from, to] = [await card.boundingBox(), await target.boundingBox()];
  if (!from || !to) throw new Error('card and cell are drawn');
  const finger = await tablet.context().newCDPSession(tablet);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: readonly [number, number]) =>
    finger.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [{ x: at[0], y: at[1] }] : [] });
  const [x, y] = [from.x + 20, from.y + 20];
  await touch('touchStart', [x, y]);
  // A finger that rests on a card takes it up; one that passes scrolls the page.
  await expect(async () => {
    await touch('touchMove', [x + 1, y + 1]);
    await expect(tablet.getByRole('img', { name: /in the hand$/ })).toHaveCount(1, { timeout: 200 });
  }).toPass();
  const end: readonly [number, number] = [to.x + 30, Math.min(to.y + 20, 790)];
  for (const part of [0.3, 0.6, 1]) await touch('touchMove', [x + (end[0] - x) * part, y + (end[1] - y) * part]);
  await expect(tablet.getByText(/^(same finish|.* (later|sooner)|cannot be run there)$/)).toBeVisible();
  await touch('touchEnd');
  await expect(week.getByRole('button', { name: /moved, not assigned$/ }).first()).toBeVisible();
});

test('a knife across one joint says what is wrong with that one, and its next coat is told', async ({
  browser,
  house,
  site,
  signIn,
}) => {
  const phone = await browser.newPage({ viewport: PHONE });
  await signIn(phone, 'Petra');
  await visit(phone, `${house}/my-day`);
  const now = jobNow(phone);
  await now.getByRole('button', { name: /^Report problem in / }).click();
  const wrong = phone.getByRole('dialog');
  const drawing = wrong.locator('svg').filter({ hasText: 'tap the place' });
  const joints = drawing.locator('line');
  await expect(joints.first()).toBeAttached();
  const across = wrong.getByRole('checkbox', { name: 'Lay a knife across it' });
  // Joints are tapped one after the other until a knife can be laid across one.
  for (let index = 0; (await across.count()) === 0; index += 1) {
    const box = await joints.nth(index).boundingBox();
    if (!box) throw new Error('some joint lies in one plane');
    await phone.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  }
  await across.check();
  await wrong.getByLabel('Knife', { exact: true }).fill('2');
  await wrong.getByRole('button', { name: 'Save problem' }).click();
  await expect(wrong.getByText('a knife is 4 to 48 in long')).toBeVisible();
  await wrong.getByLabel('Knife', { exact: true }).fill('12');
  await wrong.getByLabel('It lifts by').fill('1/8');
  await expect(wrong).toContainText('A hump of 1/16 in.');
  await expect(wrong.getByRole('img', { name: /^The joint in section: a hump of 1\/16 in/ })).toBeVisible();
  await untilTaken(phone, '/api/entries', () => wrong.getByRole('button', { name: 'Save problem' }).click());
  const [item] = await payloadsOf('item', house, site.database);
  expect(item?.payload).toMatchObject({
    defect: 'crown',
    piece: expect.any(String),
    knife: {
      length: expect.closeTo(304.8, 6),
      seen: { kind: 'rocks', lift: expect.closeTo(3.175, 6), pivot: expect.closeTo(152.4, 6) },
    },
  });
  await expect(phone.getByRole('list', { name: /^Open items of / })).toContainText('Crowned joint, 1/16 in high');
  await expect(phone.getByRole('img', { name: /^The joint in section: a hump of 1\/16 in/ })).toBeVisible();
});

test('a butt that hangs elsewhere is dragged there, by mouse, finger and keys, and the plan comes back', async ({
  page,
  house,
  signIn,
  site,
}) => {
  await signIn(page, 'Marit');
  await visit(page, `${house}/tally?room=day-room`);
  const line = page.getByLabel('Quick line');
  const before = await line.inputValue();
  const openWall = async () => {
    await page.getByLabel('Open a face large').selectOption({ label: 'wall 1' });
    await page.getByRole('button', { name: 'As built …' }).click();
  };
  await openWall();
  const sheet = page.getByRole('dialog');
  const butt = sheet.getByRole('slider', { name: 'Butt 1 of course 1' });
  await expect(butt).toHaveAttribute('aria-valuetext', '8′ 0″');
  await expect(sheet.getByRole('region', { name: 'Beside the plan' })).toContainText('The same joints.');

  // A drag goes from one member of the framing to the next.
  const knob = await butt.locator('circle').boundingBox();
  if (!knob) throw new Error('the wall is drawn');
  const [x, y] = [knob.x + knob.width / 2, knob.y + knob.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 60, y, { steps: 6 });
  await page.mouse.move(x - 120, y, { steps: 6 });
  await page.mouse.up();
  const moved = Number(await butt.getAttribute('aria-valuenow'));
  expect(moved).toBeLessThan(8 * 304.8 - 300);
  expect(Math.abs(moved - Math.round(moved / 406.4) * 406.4)).toBeLessThan(1);
  await sheet.getByRole('button', { name: 'Undo' }).click();
  await expect(butt).toHaveAttribute('aria-valuetext', '8′ 0″');
  await sheet.getByRole('button', { name: 'Redo' }).click();
  await expect(butt).toHaveAttribute('aria-valuenow', String(moved));
  await sheet.getByRole('button', { name: 'As planned' }).click();

  // By keys: a bay, a little, a place that was measured; and what cannot be says why.
  await butt.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(butt).toHaveAttribute('aria-valuetext', '6′ 8″');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(butt).toHaveAttribute('aria-valuetext', '6′ 8 ⅛″');
  await sheet.getByLabel('From the left').fill("5'4");
  await sheet.getByLabel('From the left').press('Enter');
  await expect(butt).toHaveAttribute('aria-valuetext', '5′ 4″');
  await sheet.getByLabel('From the left').fill("40'");
  await sheet.getByLabel('From the left').press('Enter');
  await expect(sheet.getByText('there is no board')).toBeVisible();
  await sheet.getByLabel('Its ends').selectOption('over a backer');
  await expect(butt).toHaveAttribute('aria-valuetext', '5′ 4″, over a backer');
  await expect(sheet.getByRole('region', { name: 'Beside the plan' })).toContainText('Backed butts');
  // The rip at the floor hung the other way round, and back.
  await sheet.getByRole('slider', { name: 'Seam after course 2' }).focus();
  const cut = sheet.getByLabel('Course 3 is cut at its');
  await expect(cut).toHaveValue('last');
  await cut.selectOption('top edge');
  await expect(sheet.getByRole('region', { name: 'Beside the plan' })).toContainText('Mixed');
  await cut.selectOption('bottom edge');
  await expect(sheet.getByRole('region', { name: 'Beside the plan' })).not.toContainText('Mixed');
  await sheet.getByRole('button', { name: 'Use this layout' }).click();
  await expect(line).toHaveValue(/hung wall 1 across 48 at 5'4 backed \+ 48 at 12' \+ 12 at 8'/);
  await untilTaken(page, '/commands/saveRoom', () => page.getByRole('button', { name: 'Save changes' }).click());
  const [row] = await query<{ hung: object }>(
    `SELECT room->'hung' AS hung FROM rooms WHERE house_id = $1 AND id = 'day-room'`,
    site.database,
    [house.split('/').at(-1)],
  );
  expect(Object.values(row?.hung ?? {})).toMatchObject([
    { run: 'across', courses: [{ butts: [64], backed: true }, {}, {}] },
  ]);

  // Its hanger is told what it takes more.
  await visit(page, `${house}/hanger`);
  const listed = page.getByRole('region', { name: 'Day room' });
  await expect(listed).toContainText(
    'Hung otherwise than planned on wall 1: butts −2 ft, −1 joint; backed butts +4 ft, +1 joint',
  );
  await visit(page, `${house}/tally?room=day-room`);

  // As planned again: nothing of it is left.
  await openWall();
  await sheet.getByRole('button', { name: 'As planned' }).click();
  await sheet.getByRole('button', { name: 'Use this layout' }).click();
  await expect(line).toHaveValue(before);
});

test('a finger drags a butt on a phone', async ({ browser, house, signIn }) => {
  const phone = await browser.newPage({ viewport: PHONE, hasTouch: true });
  await signIn(phone, 'Marit');
  await visit(phone, `${house}/tally?room=day-room`);
  await phone.getByLabel('Open a face large').selectOption({ label: 'wall 1' });
  await phone.getByRole('button', { name: 'As built …' }).click();
  const butt = phone.getByRole('dialog').getByRole('slider', { name: 'Butt 1 of course 1' });
  const knob = await butt.locator('circle').boundingBox();
  if (!knob) throw new Error('the butt has its knob');
  const [x, y] = [knob.x + knob.width / 2, knob.y + knob.height / 2];
  const finger = await phone.context().newCDPSession(phone);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: number) =>
    finger.send('Input.dispatchTouchEvent', { type, touchPoints: at === undefined ? [] : [{ x: at, y }] });
  await touch('touchStart', x);
  for (const by of [5, 15, 30, 45]) await touch('touchMove', x - by);
  await touch('touchEnd');
  await expect(butt).toHaveAttribute('aria-valuetext', /^[45]′/);
});
