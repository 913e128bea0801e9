import { join } from 'node:path';
import { buildIfStale, TEST_BUILD } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { root } from './setup/place.mjs';
import { run } from './setup/run.mjs';
import { runScript, Trouble } from './setup/say.mjs';

/** Sends odd requests over all routes to a server with the demo: `npm run fuzz -- COUNT SEED`. */
await runScript(async () => {
  checkNode();
  const [count = 100_000, seed = 1] = process.argv.slice(2).map(Number);
  if (!(Number.isSafeInteger(count) && count > 0 && Number.isSafeInteger(seed)))
    throw new Trouble('say how many, and from which seed:  npm run fuzz -- 100000 1');
  await installPackages();
  await buildIfStale(TEST_BUILD);
  const cluster = await startTemporaryCluster();
  try {
    const args = ['--import', 'tsx', join(root, 'tests/fuzz/main.ts'), count, seed].map(String);
    const env = { ...process.env, DATABASE_URL: cluster.url('postgres') };
    const { code } = await run(process.execPath, args, { show: true, cwd: root, env });
    if (code !== 0) throw new Trouble('some were answered with a fault.');
  } finally {
    await cluster.stop();
  }
});
