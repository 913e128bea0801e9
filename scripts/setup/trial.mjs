import { join } from 'node:path';
import { buildIfStale, TEST_BUILD } from './build.mjs';
import { startTemporaryCluster } from './cluster.mjs';
import { installPackages } from './packages.mjs';
import { root } from './place.mjs';
import { run } from './run.mjs';
import { Trouble } from './say.mjs';

/**
 * Runs a TypeScript program that tries a server of the tests' build, with an empty cluster of its own at `DATABASE_URL`.
 *
 * @param {string} file within the repository
 * @param {readonly unknown[]} args
 * @param {string} trouble the message if the program fails
 */
export async function runTrial(file, args, trouble) {
  await installPackages();
  await buildIfStale(TEST_BUILD);
  const cluster = await startTemporaryCluster();
  try {
    const env = { ...process.env, DATABASE_URL: cluster.url('postgres') };
    const program = ['--import', 'tsx', join(root, file), ...args.map(String)];
    const { code } = await run(process.execPath, program, { show: true, cwd: root, env });
    if (code !== 0) throw new Trouble(trouble);
  } finally {
    await cluster.stop();
  }
}
