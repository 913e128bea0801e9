import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { serveArguments, TEST_BUILD } from './build.mjs';
import { databaseCommand } from './database.mjs';
import { root } from './place.mjs';
import { freePort } from './ports.mjs';
import { Trouble } from './say.mjs';

/** The secret of every server that is started to try something. */
export const TRIAL_SECRET = 'a secret for trials, of at least 32 characters';

export const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Serves the tests' build on loopback; it answers when this returns.
 *
 * @param {Record<string, string>} env names the database at least
 * @param {{ port?: number, quiet?: boolean }} [options]
 *   `quiet`: what it complains of is not shown, for its database is going to be killed
 */
export async function serve(env, { port, quiet = false } = {}) {
  const at = port ?? (await freePort());
  const url = `http://127.0.0.1:${at}`;
  const child = spawn(process.execPath, serveArguments(at), {
    cwd: root,
    stdio: ['ignore', 'ignore', quiet ? 'ignore' : 'inherit'],
    env: { ...process.env, NODE_ENV: 'production', OAK_BUILD_DIR: TEST_BUILD, SESSION_SECRET: TRIAL_SECRET, ...env },
  });
  const ended = once(child, 'exit');
  const end = async (signal) => {
    if (child.exitCode === null && child.signalCode === null) child.kill(signal);
    await ended;
  };
  while (!(await fetch(`${url}/api/health`).catch(() => undefined))?.ok) {
    if (child.exitCode !== null) throw new Trouble(`the server ended with code ${child.exitCode}.`);
    await pause(50);
  }
  return { url, port: at, pid: child.pid, stop: () => end('SIGTERM'), kill: () => end('SIGKILL') };
}

/** Puts the demo into an empty database and serves it. */
export async function serveDemo(env, options) {
  await databaseCommand('prepare', ['--demo'], env);
  return serve(env, options);
}

/**
 * Signs one of the demo's people in; the cookie that a browser would keep.
 *
 * @param {string} [firm] the company's name, where there are several
 */
export async function cookieOf(url, name, firm) {
  const answer = await fetch(`${url}/api/commands/signIn`, {
    method: 'POST',
    body: JSON.stringify({ name, password: 'oak-demo', ...(firm && { firm }) }),
  });
  const cookies = answer.headers.getSetCookie().map((line) => line.split(';')[0]);
  const cookie = cookies.find((one) => one.startsWith('oak-session='));
  if (!cookie) throw new Trouble(`${name} could not sign in: ${answer.status}.`);
  return cookie;
}
