import type { QueryInterface } from 'sequelize';

/** Everything that belongs to a firm, with what its rows were known by. */
const TABLES = [
  'people',
  'houses',
  'rooms',
  'entries',
  'readings',
  'methods',
  'devices',
  'reading_hours',
  'weather_hours',
  'sessions',
];

/**
 * People, houses and all that is in them belong to a firm, which comes first in every key; what is there already becomes one
 * firm's. The database shows a firm's rows to nobody who does not name it. Viewers see the houses that they were let into;
 * those who were there have seen all of them.
 */
export async function up(query: QueryInterface): Promise<void> {
  const ask = (sql: string) => query.sequelize.query(sql) as Promise<[{ id: string }[], unknown]>;
  await ask(`
    CREATE TABLE firms (
      id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
      name text NOT NULL,
      folded text NOT NULL UNIQUE,
      made_at timestamptz NOT NULL DEFAULT now()
    );
    INSERT INTO firms (name, folded)
      SELECT 'Our firm', 'our firm' WHERE EXISTS (SELECT FROM people) OR EXISTS (SELECT FROM houses);
  `);
  const [[first]] = await ask('SELECT id FROM firms');
  await ask(`
    ${TABLES.map(
      (table) => `ALTER TABLE ${table} ADD firm uuid NOT NULL ${first ? `DEFAULT '${first.id}'` : ''};
    ALTER TABLE ${table} ALTER firm DROP DEFAULT;`,
    ).join('\n')}

    ALTER TABLE people DROP CONSTRAINT people_pkey CASCADE;
    ALTER TABLE houses DROP CONSTRAINT houses_pkey CASCADE;
    ALTER TABLE people ADD PRIMARY KEY (firm, id), ADD FOREIGN KEY (firm) REFERENCES firms ON DELETE CASCADE;
    ALTER TABLE houses ADD PRIMARY KEY (firm, id), ADD FOREIGN KEY (firm) REFERENCES firms ON DELETE CASCADE;
    DROP INDEX people_folded;
    CREATE UNIQUE INDEX people_folded ON people (firm, folded) WHERE removed_at IS NULL;

    ALTER TABLE rooms DROP CONSTRAINT rooms_pkey, ADD PRIMARY KEY (firm, house_id, id);
    ALTER TABLE entries DROP CONSTRAINT entries_pkey, DROP CONSTRAINT entries_house_id_seq_key,
      ADD PRIMARY KEY (firm, id), ADD UNIQUE (firm, house_id, seq),
      ADD FOREIGN KEY (firm, by) REFERENCES people;
    ALTER TABLE methods DROP CONSTRAINT methods_pkey, DROP CONSTRAINT methods_name_key,
      ADD PRIMARY KEY (firm, id), ADD UNIQUE (firm, name),
      ADD FOREIGN KEY (firm, kept_by) REFERENCES people;
    ALTER TABLE sessions DROP CONSTRAINT sessions_pkey, DROP CONSTRAINT sessions_id_key,
      ADD PRIMARY KEY (firm, hash), ADD UNIQUE (firm, id),
      ADD FOREIGN KEY (firm, person_id) REFERENCES people ON DELETE CASCADE;
    ALTER TABLE devices DROP CONSTRAINT devices_pkey, DROP CONSTRAINT devices_key_hash_key,
      ADD PRIMARY KEY (firm, id), ADD UNIQUE (firm, key_hash);
    ALTER TABLE readings DROP CONSTRAINT readings_pkey, ADD PRIMARY KEY (firm, house_id, device, at);
    ALTER TABLE reading_hours DROP CONSTRAINT reading_hours_pkey, ADD PRIMARY KEY (firm, house_id, device, room_id, hour);
    ALTER TABLE weather_hours DROP CONSTRAINT weather_hours_pkey, ADD PRIMARY KEY (firm, house_id, hour);
    ${['rooms', 'entries', 'readings', 'devices', 'reading_hours', 'weather_hours'].map((table) => `ALTER TABLE ${table} ADD FOREIGN KEY (firm, house_id) REFERENCES houses ON DELETE CASCADE;`).join('\n')}

    DROP INDEX devices_of_house, doubtful_readings, reading_hours_by_batch, reading_hours_of_device, reading_hours_of_room,
      sessions_person;
    CREATE INDEX devices_of_house ON devices (firm, house_id);
    CREATE INDEX doubtful_readings ON readings (firm, house_id, device) WHERE doubt IS NOT NULL;
    CREATE INDEX reading_hours_by_batch ON reading_hours (firm, house_id, batch);
    CREATE INDEX reading_hours_of_device ON reading_hours (firm, house_id, device, hour);
    CREATE INDEX reading_hours_of_room ON reading_hours (firm, house_id, room_id, hour);
    CREATE INDEX sessions_person ON sessions (firm, person_id);
    -- Who they are of is not known yet when these are looked for.
    CREATE INDEX sessions_by_hash ON sessions (hash);
    CREATE INDEX devices_by_key ON devices (key_hash);

    CREATE TABLE house_viewers (
      firm uuid NOT NULL,
      house_id uuid NOT NULL,
      person_id uuid NOT NULL,
      PRIMARY KEY (firm, house_id, person_id),
      FOREIGN KEY (firm, house_id) REFERENCES houses ON DELETE CASCADE,
      FOREIGN KEY (firm, person_id) REFERENCES people ON DELETE CASCADE
    );
    INSERT INTO house_viewers
      SELECT houses.firm, houses.id, people.id FROM houses JOIN people USING (firm) WHERE people.role = 'viewer';

    CREATE OR REPLACE FUNCTION count_room_changes() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      UPDATE houses SET rooms_seq = rooms_seq + 1 WHERE (firm, id) IN (SELECT firm, house_id FROM changed);
      RETURN NULL;
    END $$;

    ${[...TABLES, 'house_viewers']
      .map(
        (table) => `ALTER TABLE ${table} ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON ${table} USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));`,
      )
      .join('\n')}
    ALTER TABLE firms ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON firms USING (id = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
  `);
}
