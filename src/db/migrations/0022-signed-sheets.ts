import type { QueryInterface } from 'sequelize';

/** Keeps what a builder signed on a share link, word for word, under its hash. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE signed_sheets (
      firm uuid NOT NULL,
      house_id uuid NOT NULL,
      hash text NOT NULL,
      sheet jsonb NOT NULL,
      PRIMARY KEY (firm, house_id, hash),
      FOREIGN KEY (firm, house_id) REFERENCES houses (firm, id) ON DELETE CASCADE
    );
    ALTER TABLE signed_sheets ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON signed_sheets USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
  `);
}
