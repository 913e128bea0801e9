import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildIfStale, TEST_BUILD } from './setup/build.mjs';
import { startTemporaryCluster } from './setup/cluster.mjs';
import { checkNode } from './setup/node.mjs';
import { installPackages } from './setup/packages.mjs';
import { root } from './setup/place.mjs';
import { freePort } from './setup/ports.mjs';
import { run } from './setup/run.mjs';
import { runScript } from './setup/say.mjs';
import { serveDemo } from './setup/served.mjs';
import { needChromium } from './setup/system.mjs';

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
  await buildIfStale(TEST_BUILD);
  await benchCompiled('tests/bench/takeOff.ts');
  await benchCompiled('tests/bench/method.ts');
  await benchCompiled('tests/bench/drying.ts');
  await benchCompiled('tests/bench/plan.ts');
  // The solver beside it brings a file of its own, which a bundle would lose.
  await run(process.execPath, ['--import', 'tsx', join(root, 'tests/bench/cut.ts')], { show: true, cwd: root });
  await run(process.execPath, ['--import', 'tsx', join(root, 'tests/bench/cold.ts')], { show: true, cwd: root });
  const cluster = await startTemporaryCluster();
  const env = { ...process.env, DATABASE_URL: cluster.url('postgres') };
  const bench = (file, port, more) =>
    run(process.execPath, ['--import', 'tsx', join(root, file), String(port)], {
      show: true,
      cwd: root,
      env: { ...env, ...more },
    });
  try {
    const server = await serveDemo(env);
    await bench('tests/bench/pages.ts', server.port);
    await bench('tests/bench/open.ts', server.port, { CHROMIUM: await needChromium() });
    await bench('tests/bench/typing.ts', server.port, { CHROMIUM: await needChromium() });
    await bench('tests/bench/dragging.ts', server.port, { CHROMIUM: await needChromium() });
    await server.stop();
    await bench('tests/bench/air.ts', await freePort());
  } finally {
    await cluster.stop();
  }
});
