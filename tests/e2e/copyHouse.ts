import { randomUUID } from 'node:crypto';
import { query } from './testDatabase';

/** Belongs to the demo's own house, of which the tests work on copies. */
const OF_DEMO = "house_id = (SELECT id FROM houses WHERE head->>'name' = 'Gannet Point, plot 6')";

/** What pages read of single readings: the newest, and those that nothing sends by itself. All others are summed up by the hour. */
const READ_SINGLY = `(at > (SELECT max(at) FROM readings WHERE ${OF_DEMO}) - interval '3 hours' OR old IS NULL)`;

/** What an entry says, with the copies of the photos that it names. */
const OWN_PHOTOS = `CASE WHEN payload ? 'photos' THEN jsonb_set(payload, '{photos}',
  (SELECT jsonb_agg(new) FROM jsonb_array_elements_text(payload->'photos') AS photo JOIN pictures ON old::text = photo))
  ELSE payload END`;

/** The columns of every table, by table; a database never changes its shape while the tests run. */
let columns: Promise<ReadonlyMap<string, readonly string[]>> | undefined;

async function columnsOf(database: string): Promise<ReadonlyMap<string, readonly string[]>> {
  const rows = await query<{ table: string; columns: string[] }>(
    `SELECT table_name AS table, array_agg(column_name::text) AS columns FROM information_schema.columns
     WHERE table_schema = 'public' GROUP BY table_name ORDER BY table_name`,
    database,
  );
  return new Map(rows.map((row) => [row.table, row.columns]));
}

/**
 * Copies the demo's house within a database: the same rooms, log, sensors and air under another name.
 *
 * @returns the id of the copy; its sensors' keys end with it
 */
export async function copyHouse(database: string, name: string): Promise<string> {
  columns ??= columnsOf(database);
  const tables = await columns;
  const id = randomUUID();
  /** One statement that copies rows, with some columns replaced. */
  const copied = (table: string, changed: Readonly<Record<string, string>>, more = '', which = OF_DEMO) => {
    const own = tables.get(table) ?? [];
    const values = own.map((column) => changed[column] ?? `${table}.${column}`);
    return `INSERT INTO ${table} (${own.join(', ')}) SELECT ${values.join(', ')} FROM ${table}${more} WHERE ${which};`;
  };
  const house = { house_id: `'${id}'` };
  // What a sensor said goes along with the sensor; what was typed has a name that stays.
  const measured = (table: string, which = OF_DEMO) =>
    copied(
      table,
      { ...house, device: 'coalesce(new::text, device)' },
      ' LEFT JOIN sensors ON old::text = device',
      which,
    );
  await query(
    `BEGIN;
     ${copied(
       'houses',
       { id: `'${id}'`, head: `head || jsonb_build_object('name', '${name.replaceAll("'", "''")}')` },
       '',
       "head->>'name' = 'Gannet Point, plot 6'",
     )}
     CREATE TEMP TABLE sensors ON COMMIT DROP AS
       SELECT id AS old, gen_random_uuid() AS new FROM devices WHERE ${OF_DEMO};
     ${copied('house_viewers', house)}
     ${copied('rooms', { ...house, removed_at: 'NULL' })}
     CREATE TEMP TABLE pictures ON COMMIT DROP AS
       SELECT id AS old, gen_random_uuid() AS new FROM photos WHERE ${OF_DEMO};
     ${copied('photos', { ...house, id: 'new' }, ' JOIN pictures ON old = photos.id')}
     ${copied('entries', { ...house, id: 'gen_random_uuid()', payload: OWN_PHOTOS })}
     ${copied('weather_hours', house)}
     ${copied(
       'devices',
       {
         ...house,
         id: 'new',
         key_hash: `encode(sha256(convert_to('oak-demo-' || room_id || '-${id}', 'UTF8')), 'hex')`,
       },
       ' JOIN sensors ON old = devices.id',
     )}
     ${measured('readings', `${OF_DEMO} AND ${READ_SINGLY}`)}
     ${measured('reading_hours')}
     COMMIT;`,
    database,
  );
  return id;
}
