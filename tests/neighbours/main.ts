import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { cookieOf, serveDemo } from '../../scripts/setup/served.mjs';
import { closeConnection } from '../../src/db/connection';
import { demoHouse } from '../../src/db/demo/demoHouse';
import { inFirm } from '../../src/db/firm';
import { addFirm } from '../../src/db/firms';
import { addHouse } from '../../src/db/houses';
import { ATTACKS, type Target } from './attacks';

const PROBES = 40;
const PAUSE_MS = 100;
const NOTED_AT = '2026-01-05T08:00:00Z';
const SLOWEST_ENTRY_MS = 300;
const SLOWEST_BOARD_MS = 1000;
/** From the start: what was not made before is made at first. */
const LEAST_MS = 8000;

interface Neighbour {
  readonly house: string;
  readonly cookie: string;
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const peakOf = (pid: number) =>
  Math.round(Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024);
const p95 = (all: readonly number[]) => Math.round(all.toSorted((a, b) => a - b)[Math.floor(all.length * 0.95)] ?? 0);

async function timed(ask: () => Promise<Response>): Promise<number> {
  const from = performance.now();
  const answer = await ask();
  await answer.text();
  if (answer.status !== 200) throw new Error(`a neighbour was answered with ${answer.status}`);
  return performance.now() - from;
}

/** Measures how long a neighbour waits for their entries and their board while an attack goes on. */
async function measure(target: Target, { house, cookie }: Neighbour, name: string) {
  const attacker = fork('tests/neighbours/attacker.ts', { execArgv: ['--import', 'tsx'] });
  const sent = once(attacker, 'message');
  attacker.send({ target, name });
  const entries: number[] = [];
  const boards: number[] = [];
  const from = performance.now();
  while (entries.length < PROBES || performance.now() - from < LEAST_MS) {
    const entry = {
      id: randomUUID(),
      room: 'hall',
      at: NOTED_AT,
      kind: 'item',
      payload: { text: 'A note' },
    };
    entries.push(
      await timed(() =>
        fetch(`${target.url}/api/entries`, {
          method: 'POST',
          headers: { cookie },
          body: JSON.stringify({ house, entries: [entry] }),
        }),
      ),
    );
    if (entries.length % 4 === 0)
      boards.push(await timed(() => fetch(`${target.url}/h/${house}/board`, { headers: { cookie } })));
    await pause(PAUSE_MS);
  }
  attacker.send('end');
  const [rounds] = await sent;
  return {
    sent: Number(rounds),
    entry: p95(entries),
    board: p95(boards),
    longest: Math.round(Math.max(...entries, ...boards)),
  };
}

/** Measures each attack that is named, or all, and prints what a neighbour waited. */
async function main(names: readonly string[]): Promise<void> {
  const server = await serveDemo({ OAK_LOG_LEVEL: 'error' });
  try {
    const [lead, finisher, viewer] = await Promise.all(
      ['Marit', 'Petra', 'Builder'].map((name) => cookieOf(server.url, name)),
    );
    const marks = await fetch(`${server.url}/api/live/marks`, { headers: { cookie: lead ?? '' } });
    const [house = ''] = Object.keys(await marks.json());
    const target: Target = { url: server.url, house, lead: lead ?? '', finisher: finisher ?? '', viewer: viewer ?? '' };
    const nora = await addFirm('Next Door', 'Nora', 'oak-demo');
    if (!nora) throw new Error('the name is new');
    const own = await inFirm(nora.firm, () => addHouse(demoHouse(), 'UTC'));
    const neighbour = { house: own, cookie: await cookieOf(server.url, 'Nora', 'Next Door') };
    // Nobody is measured while what is asked for first is loaded.
    for (const page of ['board', 'run'])
      await timed(() => fetch(`${server.url}/h/${own}/${page}`, { headers: { cookie: neighbour.cookie } }));
    await measure(target, neighbour, 'nothing');
    for (const name of names.length > 0 ? names : Object.keys(ATTACKS)) {
      if (!ATTACKS[name]) throw new Error(`there is no attack "${name}"`);
      const { sent, entry, board, longest } = await measure(target, neighbour, name);
      const isSlow = entry > SLOWEST_ENTRY_MS || board > SLOWEST_BOARD_MS;
      process.stdout.write(
        `  ${isSlow ? '✗' : '✓'} ${name} × ${sent}: entry ${entry} ms, board ${board} ms (95 of 100), the longest ${longest} ms; ` +
          `the server at most ${peakOf(server.pid ?? 0)} MB\n`,
      );
      if (isSlow) process.exitCode = 1;
    }
  } finally {
    await server.kill();
    await closeConnection();
  }
}

await main(process.argv.slice(2));
