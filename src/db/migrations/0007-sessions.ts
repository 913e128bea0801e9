import type { QueryInterface } from 'sequelize';
import { foldName } from '../../core/log/foldName';

/**
 * Who is signed in stands in the database, by the hash of what the browser keeps, and ends there; whoever listens is told.
 * Names are compared as the application folds them. People who left stay in the record.
 */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE sessions (
      hash text PRIMARY KEY,
      id uuid NOT NULL UNIQUE,
      person_id uuid NOT NULL REFERENCES people ON DELETE CASCADE,
      device text NOT NULL,
      made_at timestamptz NOT NULL,
      seen_at timestamptz NOT NULL
    );
    CREATE INDEX sessions_person ON sessions (person_id);

    CREATE FUNCTION tell_session_ended() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      PERFORM pg_notify('session_ended', OLD.id::text);
      RETURN NULL;
    END $$;
    CREATE TRIGGER session_ended AFTER DELETE ON sessions FOR EACH ROW EXECUTE FUNCTION tell_session_ended();

    CREATE TABLE sign_in_failures (key varchar(255) PRIMARY KEY, points integer NOT NULL DEFAULT 0, expire bigint);

    ALTER TABLE people ADD folded text, ADD removed_at timestamptz;
    DROP INDEX people_name;
  `);
  const [people] = (await query.sequelize.query('SELECT id, name FROM people')) as [
    { id: string; name: string }[],
    unknown,
  ];
  for (const { id, name } of people)
    await query.sequelize.query('UPDATE people SET folded = $2 WHERE id = $1', { bind: [id, foldName(name)] });
  await query.sequelize.query(`
    ALTER TABLE people ALTER folded SET NOT NULL;
    CREATE UNIQUE INDEX people_folded ON people (folded) WHERE removed_at IS NULL;
  `);
}
