import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serveDemo } from '../../scripts/setup/served.mjs';
import { setClock } from '../e2e/clock';
import { DEMO_INSTANT, TIME_ZONE } from '../e2e/instants';
import { groundOf } from './groundOf';
import { sendAll } from './sendAll';

/** The server holds no more, whatever is sent. */
const MOST_MB = 1024;

/** MB of memory that a process holds, now and at most so far. */
function memoryOf(pid: number): readonly [now: number, most: number] {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  const of = (name: string) => Math.round(Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)?.[1] ?? 0) / 1024);
  return [of('VmRSS'), of('VmHWM')];
}

/** Sends many odd requests to a server with the demo, at the tests' instant, and prints what came of them. */
async function main(count: number, seed: number): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'oak-fuzz-'));
  const clock = join(folder, 'clock');
  setClock(clock, DEMO_INSTANT);
  const server = await serveDemo({ OAK_TEST_CLOCK: clock, TZ: TIME_ZONE, OAK_LOG_LEVEL: 'error' });
  try {
    const memory = () => memoryOf(server.pid ?? 0);
    const [before] = memory();
    const from = performance.now();
    const seconds = () => Math.round((performance.now() - from) / 1000);
    const ground = await groundOf(server.url, DEMO_INSTANT);
    const { statuses, faults, slowest } = await sendAll(server.url, ground, count, seed, (sent) => {
      if (sent % 10_000 === 0) process.stdout.write(`  ${sent} sent, ${seconds()} s, ${memory()[0]} MB\n`);
    });
    const [now, most] = memory();
    const answers = Object.entries(statuses).map(([status, times]) => `${status} × ${times}`);
    process.stdout.write(
      `\n${count} odd requests, seed ${seed}: ${seconds()} s, the slowest ${Math.round(slowest)} ms\n` +
        `  answers: ${answers.join(', ')}\n` +
        `  memory of the server: ${before} MB before, ${now} MB after, ${most} MB at most\n` +
        `  faults: ${faults.length}\n${faults.map((fault) => `    ${fault}\n`).join('')}`,
    );
    if (faults.length > 0 || most > MOST_MB) process.exitCode = 1;
  } finally {
    await server.kill();
    rmSync(folder, { recursive: true });
  }
}

const [count = 0, seed = 0] = process.argv.slice(2).map(Number);
await main(count, seed);
