import { randomUUID } from 'node:crypto';
import { query } from './testDatabase';

/** Belongs to the demo's own house, of which the tests work on copies. */
const OF_DEMO = "house_id = (SELECT id FROM houses WHERE head->>'name' = 'Gannet Point, plot 6')";

/**
 * Copies the demo's house within a database: the same rooms, log, sensors and readings under another name.
 *
 * @returns the id of the copy; its sensors' keys end with it
 */
export async function copyHouse(database: string, name: string): Promise<string> {
  const id = randomUUID();
  const copied = (table: string, changed: string, more = '') =>
    `INSERT INTO ${table} SELECT (jsonb_populate_record(NULL::${table}, to_jsonb(${table}) || jsonb_build_object(${changed}))).*
       FROM ${table}${more} WHERE ${OF_DEMO};`;
  const house = `'house_id', '${id}'`;
  // What a sensor said goes along with the sensor; what was typed has a name that stays.
  const measured = (table: string) =>
    copied(table, `${house}, 'device', coalesce(new::text, device)`, ' LEFT JOIN sensors ON old::text = device');
  await query(
    `BEGIN;
     INSERT INTO houses SELECT (jsonb_populate_record(NULL::houses, to_jsonb(houses) || jsonb_build_object(
       'id', '${id}', 'head', head || jsonb_build_object('name', '${name.replaceAll("'", "''")}')))).*
       FROM houses WHERE head->>'name' = 'Gannet Point, plot 6';
     CREATE TEMP TABLE sensors ON COMMIT DROP AS
       SELECT id AS old, gen_random_uuid() AS new FROM devices WHERE ${OF_DEMO};
     ${copied('rooms', house)}
     ${copied('entries', `${house}, 'id', gen_random_uuid()`)}
     ${copied('weather_hours', house)}
     ${copied(
       'devices',
       `${house}, 'id', new, 'key_hash', encode(sha256(convert_to('oak-demo-' || room_id || '-${id}', 'UTF8')), 'hex')`,
       ' JOIN sensors ON old = devices.id',
     )}
     ${measured('readings')}
     ${measured('reading_hours')}
     COMMIT;`,
    database,
  );
  return id;
}
