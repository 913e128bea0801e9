import { readFileSync } from 'node:fs';

/**
 * The time, ms since 1970: the one clock of the server and of everything that it records. Tests stop it: `OAK_TEST_CLOCK`
 * names a file that holds the instant, and time moves when a test writes another one.
 */
export function now(): number {
  const file = process.env.OAK_TEST_CLOCK;
  return file ? Date.parse(readFileSync(file, 'utf8')) : Date.now();
}
