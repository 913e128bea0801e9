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
    // Installed meanwhile where it is missing; Debian's packages come one after the other.
    const chromium = needChromium();
    chromium.catch(() => undefined);
    const env = { OAK_CLUSTER_URL: cluster.url('postgres'), OAK_TEST_FOLDER: folder };
    await Promise.all([
      step('types', 'typescript/bin/tsc', ['--noEmit']),
      step('lint', '@biomejs/biome/bin/biome', ['check', '.']),
      buildIfStale(TEST_BUILD),
    ]);
    const vitest = (project) => ['run', '--project', project, ...passed, ...names];
    const unit = () => step('unit, reference and structure tests', 'vitest/vitest.mjs', vitest('unit'));
    const integration = () =>
      step('integration tests', 'vitest/vitest.mjs', vitest('integration'), {
        ...env,
        DATABASE_URL: cluster.url('postgres'),
      });
    const endToEnd = async () => {
      const only = [...passed.map(() => '--pass-with-no-tests'), ...names.map((name) => `${name}.*spec`)];
      const config = ['--config', 'tests/e2e/playwright.config.ts'];
      await step('end-to-end tests', '@playwright/test/cli.js', ['test', ...config, ...only], {
        ...env,
        CHROMIUM: await chromium,
        OAK_BUILD_DIR: TEST_BUILD,
      });
    };
    await unit();
    // Both wait for a database and for pages now and then, and leave the cores to each other.
    await Promise.all([endToEnd(), integration()]);
    say('Everything passes.');
  } finally {
    await clear();
  }
});
