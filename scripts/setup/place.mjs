import { mkdirSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout. */
export const root = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');

/**
 * The ignored folder that keeps what belongs to this checkout only: passwords, pointers, logs. A test of the start command
 * names one of its own, with which it gets a database of its own too.
 */
export const stateFolder = process.env.OAK_STATE_FOLDER ?? join(root, '.oak');

export function makeStateFolder() {
  mkdirSync(stateFolder, { recursive: true, mode: 0o700 });
}

const LARGEST_LOG = 20_000_000;

/** Where the server of this checkout writes its log. One that has grown large makes room for a new one, and is kept beside it. */
export function logFile() {
  const file = join(stateFolder, 'server.log');
  if ((statSync(file, { throwIfNoEntry: false })?.size ?? 0) > LARGEST_LOG) renameSync(file, `${file}.1`);
  return file;
}

/** Writes a file whole or not at all: whoever is killed in the middle leaves the old one. */
export function writeWhole(file, content, options) {
  const unfinished = `${file}.${process.pid}`;
  writeFileSync(unfinished, content, options);
  renameSync(unfinished, file);
}
