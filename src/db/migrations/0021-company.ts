import type { QueryInterface } from 'sequelize';

/** Adds what stands at the head of a company's sheets. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    ALTER TABLE firms ADD COLUMN address text NOT NULL DEFAULT '', ADD COLUMN license text NOT NULL DEFAULT '';
  `);
}
