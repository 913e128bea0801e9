import type { QueryInterface } from 'sequelize';

/** The secret address of a person's calendar; only its hash is kept. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE calendars (
      firm uuid NOT NULL,
      person_id uuid NOT NULL,
      hash text NOT NULL,
      PRIMARY KEY (firm, person_id),
      UNIQUE (firm, hash),
      FOREIGN KEY (firm, person_id) REFERENCES people ON DELETE CASCADE
    );
    -- Whose it is is not known yet when it is looked for.
    CREATE INDEX calendars_by_hash ON calendars (hash);
    ALTER TABLE calendars ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON calendars USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
  `);
}
