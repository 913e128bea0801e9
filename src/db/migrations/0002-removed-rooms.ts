import type { QueryInterface } from 'sequelize';

/** A removed room stays for undo and for its part of the log. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query('ALTER TABLE rooms ADD COLUMN removed_at timestamptz');
}
