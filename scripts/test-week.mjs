import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildIfStale, TEST_BUILD } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { runScript } from './setup/say.mjs';
import { step } from './setup/step.mjs';
import { needChromium } from './setup/system.mjs';

/** Lives a crew's week through the screens, from an empty company to the builder's signature: `npm run test:week`. */
await runScript(async () => {
  checkNode();
  await installPackages();
  const folder = mkdtempSync(join(tmpdir(), 'oak-week-'));
  let cluster;
  try {
    cluster = await startTemporaryCluster();
    const [chromium] = await Promise.all([needChromium(), buildIfStale(TEST_BUILD)]);
    await step('the week', '@playwright/test/cli.js', ['test', '--config', 'tests/week/playwright.config.ts'], {
      OAK_CLUSTER_URL: cluster.url('postgres'),
      OAK_TEST_FOLDER: folder,
      CHROMIUM: chromium,
      OAK_BUILD_DIR: TEST_BUILD,
    });
  } finally {
    await cluster?.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
