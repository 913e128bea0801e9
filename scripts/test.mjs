import { join } from 'node:path';
import { buildIfStale } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { root } from './setup/place.mjs';
import { freePort } from './setup/ports.mjs';
import { run } from './setup/run.mjs';
import { runScript, say, Trouble } from './setup/say.mjs';
import { needChromium } from './setup/system.mjs';

/** The build of the tests; the one of a running application is not touched. */
const BUILD_FOLDER = '.next-test';

await runScript(async () => {
  checkNode();
  process.stdout.write('\nOak Tally, all checks\n');
  await installPackages();
  const chromium = await needChromium();
  const cluster = await startTemporaryCluster();
  const stop = () => void cluster.stop().finally(() => process.exit(130));
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  try {
    await Promise.all([
      step('types', 'typescript/bin/tsc', ['--noEmit']),
      step('lint', '@biomejs/biome/bin/biome', ['check', '.']),
    ]);
    await step('unit, reference, structure and integration tests', 'vitest/vitest.mjs', ['run'], {
      DATABASE_URL: cluster.url('postgres'),
    });
    await buildIfStale(BUILD_FOLDER);
    await step('end-to-end tests', '@playwright/test/cli.js', ['test', '--config', 'tests/e2e/playwright.config.ts'], {
      OAK_CLUSTER_URL: cluster.url('postgres'),
      OAK_DEMO_PORT: String(await freePort()),
      OAK_EMPTY_PORT: String(await freePort()),
      OAK_BUILD_DIR: BUILD_FOLDER,
      CHROMIUM: chromium,
    });
    say('Everything passes.');
  } finally {
    await cluster.stop();
  }
});

async function step(title, program, args, env = {}) {
  const started = Date.now();
  say(`${title} …`);
  const { code } = await run(process.execPath, [join(root, 'node_modules', program), ...args], {
    show: true,
    cwd: root,
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  if (code !== 0) throw new Trouble(`${title} failed.`);
  say(`${title}: ${((Date.now() - started) / 1000).toFixed(1)} s`);
}
