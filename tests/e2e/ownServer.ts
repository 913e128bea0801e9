import { type Server, startServer } from './server';
import { query } from './testDatabase';

/** A server on a copy of a database, the demo's or one without anything, which other tests do not see. */
export interface OwnServer extends Server {
  readonly database: string;
  /** The demo's; of no use where there is none. */
  readonly houseId: string;
  /** Stops the server and drops the database. */
  readonly end: () => Promise<void>;
}

export async function ownServer(
  database: string,
  clock: string,
  template: 'demo' | 'empty' = 'demo',
): Promise<OwnServer> {
  await query(`DROP DATABASE IF EXISTS ${database} WITH (FORCE)`);
  await query(`CREATE DATABASE ${database} TEMPLATE template_${template}`);
  const server = await startServer(database, clock);
  const [row] = await query<{ id: string }>('SELECT id FROM houses', database);
  return {
    ...server,
    database,
    houseId: row?.id ?? '',
    end: async () => {
      await server.stop();
      await query(`DROP DATABASE ${database} WITH (FORCE)`);
    },
  };
}
