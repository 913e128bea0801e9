import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { serveArguments } from '../../scripts/setup/build.mjs';
import { freePort } from '../../scripts/setup/ports.mjs';
import { BASE_FOLDER, TIME_ZONE } from './instants';
import { SECRET } from './strangers';
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
  const child = spawn(process.execPath, serveArguments(at), {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      OAK_TEST_CLOCK: clock,
      OAK_LOG: log,
      DATABASE_URL: urlOf(database),
      NODE_ENV: 'production',
      TZ: TIME_ZONE,
      // The weather of the tests is on loopback.
      OAK_NEARBY_SERVICES: '1',
      SESSION_SECRET: SECRET,
    },
  });
  const ended = once(child, 'exit');
  const url = `http://127.0.0.1:${at}`;
  for (;;) {
    if (child.exitCode !== null) throw new Error(`the server ended with code ${child.exitCode}`);
    const answer = await fetch(`${url}/api/health`).catch(() => undefined);
    if (answer?.ok) break;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  return {
    url,
    log: () =>
      readFileSync(log, 'utf8')
        .split('\n')
        .filter(Boolean)
        .map((line) => JSON.parse(line)),
    stop: async () => {
      if (child.exitCode === null) child.kill('SIGTERM');
      await ended;
    },
  };
}
