import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '@/db/demo/demoHouse';

const run = (args: readonly string[], env: Record<string, string> = {}) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, args, {
    encoding: 'utf8',
    env: { ...process.env, ...env },
  });
  return { status, stdout, stderr };
};

describe('the oak command', () => {
  const folder = mkdtempSync(join(tmpdir(), 'oak-cli-'));
  const file = join(folder, 'house.json');
  const oak = (...args: readonly string[]) => run(['--import', 'tsx', 'src/cli/oak.ts', ...args]);
  beforeAll(() => writeFileSync(file, JSON.stringify(demoHouse())));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it('prints the take-off as JSON', () => {
    const { status, stdout, stderr } = oak('takeoff', file);
    expect([status, stderr]).toEqual([0, '']);
    const report: { unit: string; rooms: { tally: { threeWays: number } }[]; total: { threeWays: number } } =
      JSON.parse(stdout);
    expect(report.unit).toBe('in');
    expect(report.rooms).toHaveLength(demoHouse().rooms.length);
    expect(report.total.threeWays).toBe(report.rooms.reduce((sum, { tally }) => sum + tally.threeWays, 0));
  });

  it('prints a table with --text', () => {
    expect(oak('materials', file, '--text').stdout).toMatch(/^tape +net [\d.]+ {3}withWaste [\d.]+ {3}packs \d+$/m);
  });

  it('refuses a wrong file in one line naming the field, with exit code 2', () => {
    const wrong = join(folder, 'wrong.json');
    const house = demoHouse();
    writeFileSync(
      wrong,
      JSON.stringify({ ...house, rooms: house.rooms.map((room) => ({ ...room, soffits: [{ wall: 0 }] })) }),
    );
    const { status, stdout, stderr } = oak('takeoff', wrong);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toBe('rooms[0].soffits[0].from: is missing\n');
  });

  it.each([
    [['takeoff'], 'takeoff: needs a house file\n'],
    [['takeoff', 'nowhere.json'], 'nowhere.json: there is no such file\n'],
    [['paint', 'a'], 'paint: is no command; there are takeoff, materials, line, dry\n'],
    [['constructor', 'house.json'], 'constructor: is no command; there are takeoff, materials, line, dry\n'],
    [['dry', '--temp', '70F', '--rh', '50', 'extra'], 'extra: dry takes options only\n'],
    [['takeoff', 'a.json', '--temp', '70F'], "Unknown option '--temp'\n"],
    [['line', "-5' x 5' x 8'"], 'line, character 1: a length starts with a number\n'],
    [['dry', '--rh', '50'], '--temp: is missing; write 70F or 21C\n'],
    [['dry', '--colour', 'red'], "Unknown option '--colour'\n"],
  ])('refuses %j', (args, message) => {
    expect(oak(...args)).toEqual({ status: 2, stdout: '', stderr: message });
  });

  it('reads a temperature below zero', () => {
    const { status, stdout } = oak('dry', '--temp', '-5C', '--rh', '50');
    expect([status, JSON.parse(stdout).warnings]).toEqual([0, [expect.stringMatching(/^below 10 °C/)]]);
  });

  it('explains itself with --help', () => {
    expect(oak('--help').stdout).toContain('oak takeoff FILE');
    expect(oak('dry', '--help').stdout).toContain('--mud drying|45');
  });
});

describe('the start command', () => {
  it('says a busy port in one line with what to do, and changes nothing', async () => {
    const server = createServer();
    const port = await new Promise<number>((resolve) => {
      server.listen(0, '127.0.0.1', () => {
        const address = server.address();
        resolve(typeof address === 'object' && address ? address.port : 0);
      });
    });
    const { status, stderr } = run(['scripts/start.mjs'], { PORT: String(port) });
    server.close();
    expect(status).toBe(1);
    expect(stderr.trim()).toBe(
      `Stopped: port ${port} is busy. Stop what uses it, or start on another one:  PORT=${port + 1} npm start`,
    );
  });

  it.each([
    [{ PORT: 'many' }, [], 'Stopped: PORT is "many"; it must be a number from 1 to 65535.'],
    [
      {},
      ['--full'],
      'Stopped: there is no option --full. There are --empty: start without the demo house; --dev: pages follow the sources.',
    ],
  ])('refuses %j %j', (env, args, message) => {
    const { status, stderr } = run(['scripts/start.mjs', ...args], env);
    expect([status, stderr.trim()]).toEqual([1, message]);
  });

  it('puts the demo back only when it is told to', () => {
    expect(run(['scripts/demo-reset.mjs']).stderr).toContain('Say so with:  npm run demo:reset -- --yes');
  });
});

describe('preparing a database', () => {
  const name = 'prepare_test';
  const url = new URL(process.env.DATABASE_URL ?? '');
  const own = new URL(url);
  own.pathname = `/${name}`;
  const folder = mkdtempSync(join(tmpdir(), 'oak-prepare-'));
  const clock = join(folder, 'clock');
  const prepare = (...options: readonly string[]) =>
    run(['--import', 'tsx', 'src/db/commands/prepare.ts', ...options], {
      DATABASE_URL: own.href,
      OAK_TEST_CLOCK: clock,
      TZ: 'America/New_York',
    });
  const ask = async (database: URL, query: string) => {
    const client = new pg.Client({ connectionString: database.href });
    await client.connect();
    const { rows } = await client.query(query);
    await client.end();
    return rows;
  };
  beforeAll(async () => {
    await ask(url, `DROP DATABASE IF EXISTS ${name}`);
    await ask(url, `CREATE DATABASE ${name}`);
    writeFileSync(clock, '2031-05-06T16:34:00.000Z');
  });
  afterAll(async () => {
    await ask(url, `DROP DATABASE ${name}`);
    rmSync(folder, { recursive: true, force: true });
  });

  it('leaves it empty without the demo, and prints no sign-ins', async () => {
    expect(prepare()).toEqual({ status: 0, stdout: '', stderr: '' });
    expect(await ask(own, 'SELECT count(*)::int FROM people')).toEqual([{ count: 0 }]);
  });

  it('loads the demo once, and prints its sign-ins each time', async () => {
    expect(prepare('--demo').stdout).toContain('Marit (lead)');
    const entries = await ask(own, 'SELECT count(*)::int FROM entries');
    expect(prepare('--demo').stdout).toContain('Password  oak-demo');
    expect(await ask(own, 'SELECT count(*)::int FROM entries')).toEqual(entries);
    expect(await ask(own, 'SELECT count(*)::int FROM houses')).toEqual([{ count: 1 }]);
  });

  it('puts the demo back over whatever is there', async () => {
    await ask(own, "UPDATE houses SET head = jsonb_set(head, '{name}', '\"Spoilt\"')");
    prepare('--reset-demo');
    expect(await ask(own, "SELECT head ->> 'name' AS name FROM houses")).toEqual([{ name: 'Gannet Point, plot 6' }]);
  });
});
