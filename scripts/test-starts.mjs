import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { buildIfStale } from './setup/build.mjs';
import { clusterFolder } from './setup/cluster.mjs';
import { installPackages } from './setup/packages.mjs';
import { root } from './setup/place.mjs';
import { freePort } from './setup/ports.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';

/** How many first starts are killed: `npm run test:starts -- 40`. */
const kills = Number(process.argv[2] ?? 40);
/** A first start takes about so long. */
const FIRST_START_MS = 9000;
const LONGEST_MS = 180_000;

/** Starts the application with a state of its own; `opened` when it says where it is, `ended` with its exit code. */
function start(state, port) {
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    cwd: root,
    env: { ...process.env, OAK_STATE_FOLDER: state, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  const run = { child, output: '' };
  run.ended = new Promise((resolve) => child.on('exit', resolve));
  run.opened = new Promise((resolve) => {
    const read = (data) => {
      run.output += data;
      if (/Password {2}/.test(run.output)) resolve(true);
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    child.on('exit', () => resolve(false));
  });
  return run;
}

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Kills a first start after so many ms, with all that it started or without it; then the next one has to open, with the demo. */
async function killedStart(after, withChildren) {
  const state = mkdtempSync(join(tmpdir(), 'oak-starts-'));
  const port = await freePort();
  const place = clusterFolder(state);
  try {
    const first = start(state, port);
    const ended = await Promise.race([wait(after), first.ended]);
    if (ended !== undefined) throw new Trouble(`a first start ended by itself with ${ended}:\n${first.output}`);
    process.kill(withChildren ? -first.child.pid : first.child.pid, 'SIGKILL');
    const second = start(state, port);
    const opened = await Promise.race([second.opened, wait(LONGEST_MS)]);
    if (opened !== true) throw new Trouble(`killed after ${after} ms, the next start did not open:\n${second.output}`);
    const answer = await fetch(`http://127.0.0.1:${port}/signin`);
    if (!answer.ok) throw new Trouble(`killed after ${after} ms, the next one answers ${answer.status}`);
    second.child.kill('SIGINT');
    const code = await Promise.race([second.ended, wait(LONGEST_MS)]);
    if (code !== 0) throw new Trouble(`the start after the kill at ${after} ms ended with ${code}:\n${second.output}`);
  } finally {
    rmSync(state, { recursive: true, force: true });
    if (dirname(place) === '/var/lib/oak-tally') rmSync(place, { recursive: true, force: true });
  }
}

await runScript(async () => {
  await installPackages();
  await buildIfStale();
  for (let turn = 0; turn < kills; turn += 1) {
    const after = Math.round(Math.random() * FIRST_START_MS);
    await killedStart(after, turn % 2 === 0);
    say(`${turn + 1} of ${kills}: killed after ${after} ms, and the next start opened with the demo`);
  }
});
