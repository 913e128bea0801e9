import { LRUCache } from 'lru-cache';
import { HouseLog } from '../core/log/houseLog';
import { listEntries } from '../db/entries';
import type { StoredHouse } from '../db/houses';

/** Of so many entries together what they fold to is kept in memory; a house weighs at least as much as its frame. */
const MOST_ENTRIES = 150_000;
const FRAME = 100;
const logs = new LRUCache<string, HouseLog>({ maxSize: MOST_ENTRIES });

/** The log of a house. Only entries that came since the last request are read, and only their rooms folded anew. */
export async function cachedLog({ id, seq }: Pick<StoredHouse, 'id' | 'seq'>): Promise<HouseLog> {
  const known = logs.get(id);
  // A log that is ahead of its house is one of before the database was put back.
  const log = known && known.seq <= seq ? known : new HouseLog();
  if (log.seq < seq) log.add(await listEntries(id, log.seq));
  logs.set(id, log, { size: Math.min(MOST_ENTRIES, log.size + FRAME) });
  return log;
}
