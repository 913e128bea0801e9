import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './place.mjs';
import { run } from './run.mjs';
import { say, Trouble } from './say.mjs';

const stampFile = join(root, 'node_modules', '.oak-lock');

/** Installs the npm packages when `node_modules` is missing or older than the lock file. */
export async function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === lock) return;
  say('Installing the npm packages (about half a minute) …');
  // Not `npm ci`: it refuses a lock file that leaves out optional packages for other platforms.
  const { code, output } = await run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--include=dev'], {
    cwd: root,
  });
  if (code !== 0) throw new Trouble(explain(output));
  writeFileSync(stampFile, lock);
}

function explain(output) {
  if (/ENOSPC/.test(output)) return 'the npm packages do not fit on the disk. Free some space and start again.';
  if (/ENOTFOUND|ECONNREFUSED|ETIMEDOUT|EAI_AGAIN|ECONNRESET/.test(output)) {
    return 'the npm registry cannot be reached. Check the network (npm config get registry) and start again.';
  }
  if (/EACCES|EPERM/.test(output)) return `npm may not write in ${root}. Check who owns the folder.`;
  return `npm install failed: ${output.trim().split('\n').slice(-4).join(' ')}`;
}
