import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { freePort } from '../../scripts/setup/ports.mjs';
import { serve } from '../../scripts/setup/served.mjs';
import { BASE_FOLDER, TIME_ZONE } from './instants';
import { urlOf } from './testDatabase';

/** A server of the test build. */
export interface Server {
  readonly url: string;
  /** The lines that it has written. */
  readonly log: () => readonly Readonly<Record<string, unknown>>[];
  readonly stop: () => Promise<void>;
}

/** Starts a server on a database, by a clock that a file holds; it answers when this returns. */
export async function startServer(database: string, clock: string, port?: number): Promise<Server> {
  const at = port ?? (await freePort());
  const log = join(BASE_FOLDER, `log-${database}-${at}`);
  const { url, stop } = await serve(
    {
      OAK_TEST_CLOCK: clock,
      OAK_LOG: log,
      DATABASE_URL: urlOf(database),
      TZ: TIME_ZONE,
      // The weather of the tests is on loopback.
      OAK_NEARBY_SERVICES: '1',
    },
    { port: at },
  );
  const lines = () => readFileSync(log, 'utf8').split('\n').filter(Boolean);
  return { url, stop, log: () => lines().map((line) => JSON.parse(line)) };
}
