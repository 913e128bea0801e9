import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { endRun } from './endRun.mjs';
import { makeStateFolder, root, stateFolder } from './place.mjs';
import { say, Trouble } from './say.mjs';

const HELD = 75;
const LONGEST_STOP_S = 60;
const LOOKS = 10;
const LOOK_MS = 100;
const lockFile = () => join(stateFolder, 'lock');
const placeFile = () => join(stateFolder, 'running.json');

/**
 * Makes this the only run of the application from this checkout. Its guard holds the lock, watches this process, and when
 * that ends, however it ends, first stops all that the run has started and the cluster, and only then lets go. A run that
 * is just stopping is waited for; of another one its place is told.
 *
 * @returns the environment that marks what the run starts, `told` to say what there is to stop, and `end`
 */
export async function onlyRun() {
  makeStateFolder();
  let guard = await startGuard(0);
  if (!guard) {
    const other = await otherRun();
    if (other && !other.stopping && isAlive(other.start))
      throw new Trouble(
        other?.port
          ? `Oak Tally runs from this folder already: http://127.0.0.1:${other.port}. Stop it there first, with Ctrl-C.`
          : 'Oak Tally is being started from this folder already.',
      );
    say('Waiting for the last run to stop …');
    guard = await startGuard(LONGEST_STOP_S);
    if (!guard) throw new Trouble('the last run of Oak Tally from this folder does not stop.');
  }
  return guard;
}

/** What the guard of the run that holds the lock says of it; it does so first of all, and takes that back last. */
async function otherRun() {
  for (let attempt = 0; attempt < LOOKS; attempt += 1) {
    const other = existsSync(placeFile()) ? parsed(readFileSync(placeFile(), 'utf8')) : undefined;
    if (other) return other;
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
  }
  return undefined;
}

/** What a guard wrote; nothing where the disk was full. */
function parsed(text) {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Whether a process runs; one that was killed and whose parent has not looked does not. */
function isAlive(pid) {
  try {
    return !/^State:\s+[ZX]/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
}

function startGuard(waitS) {
  const id = randomUUID();
  const script = join(root, 'scripts', 'setup', 'guard.mjs');
  const child = spawn(
    'flock',
    [
      '-w',
      String(waitS),
      '-E',
      String(HELD),
      lockFile(),
      process.execPath,
      script,
      id,
      placeFile(),
      String(process.pid),
    ],
    // A group of its own: neither Ctrl-C nor a closed terminal reaches it.
    { cwd: '/', stdio: ['pipe', 'pipe', 'inherit'], detached: true },
  );
  const ended = new Promise((resolve) => child.on('exit', resolve));
  child.stdin.on('error', () => {});
  let facts = {};
  const told = (more) => {
    facts = { ...facts, ...more };
    child.stdin.write(`${JSON.stringify(more)}\n`);
  };
  return new Promise((resolve, reject) => {
    child.once('error', () => reject(new Trouble('the program flock, of the package util-linux, is missing.')));
    child.stdout.once('data', () =>
      resolve({
        env: { OAK_RUN: id },
        told,
        end: async () => {
          child.stdin.end();
          // A guard that was killed stopped nothing.
          if ((await ended) !== 0) await endRun(id, facts);
        },
      }),
    );
    ended.then((code) =>
      code === HELD ? resolve(undefined) : reject(new Trouble('the lock of this folder cannot be taken.')),
    );
  });
}
