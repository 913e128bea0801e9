import { spawn } from 'node:child_process';
import { buildIfStale, serveArguments } from './setup/build.mjs';
import { startCluster } from './setup/cluster.mjs';
import { databaseCommand, sessionSecret } from './setup/database.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { root } from './setup/place.mjs';
import { isFree } from './setup/ports.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';

const LONGEST_STOP_MS = 10_000;
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
  if (!(await isFree(port))) {
    throw new Trouble(`port ${port} is busy. Stop what uses it, or start on another one:  PORT=${port + 1} npm start`);
  }

  process.stdout.write('\nOak Tally\n');
  await installPackages();
  const cluster = process.env.DATABASE_URL ? undefined : await startCluster();
  let stopping = false;
  let server;
  const stop = () => {
    stopping = true;
    if (!server) return;
    server.kill('SIGTERM');
    // A browser that keeps a connection busy cannot hold it up; what was acknowledged is on disk.
    setTimeout(() => server.kill('SIGKILL'), LONGEST_STOP_MS).unref();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  try {
    const env = { DATABASE_URL: process.env.DATABASE_URL ?? cluster.url('postgres') };
    const signIns = await databaseCommand('prepare', options.includes('--empty') ? [] : ['--demo'], env);
    if (!stopping && !dev) await buildIfStale();
    if (stopping) return;
    server = spawn(process.execPath, serveArguments(port, dev), {
      cwd: root,
      // A group of its own: Ctrl-C reaches this script first, which then stops the server and after it the cluster.
      detached: true,
      stdio: ['ignore', 'pipe', 'inherit'],
      env: {
        ...process.env,
        ...env,
        ...(dev ? { NODE_ENV: 'development', OAK_BUILD_DIR: DEV_FOLDER } : { NODE_ENV: 'production' }),
        SESSION_SECRET: sessionSecret(),
        NEXT_TELEMETRY_DISABLED: '1',
      },
    });
    const ended = new Promise((resolve) => server.on('exit', resolve));
    await Promise.race([answering(port), ended]);
    if (server.exitCode === null && !stopping) {
      process.stdout.write(`\n  Open      http://127.0.0.1:${port}\n`);
      if (signIns) process.stdout.write(`${signIns.replace(/^/gm, '  ')}\n`);
      process.stdout.write('  Stop with Ctrl-C\n\n');
    }
    const code = await ended;
    if (!stopping) throw new Trouble(`the web server ended by itself with code ${code}.`);
  } finally {
    if (cluster) {
      say('Stopping the database …');
      await cluster.stop();
    }
  }
});

async function answering(port) {
  for (;;) {
    const answer = await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => undefined);
    if (answer?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
}
