import type { QueryInterface } from 'sequelize';

/** Photos of houses, as they were taken in; and what the clock of a device said where it was off. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE photos (
      firm uuid NOT NULL,
      id uuid NOT NULL,
      house_id uuid NOT NULL,
      by uuid NOT NULL,
      -- Of what was sent: the same photo sent again is the same.
      hash text NOT NULL,
      width integer NOT NULL,
      height integer NOT NULL,
      bytes bytea NOT NULL,
      recorded_at timestamptz NOT NULL,
      PRIMARY KEY (firm, id),
      FOREIGN KEY (firm, house_id) REFERENCES houses ON DELETE CASCADE
    );
    CREATE INDEX photos_of_house ON photos (firm, house_id);
    ALTER TABLE photos ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON photos USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
    ALTER TABLE entries ADD COLUMN device_at timestamptz;
  `);
}
