import { spawn } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildIfStale, serveArguments } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { databaseCommand } from './setup/database.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { root } from './setup/place.mjs';
import { freePort } from './setup/ports.mjs';
import { run } from './setup/run.mjs';
import { runScript } from './setup/say.mjs';
import { needChromium } from './setup/system.mjs';

const BUILD_FOLDER = '.next-test';

/** Runs a benchmark of the core compiled in one piece, as the application is; a loader would time its own additions. */
async function benchCompiled(file) {
  const { build } = await import('esbuild');
  const folder = await mkdtemp(join(tmpdir(), 'oak-bench-'));
  const outfile = join(folder, 'bench.mjs');
  try {
    await build({ entryPoints: [join(root, file)], outfile, bundle: true, platform: 'node', format: 'esm' });
    await run(process.execPath, [outfile], { show: true, cwd: root });
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** Prints the benchmarks: the core's in this process, the pages' and the browser's against a server and a cluster of
 * their own. */
await runScript(async () => {
  checkNode();
  await installPackages();
  await buildIfStale(BUILD_FOLDER);
  await benchCompiled('tests/bench/takeOff.ts');
  await benchCompiled('tests/bench/method.ts');
  await benchCompiled('tests/bench/drying.ts');
  const cluster = await startTemporaryCluster();
  const port = await freePort();
  const env = {
    ...process.env,
    DATABASE_URL: cluster.url('postgres'),
    SESSION_SECRET: 'a secret for the benchmark, 32 characters',
  };
  try {
    await databaseCommand('prepare', ['--demo'], env);
    const server = spawn(process.execPath, serveArguments(port), {
      cwd: root,
      stdio: 'ignore',
      env: { ...env, NODE_ENV: 'production', OAK_BUILD_DIR: BUILD_FOLDER },
    });
    await run(process.execPath, ['--import', 'tsx', join(root, 'tests/bench/pages.ts'), String(port)], {
      show: true,
      cwd: root,
      env,
    });
    await run(process.execPath, ['--import', 'tsx', join(root, 'tests/bench/typing.ts'), String(port)], {
      show: true,
      cwd: root,
      env: { ...env, CHROMIUM: await needChromium() },
    });
    server.kill('SIGTERM');
    const airPort = await freePort();
    await run(process.execPath, ['--import', 'tsx', join(root, 'tests/bench/air.ts'), String(airPort)], {
      show: true,
      cwd: root,
      env: { ...env, OAK_BUILD_DIR: BUILD_FOLDER },
    });
  } finally {
    await cluster.stop();
  }
});
