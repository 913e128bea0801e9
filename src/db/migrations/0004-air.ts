import type { QueryInterface } from 'sequelize';

/**
 * Devices that measure, readings by the hour, the weather, and a word to whoever listens when a house changes. `air_seq`
 * counts the batches of readings of a house: what carries a higher number was not yet seen.
 */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    ALTER TABLE houses ADD air_seq integer NOT NULL DEFAULT 0, ADD weather_url text;

    CREATE TABLE devices (
      id uuid PRIMARY KEY,
      house_id uuid NOT NULL REFERENCES houses ON DELETE CASCADE,
      room_id text,
      name text NOT NULL,
      key_hash text NOT NULL UNIQUE,
      made_at timestamptz NOT NULL DEFAULT now(),
      removed_at timestamptz,
      lags double precision[] NOT NULL DEFAULT '{}'
    );
    CREATE INDEX devices_of_house ON devices (house_id);

    ALTER TABLE readings ADD speed double precision, ADD doubt text, ADD batch integer NOT NULL DEFAULT 0;
    CREATE INDEX doubtful_readings ON readings (house_id, device) WHERE doubt IS NOT NULL;

    CREATE TABLE reading_hours (
      house_id uuid NOT NULL REFERENCES houses ON DELETE CASCADE,
      device text NOT NULL,
      room_id text NOT NULL,
      hour timestamptz NOT NULL,
      count integer NOT NULL,
      left_out integer NOT NULL,
      temperature_least double precision NOT NULL,
      temperature_most double precision NOT NULL,
      temperature_mean double precision NOT NULL,
      humidity_least double precision NOT NULL,
      humidity_most double precision NOT NULL,
      humidity_mean double precision NOT NULL,
      speed_mean double precision,
      batch integer NOT NULL,
      PRIMARY KEY (house_id, device, room_id, hour)
    );
    CREATE INDEX reading_hours_by_batch ON reading_hours (house_id, batch);
    CREATE INDEX reading_hours_of_device ON reading_hours (house_id, device, hour);
    CREATE INDEX reading_hours_of_room ON reading_hours (house_id, room_id, hour);

    INSERT INTO reading_hours
      SELECT house_id, device, coalesce(room_id, ''), date_trunc('hour', at, 'UTC'), count(*), 0,
        min(temperature), max(temperature), avg(temperature), min(humidity), max(humidity), avg(humidity), NULL, 0
      FROM readings GROUP BY 1, 2, 3, 4;
    UPDATE readings SET batch = 1;
    UPDATE reading_hours SET batch = 1;
    UPDATE houses SET air_seq = 1;

    CREATE TABLE weather_hours (
      house_id uuid NOT NULL REFERENCES houses ON DELETE CASCADE,
      hour timestamptz NOT NULL,
      temperature double precision NOT NULL,
      humidity double precision NOT NULL,
      asked_at timestamptz NOT NULL,
      PRIMARY KEY (house_id, hour)
    );

    CREATE FUNCTION tell_house_changed() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      PERFORM pg_notify('house_changed', to_jsonb(NEW) ->> TG_ARGV[0]);
      RETURN NULL;
    END $$;
    CREATE TRIGGER house_changed AFTER UPDATE ON houses FOR EACH ROW EXECUTE FUNCTION tell_house_changed('id');
    CREATE TRIGGER room_changed AFTER INSERT OR UPDATE ON rooms FOR EACH ROW EXECUTE FUNCTION tell_house_changed('house_id');
  `);
}
