import type { QueryInterface } from 'sequelize';

/** A room's storey is its floor, as in version 2 of the house file; a level is one of finish. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    UPDATE rooms SET room = (room - 'level') || jsonb_build_object('floor', room -> 'level')
     WHERE room ? 'level' AND NOT room ? 'floor';
  `);
}
