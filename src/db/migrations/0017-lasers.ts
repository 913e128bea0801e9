import type { QueryInterface } from 'sequelize';

/** The key of a person's laser measure; only its hash is kept. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE lasers (
      firm uuid NOT NULL,
      person_id uuid NOT NULL,
      hash text NOT NULL,
      PRIMARY KEY (firm, person_id),
      UNIQUE (firm, hash),
      FOREIGN KEY (firm, person_id) REFERENCES people ON DELETE CASCADE
    );
    -- Whose it is is not known yet when it is looked for.
    CREATE INDEX lasers_by_hash ON lasers (hash);
    ALTER TABLE lasers ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON lasers USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
  `);
}
