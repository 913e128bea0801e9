import type { QueryInterface } from 'sequelize';

/** The plan of a crew for all of its houses. It takes the place of one for each house, and is made again from nothing. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    DROP TABLE house_plans;
    CREATE TABLE crew_plans (
      firm uuid PRIMARY KEY REFERENCES firms ON DELETE CASCADE,
      question text NOT NULL,
      plan jsonb NOT NULL
    );
    ALTER TABLE crew_plans ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON crew_plans USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
  `);
}
