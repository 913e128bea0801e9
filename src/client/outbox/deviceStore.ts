import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { AwayHouse } from '@/contract/away';
import type { OutboxStore, UnsentGroup } from './outbox';

/** A house as it was seen last, with the device's time then: ms since 1970. */
export interface SeenHouse {
  readonly house: AwayHouse;
  readonly seenAt: number;
}

interface Kept extends DBSchema {
  unsent: { key: number; value: UnsentGroup; indexes: { id: string } };
  seen: { key: string; value: SeenHouse };
}

const NAME = 'oak-tally';
let opened: Promise<IDBPDatabase<Kept>> | undefined;

/** What this device keeps; throws where the browser keeps nothing. */
function device(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>(NAME, 1, {
    upgrade(db) {
      db.createObjectStore('unsent', { autoIncrement: true }).createIndex('id', 'id', { unique: true });
      db.createObjectStore('seen');
    },
    // A newer version of the application waits for nobody.
    blocking: () => void forget(),
    terminated: () => {
      opened = undefined;
    },
  });
  opened.catch(() => {
    opened = undefined;
  });
  return opened;
}

async function forget(): Promise<void> {
  const known = opened;
  opened = undefined;
  (await known)?.close();
}

/** The groups that wait on this device, in the order in which they came. */
export const deviceStore: OutboxStore = {
  add: async (group) => {
    const write = (await device()).transaction('unsent', 'readwrite', { durability: 'strict' });
    await Promise.all([write.store.add(group), write.done]);
  },
  all: async () => (await device()).getAll('unsent'),
  remove: async (ids) => {
    const write = (await device()).transaction('unsent', 'readwrite');
    for (const id of ids) {
      const place = await write.store.index('id').getKey(id);
      if (place !== undefined) await write.store.delete(place);
    }
    await write.done;
  },
  refuse: async (id, why) => {
    const write = (await device()).transaction('unsent', 'readwrite');
    const cursor = await write.store.index('id').openCursor(id);
    if (cursor) await cursor.update({ ...cursor.value, refused: why });
    await write.done;
  },
};

/** Keeps a house as it was seen; what was kept for somebody else who used this device goes. */
export const keepSeen = async (seen: SeenHouse): Promise<void> => {
  const write = (await device()).transaction('seen', 'readwrite');
  for (const { house } of await write.store.getAll())
    if (house.me.id !== seen.house.me.id) await write.store.delete(house.id);
  await write.store.put(seen, seen.house.id);
  await write.done;
};

/** The houses that were seen on this device. */
export const seenHouses = async (): Promise<readonly SeenHouse[]> => (await device()).getAll('seen');

/** Forgets a house that was seen, or all of them; what was not sent stays. */
export const forgetSeen = async (house?: string): Promise<void> => {
  const kept = await device();
  await (house === undefined ? kept.clear('seen') : kept.delete('seen', house));
};
