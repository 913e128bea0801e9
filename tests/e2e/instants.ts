import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Everything that a run leaves behind lies here; the script that starts the tests removes it. */
export const BASE_FOLDER = process.env.OAK_TEST_FOLDER ?? join(tmpdir(), 'oak-e2e');

/** Where the demo's house stands in the tests: a zone with summer time. */
export const TIME_ZONE = 'America/New_York';
/** When the tests happen: a Tuesday in May, 12:34 where the house stands. Only a test moves it. */
export const DEMO_INSTANT = Date.parse('2031-05-06T16:34:00Z');
