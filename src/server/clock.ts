import { readFileSync } from 'node:fs';

/**
 * The time, ms since 1970. Tests move it: `OAK_TEST_CLOCK` names a file that holds the milliseconds to add.
 */
export function now(): number {
  const file = process.env.OAK_TEST_CLOCK;
  return Date.now() + (file ? Number(readFileSync(file, 'utf8')) : 0);
}
