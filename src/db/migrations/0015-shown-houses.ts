import type { QueryInterface } from 'sequelize';

/** Secret addresses under which a hand-over is shown to somebody who is not signed in, for a while; only their hash is kept. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE shown_houses (
      firm uuid NOT NULL,
      id uuid NOT NULL,
      house_id uuid NOT NULL,
      hash text NOT NULL,
      made_by uuid NOT NULL,
      made_at timestamptz NOT NULL,
      ends_at timestamptz NOT NULL,
      PRIMARY KEY (firm, id),
      UNIQUE (firm, hash),
      FOREIGN KEY (firm, house_id) REFERENCES houses ON DELETE CASCADE
    );
    -- Whose it is is not known yet when it is looked for.
    CREATE INDEX shown_houses_by_hash ON shown_houses (hash);
    ALTER TABLE shown_houses ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON shown_houses USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
  `);
}
