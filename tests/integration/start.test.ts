import { type ChildProcess, spawn } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';

const state = mkdtempSync(join(tmpdir(), 'oak-state-'));
const scripts = join(process.cwd(), 'scripts', 'setup');

/** Runs a piece of script that may use the set-up scripts, in a state folder of its own. */
function script(text: string): { readonly child: ChildProcess; readonly ended: Promise<string> } {
  const child = spawn(process.execPath, ['--input-type=module', '--eval', text], {
    cwd: process.cwd(),
    env: { ...process.env, OAK_STATE_FOLDER: state },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let output = '';
  child.stdout?.on('data', (data) => (output += data));
  child.stderr?.on('data', (data) => (output += data));
  const ended = new Promise<string>((resolve) => child.on('close', () => resolve(output)));
  return { child, ended };
}
const says = (child: ChildProcess, words: string): Promise<void> =>
  new Promise((resolve) => child.stdout?.on('data', (data) => String(data).includes(words) && resolve()));

/** Whether a process is the guard of a run in the tests' state folder. */
function isGuard(pid: string): boolean {
  try {
    const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
    return command.includes('guard.mjs') && command.includes(state);
  } catch {
    return false;
  }
}

afterAll(() => rmSync(state, { recursive: true, force: true }));

describe('the database of a checkout', () => {
  const START = `
    import { runScript } from '${scripts}/say.mjs';
    import { startCluster } from '${scripts}/cluster.mjs';
    await runScript(async () => {
      let place;
      const cluster = await startCluster({ told: (facts) => (place = facts) });
      console.log('data ' + place.data);
      await cluster.stop();
    });`;
  const start = () => script(START).ended;
  let data = '';
  beforeAll(async () => {
    data = /^data (.*)$/m.exec(await start())?.[1] ?? '';
    writeFileSync(join(data, 'of-the-crew'), 'kept');
  });
  afterAll(() => {
    if (data !== '') rmSync(join(data, '..'), { recursive: true, force: true });
  });

  it('is started again where it ended by itself, three times', async () => {
    const killed = await script(`
      import { readFileSync } from 'node:fs';
      import { runScript } from '${scripts}/say.mjs';
      import { startCluster } from '${scripts}/cluster.mjs';
      import { watchCluster } from '${scripts}/watchCluster.mjs';
      await runScript(async () => {
        let place;
        const cluster = await startCluster({ told: (facts) => (place = facts) });
        const kill = () => process.kill(Number(readFileSync(place.data + '/postmaster.pid', 'utf8').split('\\n')[0]), 'SIGKILL');
        kill();
        const watched = {
          isRunning: cluster.isRunning,
          startAgain: async () => {
            const again = await cluster.startAgain();
            console.log('runs on ' + (again.port === cluster.port));
            kill();
          },
        };
        await watchCluster(watched, new AbortController().signal, 10);
      });`).ended;
    expect(killed.match(/The database ended by itself\. Starting it again/g)).toHaveLength(3);
    expect(killed.match(/runs on true/g)).toHaveLength(3);
    expect(killed).toContain('Stopped: the database ended by itself 4 times. Its log is beside its data.');
    expect(await start()).toContain(`data ${data}`);
  });

  it('is not waited for without a word where it runs and answers nobody', async () => {
    const output = await script(`
      import { readFileSync } from 'node:fs';
      import { runScript } from '${scripts}/say.mjs';
      import { startCluster } from '${scripts}/cluster.mjs';
      await runScript(async () => {
        let place;
        const cluster = await startCluster({ told: (facts) => (place = facts) });
        const pid = Number(readFileSync(place.data + '/postmaster.pid', 'utf8').split('\\n')[0]);
        process.kill(pid, 'SIGSTOP');
        const again = await startCluster().catch((error) => error);
        process.kill(pid, 'SIGCONT');
        await cluster.stop();
        throw again;
      });`).ended;
    expect(output).toMatch(
      /Waiting for the database on port \d+ …\s+Stopped: the database runs on port \d+ but takes no connections\. Its log: .*kill -9 \d+/,
    );
  });

  it('is not looked for behind a link to nowhere with more than a sentence', async () => {
    const link = join(state, 'link');
    symlinkSync('/nowhere/state', link);
    const output = await script(`
      import { runScript } from '${scripts}/say.mjs';
      process.env.OAK_STATE_FOLDER = '${link}';
      const { onlyRun } = await import('${scripts}/onlyRun.mjs');
      await runScript(onlyRun);`).ended;
    expect(output.trim()).toMatch(
      /^Stopped: .*link cannot be used \(ENOENT\): it is a link to something that is missing/,
    );
    expect(output.trim().split('\n')).toHaveLength(1);
  });

  it.each([
    ['password', () => join(data, '..', 'password'), /Stopped: the password of the database, .*password, is missing\./],
    [
      'version',
      () => join(data, 'PG_VERSION'),
      /Stopped: the database in .* is not whole: its file PG_VERSION is missing/,
    ],
  ])(
    'is never removed when its %s file is missing: what is missing is said, and put back it starts',
    async (_, file, line) => {
      renameSync(file(), `${file()}.away`);
      const output = await start();
      expect(output).toMatch(line);
      expect(output.trim().split('\n')).toHaveLength(1);
      expect(readFileSync(join(data, 'of-the-crew'), 'utf8')).toBe('kept');
      renameSync(`${file()}.away`, file());
      expect(await start()).toContain(`data ${data}`);
    },
  );

  it.each([
    ['missing', () => {}],
    ['empty', () => mkdirSync(data)],
    ['a link to nowhere', () => symlinkSync('/nowhere/data', data)],
  ])('is never replaced where its data is %s: put back it opens', async (_, leave) => {
    const away = `${data}.away`;
    const known = readFileSync(join(state, 'cluster-at'), 'utf8');
    const password = readFileSync(join(data, '..', 'password'), 'utf8');
    renameSync(data, away);
    leave();
    const lost = await start();
    expect(lost).toMatch(
      /Stopped: the database of this folder was in .*Mount its disk, or put it back\. .*empty one instead: {2}mv /,
    );
    rmSync(join(state, 'cluster-at'));
    const half = await start();
    expect(half).toMatch(/Stopped: the data of the database, .*(missing|empty).*, while its password is in .*mv /);
    for (const output of [lost, half]) expect(output.trim().split('\n')).toHaveLength(1);
    expect(readFileSync(join(data, '..', 'password'), 'utf8')).toBe(password);
    rmSync(data, { recursive: true, force: true });
    renameSync(away, data);
    writeFileSync(join(state, 'cluster-at'), known);
    expect(await start()).toContain(`data ${data}`);
  });

  it('is not made a second time where the folder is looked for elsewhere', async () => {
    const file = join(state, 'cluster-at');
    const known = readFileSync(file, 'utf8');
    writeFileSync(file, '/moved/cluster\n');
    expect(await start()).toMatch(
      /Stopped: the database of this folder was in \/moved\/cluster\. This folder now looks for it in /,
    );
    writeFileSync(file, known);
  });

  it('is made anew where a first start was killed while it was made', async () => {
    const folder = join(data, '..');
    const unfinished = join(folder, 'unfinished-1');
    rmSync(data, { recursive: true });
    rmSync(join(folder, 'password'));
    rmSync(join(state, 'cluster-at'));
    mkdirSync(join(unfinished, 'data'), { recursive: true });
    expect(await start()).toContain(`data ${data}`);
    expect(existsSync(join(data, 'PG_VERSION'))).toBe(true);
    expect(existsSync(unfinished)).toBe(false);
  });

  it('is whole where a first start was killed when only its password was left to be put beside it', async () => {
    const folder = join(data, '..');
    mkdirSync(join(folder, 'unfinished-2'));
    renameSync(join(folder, 'password'), join(folder, 'unfinished-2', 'password'));
    expect(await start()).toContain(`data ${data}`);
    expect(existsSync(join(folder, 'password'))).toBe(true);
  });
});

describe('a run of the application', () => {
  const RUN = `
    import { spawn } from 'node:child_process';
    import { runScript } from '${scripts}/say.mjs';
    import { onlyRun } from '${scripts}/onlyRun.mjs';
    await runScript(async () => {
      const run = await onlyRun();
      run.told({ port: 3999 });
      const server = spawn('sleep', ['600'], { env: { ...process.env, ...run.env }, detached: true, stdio: 'ignore' });
      process.on('SIGTERM', async () => { await run.end(); process.exit(); });
      console.log('runs ' + server.pid);
      await new Promise((resolve) => setTimeout(resolve, 600_000));
    });`;
  const started: ChildProcess[] = [];
  const run = () => {
    const one = script(RUN);
    started.push(one.child);
    return one;
  };
  afterEach(() => {
    for (const child of started) child.kill('SIGTERM');
  });

  it('is the only one of its checkout; killed, it leaves nothing running, and the next one begins', async () => {
    const first = run();
    let output = '';
    first.child.stdout?.on('data', (data) => (output += data));
    await says(first.child, 'runs');
    expect(await run().ended).toContain(
      'Stopped: Oak Tally runs from this folder already: http://127.0.0.1:3999. Stop it there first, with Ctrl-C.',
    );
    const server = /runs (\d+)/.exec(output)?.[1] ?? '';
    expect(existsSync(`/proc/${server}`)).toBe(true);
    first.child.kill('SIGKILL');
    await first.ended;
    const second = run();
    await says(second.child, 'runs');
    const status = existsSync(`/proc/${server}/status`) ? readFileSync(`/proc/${server}/status`, 'utf8') : 'gone';
    expect(status).toMatch(/gone|State:\s+Z/);
    second.child.kill('SIGTERM');
    await second.ended;
  });

  it('stops what it has started by itself where its guard was killed', async () => {
    const own = run();
    let output = '';
    own.child.stdout?.on('data', (data) => (output += data));
    await says(own.child, 'runs');
    const server = /runs (\d+)/.exec(output)?.[1] ?? '';
    const guards = readdirSync('/proc').filter((pid) => /^\d+$/.test(pid) && isGuard(pid));
    expect(guards.length).toBeGreaterThan(0);
    for (const pid of guards) process.kill(Number(pid), 'SIGKILL');
    own.child.kill('SIGTERM');
    await own.ended;
    const status = existsSync(`/proc/${server}/status`) ? readFileSync(`/proc/${server}/status`, 'utf8') : 'gone';
    expect(status).toMatch(/gone|State:\s+Z/);
  });
});
