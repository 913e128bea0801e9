import type { QueryInterface } from 'sequelize';

/** `rooms_seq` counts rooms that are deleted by hand too: the application itself only marks them as removed. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TRIGGER rooms_deleted AFTER DELETE ON rooms REFERENCING OLD TABLE AS changed
      FOR EACH STATEMENT EXECUTE FUNCTION count_room_changes();
  `);
}
