import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { cookieOf } from '../../scripts/setup/served.mjs';
import { awaySnapshot } from '../../src/client/away/awaySnapshot';
import type { AwayHouse } from '../../src/contract/away';
import { closeConnection } from '../../src/db/connection';
import { inFirm } from '../../src/db/firm';
import { firstScript } from '../setup/firstScript';
import { demoFirm } from './demoFirm';
import { houseWithEntries } from './loggedHouse';
import { median } from './rooms';

const RUNS = 15;
const ROOMS = [10, 60] as const;
const ENTRIES = [0, 5000, 20_000] as const;
const VIEWS = [
  ['House', ''],
  ['Run sheet', '/run'],
  ['Coat board', '/board'],
  ['Dry watch', '/dry'],
  ['My day', '/my-day'],
  ['Coats', '/coats'],
] as const;
/** What a device shows where no server answers. */
const AWAY = '/away';
/** Characters of the last answer of each page. */
const sizes = new Map<string, number>();
const base = `http://127.0.0.1:${process.argv[2]}`;

/**
 * Server time of pages beside a bare page with one query, as ratios in one run; what a new entry takes; and how much script a
 * browser loads for each view.
 */
async function main(): Promise<void> {
  const cookie = await cookieOf(base, 'Marit');
  const houses = new Map<string, string>();
  for (const rooms of ROOMS)
    for (const entries of ENTRIES) houses.set(`${rooms} ${entries}`, await houseWithEntries(rooms, entries));
  const houseOf = (rooms: number, entries: number) => houses.get(`${rooms} ${entries}`) ?? '';
  const first = await timeOf(`/h/${houseOf(60, 20_000)}/board`, cookie);
  process.stdout.write('\nPages, whole answer on loopback, each house with a month of minute readings\n');
  process.stdout.write(`  Coat board, 60 rooms, 20,000 entries, the first time: ${first.toFixed(0)} ms\n`);
  process.stdout.write(
    `  ${'rooms, entries'.padEnd(16)}${VIEWS.map(([name]) => name.padStart(22)).join('')}   (ms, × bare, kB)\n`,
  );
  const bares: number[] = [];
  for (const rooms of ROOMS) {
    for (const entries of ENTRIES) {
      const cells: string[] = [];
      for (const [, path] of VIEWS) {
        const url = `/h/${houseOf(rooms, entries)}${path}`;
        const { ms, bare } = await besideBare(url, cookie);
        bares.push(bare);
        const size = Math.round((sizes.get(url) ?? 0) / 1024);
        cells.push(`${ms.toFixed(0)} × ${(ms / bare).toFixed(1)} ${size}`.padStart(22));
      }
      process.stdout.write(`  ${`${rooms}, ${entries.toLocaleString('en-US')}`.padEnd(16)}${cells.join('')}\n`);
    }
  }
  process.stdout.write(`  a bare page with one query, in turn with each: ${median(bares).toFixed(1)} ms\n`);
  await timeEntries(houseOf(60, 0), cookie, 'without entries');
  await timeEntries(houseOf(60, 20_000), cookie, 'with 20,000 entries');
  process.stdout.write('\nA house on a device, without a server (at most 5 MB kept, and 1 s to the page)\n');
  for (const rooms of ROOMS)
    for (const entries of ENTRIES) await timeAway(houseOf(rooms, entries), cookie, `${rooms}, ${entries}`);
  process.stdout.write(
    '\nScript of the first load of a view, compressed (at most 200 kB; what shows a house without a server is on the device by then)\n',
  );
  for (const [name, path] of [...VIEWS, ['Tally', '/tally'] as const, ['Without', AWAY] as const]) {
    const size = await firstScript(base + (path === AWAY ? path : `/h/${houseOf(10, 0)}${path}`), cookie);
    process.stdout.write(`  ${name.padEnd(12)} ${Math.round(size / 1024)} kB\n`);
  }
}

/** A page in turn with the bare one, which is made and thrown away like any other: one query, then words. */
async function besideBare(path: string, cookie: string): Promise<{ readonly ms: number; readonly bare: number }> {
  const [pages, bares]: [number[], number[]] = [[], []];
  for (let run = -3; run < RUNS; run += 1) {
    const [bare, page] = [await timeOf('/signin', cookie), await timeOf(path, cookie)];
    if (run < 0) continue;
    bares.push(bare);
    pages.push(page);
  }
  return { ms: median(pages), bare: median(bares) };
}

async function usualTime(path: string, cookie: string): Promise<number> {
  for (let warm = 0; warm < 3; warm += 1) await timeOf(path, cookie);
  const runs: number[] = [];
  for (let run = 0; run < RUNS; run += 1) runs.push(await timeOf(path, cookie));
  return median(runs);
}

/** A coat that is logged, and the page that shows it, beside the page that nothing happened before. */
async function timeEntries(house: string, cookie: string, words: string): Promise<void> {
  const page = await usualTime(`/h/${house}`, cookie);
  const [writes, pages]: [number[], number[]] = [[], []];
  for (let run = 0; run < RUNS; run += 1) {
    const entry = {
      id: randomUUID(),
      room: `room-${run}`,
      at: new Date().toISOString(),
      kind: 'coat',
      version: 2,
      payload: { class: 'flat', key: 'tape' },
    };
    const start = performance.now();
    const answer = await fetch(`${base}/api/entries`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json' },
      body: JSON.stringify({ house, entries: [entry] }),
    });
    if (answer.status !== 200) throw new Error(`an entry was answered ${answer.status}: ${await answer.text()}`);
    writes.push(performance.now() - start);
    pages.push(await timeOf(`/h/${house}`, cookie));
  }
  const more = median(pages) - page;
  process.stdout.write(
    `  one entry, 60 rooms ${words}: ${median(writes).toFixed(0)} ms to record, ${more.toFixed(0)} ms more for the page after it\n`,
  );
}

/** How much a device keeps of a house, and how long it takes to work it out for the first time. */
async function timeAway(house: string, cookie: string, words: string): Promise<void> {
  const text = await (await fetch(`${base}/h/${house}/seen`, { headers: { cookie } })).text();
  const start = performance.now();
  const seen: AwayHouse = JSON.parse(text);
  awaySnapshot(seen, [], seen.made);
  const ms = performance.now() - start;
  process.stdout.write(
    `  ${words.padEnd(16)}${(gzipSync(text).length / 1e6).toFixed(2)} MB kept of ${(text.length / 1e6).toFixed(2)}, ${ms.toFixed(0)} ms to work it out\n`,
  );
}

async function timeOf(path: string, cookie: string): Promise<number> {
  const start = performance.now();
  const answer = await fetch(base + path, { headers: { cookie }, redirect: 'manual' });
  const text = await answer.text();
  sizes.set(path, text.length);
  if (answer.status !== 200) throw new Error(`${path} answered ${answer.status}`);
  return performance.now() - start;
}

try {
  await inFirm(await demoFirm(), main);
} finally {
  await closeConnection();
}
