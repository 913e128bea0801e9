import type { QueryInterface } from 'sequelize';

/** How a firm's crew works (`core/work/crew.ts`), and when the painters come to a house and its rooms. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE crews (
      firm uuid PRIMARY KEY REFERENCES firms ON DELETE CASCADE,
      crew jsonb NOT NULL,
      version integer NOT NULL DEFAULT 1
    );
    ALTER TABLE crews ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_firm ON crews USING (firm = (SELECT nullif(current_setting('oak.firm', true), '')::uuid));
    CREATE INDEX assigned_entries ON entries (firm, house_id, room_id) WHERE kind = 'assigned';
    ALTER TABLE houses ADD dates jsonb NOT NULL DEFAULT '{"rooms": {}}';
  `);
}
