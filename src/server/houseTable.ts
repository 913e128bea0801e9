import type { HouseSnapshot } from '../core/snapshot/houseSnapshot';
import { loadSnapshot } from './loadSnapshot';
import { openHouse } from './openHouse';
import { refuse } from './refuse';

/**
 * `GET …/csv?of=TABLE`: a house as a table, for those whose house it is.
 *
 * @param write the table as text; undefined where there is no such
 */
export const houseTable = (
  house: string,
  table: string,
  write: (snapshot: HouseSnapshot) => string | undefined,
): Promise<Response> =>
  openHouse(house, async ({ id }) => {
    const { snapshot } = await loadSnapshot(id);
    const text = write(snapshot);
    if (text === undefined) return refuse(404, 'There is no such table.');
    return new Response(text, {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': `attachment; filename="${table}.csv"`,
        'cache-control': 'no-store',
      },
    });
  });
