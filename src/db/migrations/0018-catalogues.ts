import type { QueryInterface } from 'sequelize';

/** What a firm buys and for how much, and what of it lies in its vans (`core/materials/catalogueSchema.ts`). */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE catalogues (
      firm uuid PRIMARY KEY REFERENCES firms ON DELETE CASCADE,
      catalogue jsonb NOT NULL,
      version integer NOT NULL DEFAULT 1
    );
    ALTER TABLE catalogues ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON catalogues USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
  `);
}
