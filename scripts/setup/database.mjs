import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeStateFolder, root, stateFolder } from './place.mjs';
import { run } from './run.mjs';
import { Trouble } from './say.mjs';

/** Runs one of the database commands of the application (`src/db/commands`) and returns what it printed. */
export async function databaseCommand(name, args, env) {
  const { code, output } = await run(process.execPath, ['--import', 'tsx', `src/db/commands/${name}.ts`, ...args], {
    cwd: root,
    env: { ...process.env, ...env },
  });
  if (code !== 0)
    throw new Trouble(`the database could not be prepared: ${output.trim().split('\n').slice(-3).join(' ')}`);
  return output.trim();
}

/** The secret that seals the session cookies; made once for a checkout. */
export function sessionSecret() {
  if (process.env.SESSION_SECRET) return process.env.SESSION_SECRET;
  makeStateFolder();
  const file = join(stateFolder, 'session-secret');
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}
