import { hash } from '@node-rs/argon2';
import { QueryTypes } from 'sequelize';
import { foldName } from '../core/log/foldName';
import { acrossFirms, inFirm } from './firm';
import { models } from './models';
import type { Member } from './people';

/** What the firm of a first start is called when nobody says. */
const OUR_FIRM = 'Our firm';

/** How many firms share this server. */
export async function countFirms(): Promise<number> {
  const [row] = await ask<{ count: number }>('SELECT count(*)::int AS count FROM firms');
  return row?.count ?? 0;
}

/** The id of the firm of this name; without one, of the only firm that there is. */
export async function findFirm(name: string): Promise<string | undefined> {
  const folded = foldName(name);
  const rows = await ask<{ id: string }>("SELECT id FROM firms WHERE folded = $1 OR $1 = '' LIMIT 2", [folded]);
  return rows.length === 1 ? rows[0]?.id : undefined;
}

/**
 * Adds a firm with its first lead.
 *
 * @param first only when there is none yet
 * @returns undefined when the name is taken, or somebody was quicker to be the first
 */
export async function addFirm(
  name: string,
  lead: string,
  password: string,
  { first = false } = {},
): Promise<Member | undefined> {
  const { sequelize, PersonRow } = models();
  const passwordHash = await hash(password);
  const called = name.trim() === '' ? OUR_FIRM : name.trim();
  return acrossFirms(() =>
    sequelize.transaction(async (transaction) => {
      await sequelize.query('LOCK TABLE firms IN SHARE ROW EXCLUSIVE MODE', { transaction });
      const [made] = await sequelize.query<{ id: string }>(
        `INSERT INTO firms (name, folded) SELECT $1, $2 WHERE NOT $3 OR NOT EXISTS (SELECT FROM firms)
       ON CONFLICT DO NOTHING RETURNING id`,
        { bind: [called, foldName(called), first], type: QueryTypes.SELECT, transaction },
      );
      if (!made) return undefined;
      const who = { name: lead.trim(), role: 'lead' as const };
      const { id } = await inFirm(made.id, () =>
        PersonRow.create({ ...who, folded: foldName(lead), passwordHash }, { transaction }),
      );
      return { firm: made.id, id, ...who };
    }),
  );
}

const ask = <Row extends object>(sql: string, bind: readonly string[] = []): Promise<Row[]> =>
  acrossFirms(() => models().sequelize.query<Row>(sql, { type: QueryTypes.SELECT, bind: [...bind] }));
