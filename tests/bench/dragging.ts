import { chromium, type Page } from '@playwright/test';
import { cookieOf } from '../../scripts/setup/served.mjs';
import { parseQuickLine } from '../../src/core/quickline/parseQuickLine';
import { roomSchema } from '../../src/core/room/schema';
import { closeConnection } from '../../src/db/connection';
import { inFirm } from '../../src/db/firm';
import { addHouse } from '../../src/db/houses';
import { demoFirm } from './demoFirm';
import { median } from './rooms';

const FRAME_MS = 1000 / 60;
const OPENINGS = Array.from({ length: 12 }, (_, index) => `window 30x40 @30 wall 1 at ${1 + index * 4.5}'`).join(', ');
/** A wall of twelve openings on a desk, and a room of many faces on a phone. */
const CASES = [
  ['a wall of 55 ft with 12 openings', { width: 1280, height: 800 }, `Hall: 55' x 12' x 9', ${OPENINGS}`],
  [
    'a room of 40 faces on a phone',
    { width: 390, height: 844 },
    `Nook: ${"r 16' d 4' ".repeat(9)}d 6' ${"l 16' u 4' ".repeat(8)}l 16' u 10', h 9'`,
  ],
] as const;

/** How long the page works on each step of a butt that is dragged, until it is drawn elsewhere, in Chromium. */
async function main(): Promise<void> {
  const base = `http://127.0.0.1:${process.argv[2]}`;
  const [name = '', value = ''] = (await cookieOf(base, 'Marit')).split('=');
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  process.stdout.write('\nA butt that is dragged as hung: from the move of the pointer to the picture that follows\n');
  for (const [words, viewport, line] of CASES) {
    const read = parseQuickLine(line, { unit: 'in', hang: {} });
    if (!read.ok) throw new Error(read.reason);
    const rooms = [roomSchema.parse({ ...read.room, id: 'one' })];
    const head = { unit: 'in', name: words, hang: {}, method: { level: 4 } } as const;
    const house = await addHouse({ format: 'oak-tally-house', version: 2, ...head, rooms }, 'UTC');
    const context = await browser.newContext({ viewport });
    await context.addCookies([{ name, value, url: base }]);
    const page = await context.newPage();
    await page.goto(`${base}/h/${house}/tally?room=one`);
    const times = await drag(page);
    const over = times.filter((time) => time > FRAME_MS).length;
    process.stdout.write(
      `  ${words}: median ${median(times).toFixed(1)} ms, worst ${Math.max(...times).toFixed(1)} ms, ${over} of ${times.length} over a frame of ${FRAME_MS.toFixed(1)} ms\n`,
    );
    await context.close();
  }
  await browser.close();
}

/** ms for each step that drew something. */
async function drag(page: Page): Promise<readonly number[]> {
  await page.getByLabel('Open a face large').selectOption({ index: 1 });
  await page.getByRole('button', { name: 'As built …' }).click();
  await page.getByRole('button', { name: 'Add butt' }).click();
  const butt = page.getByRole('slider', { name: /^Butt/ }).first();
  await butt.waitFor();
  await page.evaluate(() => {
    const times: number[] = [];
    let since: number | undefined;
    addEventListener(
      'pointermove',
      () => {
        since = performance.now();
      },
      { capture: true },
    );
    new MutationObserver(() => {
      if (since !== undefined) times.push(performance.now() - since);
      since = undefined;
    }).observe(document.querySelector('dialog svg') ?? document, { subtree: true, childList: true, attributes: true });
    Object.assign(window, { times });
  });
  const knob = await butt.locator('circle').boundingBox();
  if (!knob) throw new Error('the butt has its knob');
  const [x, y] = [knob.x + knob.width / 2, knob.y + knob.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 80; step += 1) await page.mouse.move(x + (step % 40) * 2.5 * (step < 40 ? 1 : -1), y);
  await page.mouse.up();
  return page.evaluate(() => (window as unknown as { times: number[] }).times);
}

try {
  await inFirm(await demoFirm(), main);
} finally {
  await closeConnection();
}
