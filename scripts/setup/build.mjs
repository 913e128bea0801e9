import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './place.mjs';
import { run } from './run.mjs';
import { say, Trouble } from './say.mjs';
import { buildServiceWorker } from './serviceWorker.mjs';

/** Where tests and trials build; the build of a running application is not touched. */
export const TEST_BUILD = '.next-test';

const nextProgram = join(root, 'node_modules', 'next', 'dist', 'bin', 'next');

/** Builds the application into `folder` when its sources changed since the last build there. */
export async function buildIfStale(folder = '.next', env = {}) {
  const stampFile = join(root, folder, 'oak-source');
  const stamp = sourceHash();
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp) return;
  say('Building the application …');
  const { code, output } = await run(process.execPath, [nextProgram, 'build'], {
    cwd: root,
    env: { ...process.env, ...env, OAK_BUILD_DIR: folder, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
  });
  if (code !== 0) throw new Trouble(`the build failed:\n${output.trim()}`);
  await buildServiceWorker(folder);
  writeFileSync(stampFile, stamp);
}

/** How long a connection without a request is kept, s: longer than a proxy keeps its own, or one that is ended here takes a request along. */
export const KEPT_S = 75;

/** Arguments for Node that serve the build on loopback, or the sources as they change. */
export const serveArguments = (port, dev = false) => [
  nextProgram,
  ...(dev ? ['dev'] : ['start', '--keepAliveTimeout', String(KEPT_S * 1000)]),
  '-H',
  '127.0.0.1',
  '-p',
  String(port),
];

function sourceHash() {
  const hash = createHash('sha256');
  const add = (path) => hash.update(path).update(readFileSync(join(root, path)));
  for (const file of ['package-lock.json', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json']) add(file);
  const walk = (folder) => {
    for (const entry of readdirSync(join(root, folder), { withFileTypes: true }).sort((a, b) =>
      a.name < b.name ? -1 : 1,
    )) {
      const path = `${folder}/${entry.name}`;
      if (entry.isDirectory()) walk(path);
      else if (!/\.test\.tsx?$/.test(entry.name)) add(path);
    }
  };
  walk('src');
  return hash.digest('hex');
}
