import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { verify } from '@node-rs/argon2';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const run = (args: readonly string[], env: Record<string, string> = {}) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, args, {
    encoding: 'utf8',
    env: { ...process.env, ...env },
  });
  return { status, stdout, stderr };
};

describe('the oak command', () => {
  it('prints to the error stream what it refuses, with exit code 2', () => {
    const oak = (...args: readonly string[]) => run(['--import', 'tsx', 'src/cli/oak.ts', ...args]);
    expect(oak('takeoff', 'nowhere.json')).toEqual({
      status: 2,
      stdout: '',
      stderr: 'nowhere.json: there is no such file\n',
    });
    const { status, stdout, stderr } = oak('dry', '--temp', '70F', '--rh', '50');
    expect([status, JSON.parse(stdout).warnings, stderr]).toEqual([0, [], '']);
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

  it('saves everything, and puts it back in place of what is there only when it is told to', async () => {
    const file = join(folder, 'saved');
    const script = (name: string, ...args: readonly string[]) =>
      run([`scripts/${name}.mjs`, ...args], { DATABASE_URL: own.href, OAK_TEST_CLOCK: clock });
    const counts = () =>
      ask(
        own,
        'SELECT (SELECT count(*)::int FROM entries) AS entries, (SELECT count(*)::int FROM readings) AS readings',
      );
    const before = await counts();
    expect(script('backup').stderr).toContain('say where to:  npm run backup -- FILE');
    expect(script('backup', file).stdout).toContain(`Everything is saved in ${file}.`);
    expect(script('backup', file).stderr).toContain(`${file} is there already`);
    // Nobody else on the machine reads it.
    expect(statSync(file).mode & 0o777).toBe(0o600);
    await ask(
      own,
      `INSERT INTO sessions (firm, hash, id, person_id, device, made_at, seen_at)
         SELECT firm, 'of-before', gen_random_uuid(), id, 'phone', now(), now() FROM people WHERE name = 'Petra'`,
    );
    expect(script('backup', `${file}-with-sign-in`).status).toBe(0);
    await ask(own, 'DELETE FROM readings; CREATE TABLE left_over (id int)');
    await ask(own, "UPDATE people SET removed_at = '2031-05-06' WHERE name = 'Tobin'");
    expect(script('restore', file).stderr).toContain('in place of everything there is. Say so with:');
    expect(await counts()).toMatchObject([{ readings: 0 }]);
    const restored = script('restore', `${file}-with-sign-in`, '--yes');
    expect(restored.stdout).toContain(
      'is back. Everyone must sign in again. People removed since the backup stay removed.',
    );
    expect(await counts()).toEqual(before);
    expect(await ask(own, 'SELECT count(*)::int FROM sessions')).toEqual([{ count: 0 }]);
    expect(await ask(own, 'SELECT name FROM people WHERE removed_at IS NOT NULL')).toEqual([{ name: 'Tobin' }]);
    expect(script('restore', file, '--yes').stdout).toContain(`What was saved in ${file} is back.`);
    expect(await counts()).toEqual(before);
    expect(await ask(own, "SELECT to_regclass('left_over') AS table")).toEqual([{ table: null }]);

    // Encrypted it is read with its passphrase only.
    const sealed = `${file}-sealed`;
    const withWords = (name: string, words: string, ...args: readonly string[]) =>
      run([`scripts/${name}.mjs`, ...args], {
        DATABASE_URL: own.href,
        OAK_TEST_CLOCK: clock,
        OAK_BACKUP_PASSPHRASE: words,
      });
    expect(withWords('backup', 'short', sealed).stderr).toContain(
      'OAK_BACKUP_PASSPHRASE needs at least 12 characters.',
    );
    expect(withWords('backup', 'level five is flat', sealed).status).toBe(0);
    expect(readFileSync(sealed, 'latin1')).toMatch(/^age-encryption\.org\/v1\n/);
    expect(readFileSync(sealed, 'latin1')).not.toContain('PGDMP');
    expect(readdirSync(folder).filter((name) => /plain|unfinished/.test(name))).toEqual([]);
    await ask(own, 'DELETE FROM readings');
    expect(script('restore', sealed, '--yes').stderr).toContain('is encrypted. Set OAK_BACKUP_PASSPHRASE');
    expect(withWords('restore', 'level four is flat', sealed, '--yes').stderr).toContain('the passphrase is wrong');
    expect(await counts()).toMatchObject([{ readings: 0 }]);
    expect(withWords('restore', 'level five is flat', sealed, '--yes').status).toBe(0);
    expect(await counts()).toEqual(before);

    writeFileSync(join(folder, 'other'), 'no backup');
    expect(script('restore', join(folder, 'other'), '--yes').stderr).toContain('is no backup of Oak Tally.');
    await ask(own, "INSERT INTO migrations VALUES ('9999-of-tomorrow')");
    expect(script('backup', `${file}-newer`).status).toBe(0);
    expect(script('restore', `${file}-newer`, '--yes').stderr).toContain(
      'was saved by a newer Oak Tally (9999-of-tomorrow)',
    );
    await ask(own, "DELETE FROM migrations WHERE name = '9999-of-tomorrow'");
  });

  it('adds a firm beside the one that is there, whose lead signs in with the password that is printed', async () => {
    const script = (...args: readonly string[]) => run(['scripts/firm.mjs', ...args], { DATABASE_URL: own.href });
    expect(script('Seam & Sons').stderr).toContain('say the firm and its lead:');
    const { stdout } = script('Seam & Sons', 'Nora');
    const password = /Password {2}(\S+)/.exec(stdout)?.[1] ?? '';
    const [row] = await ask(
      own,
      "SELECT password_hash AS hash, role FROM people JOIN firms ON firms.id = firm WHERE firms.name = 'Seam & Sons'",
    );
    expect(row).toMatchObject({ role: 'lead' });
    expect(await verify(row.hash, password)).toBe(true);
    expect(script('SEAM & SONS', 'Nora').stderr).toContain('there is a firm called SEAM & SONS already');
    await ask(own, "DELETE FROM firms WHERE name = 'Seam & Sons'");
  });

  it('puts the demo back over whatever is there', async () => {
    await ask(own, "UPDATE houses SET head = jsonb_set(head, '{name}', '\"Spoilt\"')");
    prepare('--reset-demo');
    expect(await ask(own, "SELECT head ->> 'name' AS name FROM houses")).toEqual([{ name: 'Gannet Point, plot 6' }]);
  });
});
