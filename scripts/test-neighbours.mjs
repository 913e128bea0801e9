import { join } from 'node:path';
import { buildIfStale, TEST_BUILD } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { root } from './setup/place.mjs';
import { run } from './setup/run.mjs';
import { runScript, Trouble } from './setup/say.mjs';

/** Measures how long one company waits while another one asks for far too much: `npm run test:neighbours -- ATTACK …`. */
await runScript(async () => {
  checkNode();
  await installPackages();
  await buildIfStale(TEST_BUILD);
  const cluster = await startTemporaryCluster();
  try {
    const args = ['--import', 'tsx', join(root, 'tests/neighbours/main.ts'), ...process.argv.slice(2)];
    const env = { ...process.env, DATABASE_URL: cluster.url('postgres') };
    const { code } = await run(process.execPath, args, { show: true, cwd: root, env });
    if (code !== 0) throw new Trouble('a neighbour waited too long.');
  } finally {
    await cluster.stop();
  }
});
