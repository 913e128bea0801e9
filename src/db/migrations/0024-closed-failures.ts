import type { QueryInterface } from 'sequelize';
import { ROWS_ROLE } from '../ownRows';

/** Wrong passwords are of no company: what is done for one neither reads nor writes them. */
export async function up({ sequelize }: QueryInterface): Promise<void> {
  await sequelize.query(`
    ALTER TABLE sign_in_failures ENABLE ROW LEVEL SECURITY;
    DO $$ BEGIN
      IF EXISTS (SELECT FROM pg_roles WHERE rolname = '${ROWS_ROLE}') THEN
        REVOKE ALL ON sign_in_failures FROM ${ROWS_ROLE};
      END IF;
    END $$`);
}
