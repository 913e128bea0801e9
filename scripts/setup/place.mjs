import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout. */
export const root = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');

/** The ignored folder that keeps what belongs to this checkout only: passwords, pointers, logs. */
export const stateFolder = join(root, '.oak');

export function makeStateFolder() {
  mkdirSync(stateFolder, { recursive: true, mode: 0o700 });
}
