import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import { NO_CATALOGUE } from '../core/materials/catalogue';
import { type Catalogue, catalogueSchema } from '../core/materials/catalogueSchema';
import { firm } from './firm';
import { models } from './models';

/** What the firm buys, and the version that a save meets; 0 before anything was said. */
export interface StoredCatalogue {
  readonly catalogue: Catalogue;
  readonly version: number;
}

/** The same text is the same catalogue: what was worked out with it holds. */
const read = new LRUCache<string, Catalogue>({ max: 200 });

export async function readCatalogue(): Promise<StoredCatalogue> {
  const [row] = await models().sequelize.query<{ catalogue: string; version: number }>(
    'SELECT catalogue::text AS catalogue, version FROM catalogues WHERE firm = $1',
    { type: QueryTypes.SELECT, bind: [firm()] },
  );
  if (!row) return { catalogue: NO_CATALOGUE, version: 0 };
  const known = read.get(row.catalogue);
  if (known) return { catalogue: known, version: row.version };
  const reading = catalogueSchema.safeParse(JSON.parse(row.catalogue));
  const catalogue = reading.success ? reading.data : NO_CATALOGUE;
  read.set(row.catalogue, catalogue);
  return { catalogue, version: row.version };
}

/**
 * Saves what the firm buys over the version that was seen.
 *
 * @returns the version that it makes, or undefined when somebody else saved in between
 */
export async function saveCatalogue(version: number, catalogue: Catalogue): Promise<number | undefined> {
  const bind = [firm(), JSON.stringify(catalogue), version];
  const [made] = await models().sequelize.query<{ version: number }>(
    version === 0
      ? `INSERT INTO catalogues (firm, catalogue, version) VALUES ($1, $2, $3::int + 1) ON CONFLICT DO NOTHING RETURNING version`
      : `UPDATE catalogues SET catalogue = $2, version = version + 1 WHERE firm = $1 AND version = $3 RETURNING version`,
    { type: QueryTypes.SELECT, bind },
  );
  return made?.version;
}
