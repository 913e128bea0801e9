import type { QueryInterface } from 'sequelize';

/** Which changes were kept last of what a page changes at once (`db/chain.ts`): a house's method, the order of its rooms; a
 * room's method, its place. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    ALTER TABLE houses ADD head_chain uuid[] NOT NULL DEFAULT '{}', ADD order_chain uuid[] NOT NULL DEFAULT '{}';
    ALTER TABLE rooms ADD chain uuid[] NOT NULL DEFAULT '{}', ADD place_chain uuid[] NOT NULL DEFAULT '{}';
  `);
}
