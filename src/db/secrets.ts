import { QueryTypes } from 'sequelize';
import type { SecretKind } from '../core/log/choices';
import { firm } from './firm';
import { models } from './models';

/** The table that keeps the hashes of each kind. */
const TABLES: Readonly<Record<SecretKind, string>> = { calendar: 'calendars', laser: 'lasers' };

/** A secret that opens something for a person, beside their sign-ins. */
export interface SecretOf {
  readonly person: string;
  readonly kind: SecretKind;
}

/** Returns which secrets a person has, or everybody of the firm. */
export function listSecrets(person?: string): Promise<readonly SecretOf[]> {
  const own = person === undefined ? '' : 'AND person_id = $2';
  const selects = Object.entries(TABLES).map(
    ([kind, table]) => `SELECT person_id AS person, '${kind}' AS kind FROM ${table} WHERE firm = $1 ${own}`,
  );
  return models().sequelize.query<SecretOf>(`${selects.join(' UNION ALL ')} ORDER BY kind`, {
    type: QueryTypes.SELECT,
    bind: person === undefined ? [firm()] : [firm(), person],
  });
}

/** Ends a secret of a person: what it opened answers no more. */
export async function endSecret({ person, kind }: SecretOf): Promise<void> {
  await models().sequelize.query(`DELETE FROM ${TABLES[kind]} WHERE firm = $1 AND person_id = $2`, {
    bind: [firm(), person],
  });
}
