import { chromium } from '@playwright/test';
import { cookieOf } from '../../scripts/setup/served.mjs';
import { closeConnection } from '../../src/db/connection';
import { inFirm } from '../../src/db/firm';
import { addHouse } from '../../src/db/houses';
import { demoFirm } from './demoFirm';
import { houseOfRooms, median } from './rooms';

const LINE =
  "Landing: r 12' d 3'6 r 4' d 8' l 16' u 11'6, h 9', soffit 20x12 wall 5, door 32x80 wall 4, window 36x48 @36 wall 1 bead, niche 30x24x8 @40 wall 6 shelves 1";
const FRAME_MS = 1000 / 60;

/** How long the page works on each character typed into the quick line, in Chromium, in a house of 60 rooms. */
async function main(): Promise<void> {
  const base = `http://127.0.0.1:${process.argv[2]}`;
  const [name = '', value = ''] = (await cookieOf(base, 'Marit')).split('=');
  const house = await addHouse(houseOfRooms(60), 'UTC');
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addCookies([{ name, value, url: base }]);
  const page = await context.newPage();
  await page.goto(`${base}/h/${house}/tally?new`);
  await page.getByLabel('Quick line').fill("A: 12' x 10'");
  await page.getByRole('img', { name: /laid flat/ }).waitFor();
  const times = await page.getByLabel('Quick line').evaluate(async (element, line) => {
    const input = element as HTMLTextAreaElement;
    const set = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set;
    const measured: number[] = [];
    for (let length = 1; length <= line.length; length += 1) {
      await new Promise((resolve) => requestAnimationFrame(resolve));
      const start = performance.now();
      set?.call(input, line.slice(0, length));
      input.setSelectionRange(length, length);
      input.dispatchEvent(new Event('input', { bubbles: true }));
      // The line is drawn as soon as the event is over; the picture follows when nothing more is typed.
      await new Promise<void>((resolve) => queueMicrotask(() => queueMicrotask(resolve)));
      measured.push(performance.now() - start);
    }
    return measured;
  }, LINE);
  const pictures = await page.getByLabel('Quick line').evaluate(async (element) => {
    const input = element as HTMLTextAreaElement;
    const set = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set;
    const measured: number[] = [];
    for (let index = 0; index < 20; index += 1) {
      const picture = document.querySelector('svg[role="img"]');
      const start = performance.now();
      const redrawn = new Promise<number>((resolve) => {
        const watch = new MutationObserver(() => {
          watch.disconnect();
          resolve(performance.now() - start);
        });
        if (picture) watch.observe(picture, { subtree: true, childList: true, attributes: true });
      });
      set?.call(input, input.value.replace(/door \d+x80/, `door ${28 + (index % 8)}x80`));
      input.dispatchEvent(new Event('input', { bubbles: true }));
      measured.push(await redrawn);
      await new Promise((resolve) => setTimeout(resolve, 60));
    }
    return measured;
  });
  const over = times.filter((time) => time > FRAME_MS).length;
  process.stdout.write(`\nTyping ${LINE.length} characters on the quick line, house of 60 rooms\n`);
  process.stdout.write(
    `  the line: median ${median(times).toFixed(1)} ms, worst ${Math.max(...times).toFixed(1)} ms, ${over} over a frame of ${FRAME_MS.toFixed(1)} ms\n`,
  );
  process.stdout.write(`  the picture begins to change after: median ${median(pictures).toFixed(1)} ms\n`);
  await browser.close();
}

try {
  await inFirm(await demoFirm(), main);
} finally {
  await closeConnection();
}
