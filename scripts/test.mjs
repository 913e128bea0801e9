import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildIfStale, TEST_BUILD } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { endGroups } from './setup/group.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript, say } from './setup/say.mjs';
import { step } from './setup/step.mjs';
import { needChromium } from './setup/system.mjs';

/** With names (`npm test -- coats`) only test files whose path holds one of them are run; what is none's is passed over. */
const names = process.argv.slice(2);
const passed = names.length > 0 ? ['--passWithNoTests'] : [];

await runScript(async () => {
  checkNode();
  process.stdout.write('\nOak Tally, all checks\n');
  await installPackages();
  const chromium = await needChromium();
  const folder = mkdtempSync(join(tmpdir(), 'oak-test-'));
  let cluster;
  const clear = async () => {
    endGroups();
    await cluster?.stop();
    rmSync(folder, { recursive: true, force: true });
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.once(signal, () => void clear().finally(() => process.exit(130)));
  try {
    cluster = await startTemporaryCluster();
    const env = { OAK_CLUSTER_URL: cluster.url('postgres'), OAK_TEST_FOLDER: folder, CHROMIUM: chromium };
    await Promise.all([
      step('types', 'typescript/bin/tsc', ['--noEmit']),
      step('lint', '@biomejs/biome/bin/biome', ['check', '.']),
      buildIfStale(TEST_BUILD),
    ]);
    const vitest = (project) => ['run', '--project', project, ...passed, ...names];
    // Those that wait for a database leave the cores to those that only compute.
    await Promise.all([
      step('unit, reference and structure tests', 'vitest/vitest.mjs', vitest('unit')),
      step('integration tests', 'vitest/vitest.mjs', vitest('integration'), {
        ...env,
        DATABASE_URL: cluster.url('postgres'),
      }),
    ]);
    await step(
      'end-to-end tests',
      '@playwright/test/cli.js',
      [
        'test',
        '--config',
        'tests/e2e/playwright.config.ts',
        ...passed.map(() => '--pass-with-no-tests'),
        ...names.map((name) => `${name}.*spec`),
      ],
      {
        ...env,
        OAK_BUILD_DIR: TEST_BUILD,
      },
    );
    say('Everything passes.');
  } finally {
    await clear();
  }
});
