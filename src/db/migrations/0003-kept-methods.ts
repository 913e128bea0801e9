import type { QueryInterface } from 'sequelize';

/** Methods that leads keep to start other houses from. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    CREATE TABLE methods (
      id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
      name text NOT NULL UNIQUE,
      unit text NOT NULL,
      choices jsonb NOT NULL,
      kept_by uuid NOT NULL REFERENCES people (id),
      kept_at timestamptz NOT NULL DEFAULT now()
    )
  `);
}
