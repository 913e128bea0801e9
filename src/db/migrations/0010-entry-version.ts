import type { QueryInterface } from 'sequelize';

/** The version of an entry; those that are there are of the first, and are lifted when they are read (`liftPayload`). */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`ALTER TABLE entries ADD version smallint NOT NULL DEFAULT 1;`);
}
