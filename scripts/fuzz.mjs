import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { buildIfStale, serveArguments } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { databaseCommand } from './setup/database.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { root } from './setup/place.mjs';
import { freePort } from './setup/ports.mjs';
import { run } from './setup/run.mjs';
import { runScript, Trouble } from './setup/say.mjs';

const BUILD_FOLDER = '.next-test';

/** Sends odd requests over all routes to a server with the demo: `npm run fuzz -- COUNT SEED`. */
await runScript(async () => {
  checkNode();
  const [count = 100_000, seed = 1] = process.argv.slice(2).map(Number);
  if (!(Number.isSafeInteger(count) && count > 0 && Number.isSafeInteger(seed)))
    throw new Trouble('say how many, and from which seed:  npm run fuzz -- 100000 1');
  await installPackages();
  await buildIfStale(BUILD_FOLDER);
  const cluster = await startTemporaryCluster();
  let server;
  try {
    const port = await freePort();
    const env = {
      ...process.env,
      DATABASE_URL: cluster.url('postgres'),
      SESSION_SECRET: 'a secret for odd requests, 32 characters',
      NODE_ENV: 'production',
      OAK_BUILD_DIR: BUILD_FOLDER,
      OAK_LOG_LEVEL: 'error',
    };
    await databaseCommand('prepare', ['--demo'], env);
    server = spawn(process.execPath, serveArguments(port), { cwd: root, stdio: ['ignore', 'ignore', 'inherit'], env });
    while (!(await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => undefined))?.ok)
      await new Promise((resolve) => setTimeout(resolve, 100));
    const args = ['--import', 'tsx', join(root, 'tests/fuzz/main.ts'), port, server.pid, count, seed].map(String);
    const { code } = await run(process.execPath, args, { show: true, cwd: root, env });
    if (code !== 0) throw new Trouble('some were answered with a fault.');
  } finally {
    server?.kill('SIGTERM');
    await cluster.stop();
  }
});
