import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { databaseCommand } from '../../scripts/setup/database.mjs';
import { setClock } from './clock';
import { BASE_FOLDER, DEMO_INSTANT, TIME_ZONE } from './instants';
import { query, urlOf } from './testDatabase';

/** Makes the two databases that tests' are copies of: one with the demo, one without anything. */
export default async function globalSetup(): Promise<void> {
  mkdirSync(BASE_FOLDER, { recursive: true });
  const clock = join(BASE_FOLDER, 'clock-of-templates');
  setClock(clock, DEMO_INSTANT);
  await Promise.all([makeTemplate('template_demo', clock, ['--demo']), makeTemplate('template_empty', clock, [])]);
  // A weather service that happens to run on this machine is none of the tests' business.
  await query('UPDATE houses SET weather_url = NULL', 'template_demo');
}

async function makeTemplate(name: string, clock: string, options: readonly string[]): Promise<void> {
  await query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
  await query(`CREATE DATABASE ${name}`);
  await databaseCommand('prepare', options, { DATABASE_URL: urlOf(name), OAK_TEST_CLOCK: clock, TZ: TIME_ZONE });
}
