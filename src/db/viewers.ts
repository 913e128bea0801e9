import { QueryTypes } from 'sequelize';
import { firm } from './firm';
import { models } from './models';
import type { Member } from './people';

/** Whether a house is for somebody: a viewer was let into it, everybody else is of its firm. */
export async function isOpenTo({ id, role }: Member, houseId: string): Promise<boolean> {
  if (role !== 'viewer') return true;
  const rows = await ask('SELECT FROM house_viewers WHERE firm = $1 AND house_id = $2 AND person_id = $3', [
    firm(),
    houseId,
    id,
  ]);
  return rows.length > 0;
}

/** The houses that viewers were let into. */
export const listViewers = (): Promise<readonly { readonly house: string; readonly person: string }[]> =>
  ask('SELECT house_id AS house, person_id AS person FROM house_viewers WHERE firm = $1', [firm()]);

/** Lets a viewer into a house; false when one of them is gone, or is no viewer. */
export async function letIn(houseId: string, person: string): Promise<boolean> {
  const rows = await ask(
    `WITH let AS (
       INSERT INTO house_viewers (firm, house_id, person_id)
       SELECT houses.firm, houses.id, people.id FROM houses JOIN people ON people.firm = houses.firm
       WHERE houses.firm = $1 AND houses.id = $2 AND people.id = $3 AND role = 'viewer' AND removed_at IS NULL
       ON CONFLICT (firm, house_id, person_id) DO UPDATE SET person_id = excluded.person_id RETURNING firm
     ) SELECT firm FROM let`,
    [firm(), houseId, person],
  );
  return rows.length > 0;
}

/** Lets a viewer into a house no more. */
export async function shutOut(houseId: string, person: string): Promise<void> {
  await ask('DELETE FROM house_viewers WHERE firm = $1 AND house_id = $2 AND person_id = $3 RETURNING firm', [
    firm(),
    houseId,
    person,
  ]);
}

const ask = <Row extends object>(sql: string, bind: readonly string[]): Promise<Row[]> =>
  models().sequelize.query<Row>(sql, {
    type: QueryTypes.SELECT,
    bind: [...bind],
  });
