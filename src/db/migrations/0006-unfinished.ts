import type { QueryInterface } from 'sequelize';

/** Work that was begun and must be done anew if its mark is still there at the next start. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query('CREATE TABLE unfinished (work text PRIMARY KEY)');
}
