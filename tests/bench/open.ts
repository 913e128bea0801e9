import { type Browser, chromium } from '@playwright/test';
import { cookieOf } from '../../scripts/setup/served.mjs';
import { median } from './rooms';

const RUNS = 7;
/** A poor signal: 1.6 Mbit/s down, 150 ms of latency. */
const NETWORK = { offline: false, latency: 150, downloadThroughput: 200_000, uploadThroughput: 94_000 };
const SLOWER = 4;
const MOST_MS = { cold: 3000, warm: 1500 } as const;

/** How long a cheap phone with a poor signal takes to show *My day* with a *Done* that can be pressed: the first time, and again. */
async function main(): Promise<void> {
  const base = `http://127.0.0.1:${process.argv[2]}`;
  const [name = '', value = ''] = (await cookieOf(base, 'Petra')).split('=');
  const cookie = { name, value, url: base };
  const [, house] =
    /(\/h\/[0-9a-f-]{36})/.exec(
      await (await fetch(`${base}/houses`, { headers: { cookie: `${name}=${value}` } })).text(),
    ) ?? [];
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const runs: Opened[] = [];
  for (let run = 0; run < RUNS; run += 1) runs.push(await openTwice(browser, cookie, `${base}${house}/my-day`));
  await browser.close();
  process.stdout.write('\nMy day on a phone: 1.6 Mbit/s, 150 ms, a processor four times slower\n');
  for (const kind of ['cold', 'warm'] as const) {
    const own = runs.map((run) => run[kind]);
    process.stdout.write(
      `  ${kind}: Done can be pressed after ${median(own.map(({ shown }) => shown)).toFixed(0)} ms (at most ${MOST_MS[kind]}), ` +
        `does it after ${median(own.map(({ live }) => live)).toFixed(0)} ms\n`,
    );
  }
}

/** ms until *Done* is there, which keeps a press from then on, and until the page has its script. */
interface Moments {
  readonly shown: number;
  readonly live: number;
}
type Opened = Readonly<Record<'cold' | 'warm', Moments>>;

async function openTwice(
  browser: Browser,
  cookie: { readonly name: string; readonly value: string; readonly url: string },
  url: string,
): Promise<Opened> {
  const context = await browser.newContext({ viewport: { width: 360, height: 740 } });
  await context.addCookies([cookie]);
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.emulateNetworkConditions', NETWORK);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const done = page.getByRole('button', { name: 'Done', exact: true });
  const open = async (): Promise<Moments> => {
    await page.goto('about:blank');
    const start = performance.now();
    await page.goto(url, { waitUntil: 'commit' });
    await done.waitFor();
    const shown = performance.now() - start;
    await page.waitForFunction(() =>
      [...document.querySelectorAll('main button')].some(
        (button) => button.textContent === 'Done' && Object.keys(button).some((key) => key.startsWith('__reactProps$')),
      ),
    );
    return { shown, live: performance.now() - start };
  };
  const cold = await open();
  const warm = await open();
  await context.close();
  return { cold, warm };
}

await main();
