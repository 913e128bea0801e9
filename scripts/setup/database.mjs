import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeStateFolder, root, stateFolder, writeWhole } from './place.mjs';
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

/** Fewer characters than this seal nothing. */
const SHORTEST_SECRET = 32;

/** The secret that seals the session cookies; made once for a checkout. */
export function sessionSecret() {
  const given = process.env.SESSION_SECRET;
  if (given !== undefined) {
    if (given.length < SHORTEST_SECRET)
      throw new Trouble(`SESSION_SECRET has ${given.length} characters; it needs at least ${SHORTEST_SECRET}.`);
    return given;
  }
  makeStateFolder();
  const file = join(stateFolder, 'session-secret');
  const kept = existsSync(file) ? readFileSync(file, 'utf8').trim() : '';
  if (kept.length >= SHORTEST_SECRET) return kept;
  // A damaged one seals nothing: everybody signs in anew.
  const made = randomBytes(32).toString('hex');
  writeWhole(file, made, { mode: 0o600 });
  return made;
}
