import type { QueryInterface } from 'sequelize';

/** People, houses with their rooms, the log and the readings. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE people (
      id uuid PRIMARY KEY,
      name text NOT NULL,
      role text NOT NULL CHECK (role IN ('lead', 'finisher', 'viewer')),
      password_hash text NOT NULL
    );
    CREATE UNIQUE INDEX people_name ON people (lower(name));

    CREATE TABLE houses (
      id uuid PRIMARY KEY,
      head jsonb NOT NULL,
      time_zone text NOT NULL,
      version integer NOT NULL DEFAULT 1,
      next_seq integer NOT NULL DEFAULT 1
    );

    CREATE TABLE rooms (
      house_id uuid NOT NULL REFERENCES houses ON DELETE CASCADE,
      id text NOT NULL,
      position integer NOT NULL,
      version integer NOT NULL DEFAULT 1,
      room jsonb NOT NULL,
      PRIMARY KEY (house_id, id)
    );

    CREATE TABLE entries (
      id uuid PRIMARY KEY,
      house_id uuid NOT NULL REFERENCES houses ON DELETE CASCADE,
      seq integer NOT NULL,
      room_id text,
      kind text NOT NULL,
      at timestamptz NOT NULL,
      by uuid NOT NULL REFERENCES people,
      role text NOT NULL,
      payload jsonb NOT NULL,
      recorded_at timestamptz NOT NULL DEFAULT now(),
      UNIQUE (house_id, seq)
    );

    CREATE TABLE readings (
      house_id uuid NOT NULL REFERENCES houses ON DELETE CASCADE,
      device text NOT NULL,
      at timestamptz NOT NULL,
      room_id text,
      temperature double precision NOT NULL,
      humidity double precision NOT NULL,
      PRIMARY KEY (house_id, device, at)
    );
  `);
}
