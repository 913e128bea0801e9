import { QueryTypes, type Transaction } from 'sequelize';
import { now } from './clock';
import { firm } from './firm';
import { models } from './models';

/** A photo as it is kept: upright, without anything but the picture. */
export interface KeptPhoto {
  readonly bytes: Buffer;
  readonly width: number;
  readonly height: number;
}

/**
 * Keeps a photo. The same one sent again is kept once; another under the same id, or under another house, is a conflict.
 *
 * @param hash of what was sent
 */
export async function keepPhoto(
  {
    id,
    houseId,
    by,
    hash,
  }: { readonly id: string; readonly houseId: string; readonly by: string; readonly hash: string },
  { bytes, width, height }: KeptPhoto,
): Promise<'kept' | 'conflict'> {
  const { sequelize } = models();
  await sequelize.query(
    `INSERT INTO photos (firm, id, house_id, by, hash, width, height, bytes, recorded_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9) ON CONFLICT DO NOTHING`,
    { bind: [firm(), id, houseId, by, hash, width, height, bytes, new Date(now())] },
  );
  const [row] = await sequelize.query<{ hash: string; house: string }>(
    'SELECT hash, house_id AS house FROM photos WHERE firm = $1 AND id = $2',
    { type: QueryTypes.SELECT, bind: [firm(), id] },
  );
  return row?.hash === hash && row.house === houseId ? 'kept' : 'conflict';
}

/** A photo of a house; undefined where the house has no such. */
export async function findPhoto(houseId: string, id: string): Promise<Buffer | undefined> {
  const [row] = await models().sequelize.query<{ bytes: Buffer }>(
    'SELECT bytes FROM photos WHERE firm = $1 AND house_id = $2 AND id = $3',
    { type: QueryTypes.SELECT, bind: [firm(), houseId, id] },
  );
  return row?.bytes;
}

/** Which of some ids are photos of a house. */
export async function photosAmong(
  ids: readonly string[],
  houseId: string,
  transaction: Transaction,
): Promise<ReadonlySet<string>> {
  if (ids.length === 0) return new Set();
  const rows = await models().sequelize.query<{ id: string }>(
    'SELECT id FROM photos WHERE firm = $1 AND house_id = $2 AND id = ANY($3)',
    { type: QueryTypes.SELECT, bind: [firm(), houseId, ids], transaction },
  );
  return new Set(rows.map(({ id }) => id));
}
