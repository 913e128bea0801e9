import { setTimeout as pause } from 'node:timers/promises';
import { findHouse, type StoredHouse } from '../../db/houses';

const EVERY_MS = 50;
const LONGEST_MS = 5000;

/**
 * A house for a change of one version. What a page sends when it is left comes after a change that is on its way already,
 * and may overtake it: it waits a moment for that one.
 *
 * @param versionIn the version of what is changed; undefined where that is gone
 */
export async function afterTheOneBefore(
  id: string,
  version: number,
  versionIn: (house: StoredHouse) => number | undefined,
): Promise<StoredHouse | undefined> {
  for (let waited = 0; ; waited += EVERY_MS) {
    const house = await findHouse(id);
    if (!house || versionIn(house) !== version - 1 || waited >= LONGEST_MS) return house;
    await pause(EVERY_MS);
  }
}
