import type { QueryInterface } from 'sequelize';

/** What a secret address shows: the hand-over of a house, or the list of its hanger. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query("ALTER TABLE shown_houses ADD COLUMN what text NOT NULL DEFAULT 'handOver'");
}
