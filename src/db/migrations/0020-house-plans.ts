import type { QueryInterface } from 'sequelize';

/** The plan of each house that stands (`core/plan/planHouse.ts`), so that every page and every server shows the same one. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE house_plans (
      firm uuid NOT NULL,
      house_id uuid NOT NULL,
      scope text NOT NULL,
      question text NOT NULL,
      plan jsonb NOT NULL,
      PRIMARY KEY (firm, house_id, scope),
      FOREIGN KEY (firm, house_id) REFERENCES houses (firm, id) ON DELETE CASCADE
    );
    ALTER TABLE house_plans ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON house_plans USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
  `);
}
