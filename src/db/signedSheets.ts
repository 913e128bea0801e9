import { QueryTypes } from 'sequelize';
import { firm } from './firm';
import { models } from './models';

/** Stores a signed sheet under its hash. Does nothing if the hash is stored already. */
export async function keepSheet(houseId: string, hash: string, sheet: object): Promise<void> {
  await models().sequelize.query(
    `INSERT INTO signed_sheets (firm, house_id, hash, sheet)
     SELECT $1, $2, $3, $4::jsonb WHERE EXISTS (SELECT FROM houses WHERE firm = $1 AND id = $2)
     ON CONFLICT DO NOTHING`,
    { bind: [firm(), houseId, hash, JSON.stringify(sheet)] },
  );
}

/** Reads a signed sheet; `undefined` for an unknown hash. */
export async function readSheet(houseId: string, hash: string): Promise<object | undefined> {
  const [row] = await models().sequelize.query<{ sheet: object }>(
    'SELECT sheet FROM signed_sheets WHERE firm = $1 AND house_id = $2 AND hash = $3',
    { type: QueryTypes.SELECT, bind: [firm(), houseId, hash] },
  );
  return row?.sheet;
}
