import { cookieOf } from '../../scripts/setup/served.mjs';
import { closeConnection } from '../../src/db/connection';
import { inFirm } from '../../src/db/firm';
import { addHouse } from '../../src/db/houses';
import { demoFirm } from './demoFirm';
import { houseOfRooms, median } from './rooms';

const RUNS = 25;
/** Characters of the last answer of each page. */
const sizes = new Map<string, number>();
const base = `http://127.0.0.1:${process.argv[2]}`;

/** Server time of pages beside a bare page with one query, as ratios in one run. */
async function main(): Promise<void> {
  const cookie = await cookieOf(base, 'Marit');
  const [small, large] = [await addHouse(houseOfRooms(10), 'UTC'), await addHouse(houseOfRooms(60), 'UTC')];
  // The page is made and thrown away like any other: one query, then words.
  const pages = [
    ['a bare page with one query', '/signin'],
    ['House, 10 rooms', `/h/${small}`],
    ['House, 60 rooms', `/h/${large}`],
    ['Coat board, 10 rooms', `/h/${small}/board`],
    ['Coat board, 60 rooms', `/h/${large}/board`],
  ] as const;
  const times: number[] = [];
  for (const [, path] of pages) {
    for (let warm = 0; warm < 5; warm += 1) await timeOf(path, cookie);
    const runs: number[] = [];
    for (let run = 0; run < RUNS; run += 1) runs.push(await timeOf(path, cookie));
    times.push(median(runs));
  }
  process.stdout.write('\nPages, whole answer on loopback\n');
  pages.forEach(([name, path], index) => {
    const ms = times[index] ?? 0;
    process.stdout.write(
      `  ${name.padEnd(30)} ${ms.toFixed(1).padStart(7)} ms  × ${(ms / (times[0] ?? 1)).toFixed(2)}  ${Math.round((sizes.get(path) ?? 0) / 1024)} kB\n`,
    );
  });
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
