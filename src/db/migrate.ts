import { type QueryInterface, QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { Umzug, type UmzugStorage } from 'umzug';
import { connection } from './connection';
import * as firstTables from './migrations/0001-first-tables';
import * as removedRooms from './migrations/0002-removed-rooms';
import * as keptMethods from './migrations/0003-kept-methods';
import * as air from './migrations/0004-air';
import * as roomsCursor from './migrations/0005-rooms-cursor';
import * as unfinished from './migrations/0006-unfinished';
import * as sessions from './migrations/0007-sessions';
import * as firms from './migrations/0008-firms';
import * as chains from './migrations/0009-chains';
import * as entryVersion from './migrations/0010-entry-version';
import * as floors from './migrations/0011-floors';
import * as crew from './migrations/0012-crew';
import * as calendars from './migrations/0013-calendars';
import * as photos from './migrations/0014-photos';
import * as shownHouses from './migrations/0015-shown-houses';
import * as shownWhat from './migrations/0016-shown-what';
import * as lasers from './migrations/0017-lasers';
import * as catalogues from './migrations/0018-catalogues';
import * as roomsDeleted from './migrations/0019-rooms-deleted';
import * as housePlans from './migrations/0020-house-plans';
import * as company from './migrations/0021-company';
import * as signedSheets from './migrations/0022-signed-sheets';
import * as crewPlans from './migrations/0023-crew-plans';
import * as closedFailures from './migrations/0024-closed-failures';
import * as toldChanges from './migrations/0025-told-changes';
import { ROWS_ROLE } from './ownRows';

/** Every migration in order; one is never changed after it has landed. */
const MIGRATIONS: Readonly<Record<string, { up(query: QueryInterface): Promise<void> }>> = {
  '0001-first-tables': firstTables,
  '0002-removed-rooms': removedRooms,
  '0003-kept-methods': keptMethods,
  '0004-air': air,
  '0005-rooms-cursor': roomsCursor,
  '0006-unfinished': unfinished,
  '0007-sessions': sessions,
  '0008-firms': firms,
  '0009-chains': chains,
  '0010-entry-version': entryVersion,
  '0011-floors': floors,
  '0012-crew': crew,
  '0013-calendars': calendars,
  '0014-photos': photos,
  '0015-shown-houses': shownHouses,
  '0016-shown-what': shownWhat,
  '0017-lasers': lasers,
  '0018-catalogues': catalogues,
  '0019-rooms-deleted': roomsDeleted,
  '0020-house-plans': housePlans,
  '0021-company': company,
  '0022-signed-sheets': signedSheets,
  '0023-crew-plans': crewPlans,
  '0024-closed-failures': closedFailures,
  '0025-told-changes': toldChanges,
};

/**
 * Brings the database to the newest shape, all in one transaction: a migration is done and noted, or neither. Two
 * application servers that start together wait for each other.
 *
 * @param last goes no further than this migration, to try what the next one makes of old rows
 */
export async function migrate(last?: string): Promise<void> {
  const sequelize = connection();
  await sequelize.transaction(async (transaction) => {
    await sequelize.query("SELECT pg_advisory_xact_lock(hashtext('oak-tally migrations'))", { transaction });
    const umzug = new Umzug({
      migrations: Object.entries(MIGRATIONS).map(([name, { up }]) => ({
        name,
        up: ({ context }: { context: QueryInterface }) => up(context),
      })),
      context: within(sequelize, transaction),
      storage: notesIn(sequelize, transaction),
      logger: undefined,
    });
    await umzug.up(last === undefined ? {} : { to: last });
    await sequelize.query(GUARD, { transaction });
  });
}

/**
 * The role that rows of firms are read and written under. Roles are no part of a database: one that was brought from elsewhere
 * has none. Two databases of a server may make it at the same moment.
 */
const GUARD = `DO $$
DECLARE own text;
BEGIN
  BEGIN
    IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = '${ROWS_ROLE}') THEN CREATE ROLE ${ROWS_ROLE} NOLOGIN; END IF;
  EXCEPTION WHEN duplicate_object OR unique_violation THEN NULL;
  END;
  IF NOT pg_has_role('${ROWS_ROLE}', 'MEMBER') THEN EXECUTE 'GRANT ${ROWS_ROLE} TO ' || quote_ident(current_user); END IF;
  IF NOT has_schema_privilege('${ROWS_ROLE}', 'public', 'USAGE') THEN GRANT USAGE ON SCHEMA public TO ${ROWS_ROLE}; END IF;
  FOR own IN
    SELECT relname FROM pg_class WHERE relnamespace = 'public'::regnamespace AND relkind = 'r'
      AND relname NOT IN ('migrations', 'unfinished', 'sign_in_failures') AND NOT has_table_privilege('${ROWS_ROLE}', oid, 'INSERT')
  LOOP
    EXECUTE format('GRANT SELECT, INSERT, UPDATE, DELETE ON %I TO ${ROWS_ROLE}', own);
  END LOOP;
END $$`;

/** A query interface whose statements are part of a transaction. */
function within(sequelize: Sequelize, transaction: Transaction): QueryInterface {
  const query = (sql: string, options?: object) => sequelize.query(sql, { ...options, transaction });
  return Object.assign(Object.create(sequelize.getQueryInterface()), { sequelize: { query } });
}

/** The names of the migrations that were done. */
function notesIn(sequelize: Sequelize, transaction: Transaction): UmzugStorage {
  const ask = (sql: string, bind: readonly string[] = []) =>
    sequelize.query<{ name: string }>(sql, { transaction, type: QueryTypes.SELECT, bind: [...bind] });
  return {
    executed: async () => {
      await ask('CREATE TABLE IF NOT EXISTS migrations (name varchar(255) PRIMARY KEY)');
      return (await ask('SELECT name FROM migrations ORDER BY name')).map(({ name }) => name);
    },
    logMigration: async ({ name }) => {
      await ask('INSERT INTO migrations VALUES ($1)', [name]);
    },
    unlogMigration: async ({ name }) => {
      await ask('DELETE FROM migrations WHERE name = $1', [name]);
    },
  };
}
