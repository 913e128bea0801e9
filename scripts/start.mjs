import { spawn } from 'node:child_process';
import { buildIfStale, serveArguments } from './setup/build.mjs';
import { startCluster } from './setup/cluster.mjs';
import { databaseCommand, sessionSecret } from './setup/database.mjs';
import { checkNode } from './setup/node.mjs';
import { onlyRun } from './setup/onlyRun.mjs';
import { installPackages } from './setup/packages.mjs';
import { logFile, root } from './setup/place.mjs';
import { portTrouble } from './setup/ports.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';
import { watchCluster } from './setup/watchCluster.mjs';

/** Where pages are built as they are asked for, beside the build that is served. */
const DEV_FOLDER = '.next-dev';

await runScript(async () => {
  checkNode();
  const options = process.argv.slice(2);
  const unknown = options.find((option) => option !== '--empty' && option !== '--dev');
  if (unknown)
    throw new Trouble(
      `there is no option ${unknown}. There are --empty: start without the demo house; --dev: pages follow the sources.`,
    );
  const dev = options.includes('--dev');
  const port = Number(process.env.PORT ?? 3000);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Trouble(`PORT is "${process.env.PORT}"; it must be a number from 1 to 65535.`);
  process.stdout.write('\nOak Tally\n');
  const run = await onlyRun();
  const cancelled = new AbortController();
  // A closed terminal is a stop too.
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => cancelled.abort());
  try {
    await serve({ port, dev, empty: options.includes('--empty'), run, cancelled: cancelled.signal });
  } catch (error) {
    // What a stop has cut off is no fault.
    if (!cancelled.signal.aborted) throw error;
  } finally {
    if (cancelled.signal.aborted) say('Stopping …');
    cancelled.abort();
    await run.end();
  }
  // Whatever still waits has nothing to wait for.
  process.exit();
});

/** Starts what is missing and serves until the server ends or the run is cancelled; its guard then ends all of it. */
async function serve({ port, dev, empty, run, cancelled }) {
  const until = new Promise((resolve) => cancelled.addEventListener('abort', resolve, { once: true }));
  /** Goes on with what is awaited, unless the run is cancelled before. */
  const step = async (work) => {
    const result = await Promise.race([work, until]);
    cancelled.throwIfAborted();
    return result;
  };
  refusePort(port, await portTrouble(port));
  run.told({ port });
  await step(installPackages());
  const given = process.env.DATABASE_URL;
  const own = given ? undefined : await step(startCluster({ env: run.env, told: (cluster) => run.told({ cluster }) }));
  const url = given ?? own.url('postgres');
  const env = { ...run.env, DATABASE_URL: url };
  const signIns = await step(databaseCommand('prepare', empty ? [] : ['--demo'], env));
  if (!dev) await step(buildIfStale(undefined, run.env));
  const server = spawn(process.execPath, serveArguments(port, dev), {
    cwd: root,
    // A group of its own: Ctrl-C reaches this script, whose guard then ends the server and after it the cluster.
    detached: true,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      ...env,
      ...(dev ? { NODE_ENV: 'development', OAK_BUILD_DIR: DEV_FOLDER } : { NODE_ENV: 'production' }),
      // The demo's weather service runs on this machine.
      ...(empty ? {} : { OAK_NEARBY_SERVICES: '1' }),
      SESSION_SECRET: sessionSecret(),
      OAK_LOG: process.env.OAK_LOG ?? logFile(),
      NEXT_TELEMETRY_DISABLED: '1',
    },
  });
  const ended = new Promise((resolve) => server.on('exit', resolve)).then((code) => {
    if (!cancelled.aborted) throw new Trouble(`the web server ended by itself with code ${code}.`);
  });
  await step(Promise.race([answering(port, cancelled), ended]));
  process.stdout.write(`\n  Open      http://127.0.0.1:${port}\n`);
  if (signIns) process.stdout.write(`${signIns.replace(/^/gm, '  ')}\n`);
  process.stdout.write('  Stop with Ctrl-C\n\n');
  await step(Promise.race([ended, ...(own ? [watchCluster(own, cancelled)] : [])]));
}

function refusePort(port, trouble) {
  const instead = `start on another one:  PORT=${port < 1024 ? 3000 : port + 1} npm start`;
  if (trouble === 'EACCES') throw new Trouble(`port ${port} is only for the system's administrator; ${instead}`);
  if (trouble) throw new Trouble(`port ${port} is busy. Stop what uses it, or ${instead}`);
}

async function answering(port, cancelled) {
  while (!cancelled.aborted) {
    const answer = await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => undefined);
    if (answer?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
}
