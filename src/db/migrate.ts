import type { QueryInterface } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { connection } from './connection';
import * as firstTables from './migrations/0001-first-tables';
import * as removedRooms from './migrations/0002-removed-rooms';
import * as keptMethods from './migrations/0003-kept-methods';
import * as air from './migrations/0004-air';
import * as roomsCursor from './migrations/0005-rooms-cursor';

/** Every migration in order; one is never changed after it has landed. */
const MIGRATIONS: Readonly<Record<string, { up(query: QueryInterface): Promise<void> }>> = {
  '0001-first-tables': firstTables,
  '0002-removed-rooms': removedRooms,
  '0003-kept-methods': keptMethods,
  '0004-air': air,
  '0005-rooms-cursor': roomsCursor,
};

/** Brings the database to the newest shape. Two application servers that start together wait for each other. */
export async function migrate(): Promise<void> {
  const sequelize = connection();
  await sequelize.transaction(async (transaction) => {
    await sequelize.query("SELECT pg_advisory_xact_lock(hashtext('oak-tally migrations'))", { transaction });
    const umzug = new Umzug({
      migrations: Object.entries(MIGRATIONS).map(([name, { up }]) => ({
        name,
        up: ({ context }: { context: QueryInterface }) => up(context),
      })),
      context: sequelize.getQueryInterface(),
      storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
      logger: undefined,
    });
    await umzug.up();
  });
}
