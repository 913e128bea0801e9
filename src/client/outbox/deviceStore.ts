import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { AwayHouse } from '@/contract/away';
import type { OutboxStore, UnsentGroup } from './outbox';

/** A house that a device keeps. */
export interface SeenMark {
  readonly id: string;
  readonly name: string;
  /** Whom it is kept for. */
  readonly who: string;
  /** The device's time when it was seen, ms since 1970. */
  readonly seenAt: number;
}

/** A house as it was seen last. */
export interface SeenHouse {
  readonly house: AwayHouse;
  readonly seenAt: number;
}

/** A photo that waits with the entries that name it. */
export interface UnsentPhoto {
  readonly id: string;
  readonly bytes: ArrayBuffer;
}

interface Kept extends DBSchema {
  unsent: { key: number; value: UnsentGroup; indexes: { id: string } };
  photos: { key: string; value: ArrayBuffer };
  seen: { key: string; value: SeenMark & { readonly packed: ArrayBuffer } };
}

const NAME = 'oak-tally';
let opened: Promise<IDBPDatabase<Kept>> | undefined;

/** What this device keeps; throws where the browser keeps nothing. */
function device(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>(NAME, 2, {
    upgrade(db, from) {
      if (from < 1) {
        db.createObjectStore('unsent', { autoIncrement: true }).createIndex('id', 'id', { unique: true });
        db.createObjectStore('seen');
      }
      db.createObjectStore('photos');
    },
    // A newer version of the application waits for nobody.
    blocking: () => void closeDevice(),
    terminated: () => {
      opened = undefined;
    },
  });
  opened.catch(() => {
    opened = undefined;
  });
  return opened;
}

/** Lets go of what is kept here, until it is asked for again. */
export async function closeDevice(): Promise<void> {
  const known = opened;
  opened = undefined;
  (await known)?.close();
}

/** The groups that wait on this device, in the order in which they came. */
export const deviceStore: OutboxStore = {
  add: (group) => addUnsent(group, []),
  all: async () => (await device()).getAll('unsent'),
  remove: async (ids) => {
    const write = (await device()).transaction(['unsent', 'photos'], 'readwrite');
    const groups = write.objectStore('unsent');
    for (const id of ids) {
      const cursor = await groups.index('id').openCursor(id);
      for (const photo of cursor?.value.photos ?? []) await write.objectStore('photos').delete(photo);
      await cursor?.delete();
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

/** Adds a group with the photos that it names: all of it is on disk, or nothing. */
export async function addUnsent(group: UnsentGroup, photos: readonly UnsentPhoto[]): Promise<void> {
  const write = (await device()).transaction(['unsent', 'photos'], 'readwrite', { durability: 'strict' });
  await Promise.all([
    ...photos.map(({ id, bytes }) => write.objectStore('photos').put(bytes, id)),
    write.objectStore('unsent').add(group),
    write.done,
  ]);
}

/** A photo that waits on this device. */
export const unsentPhoto = async (id: string): Promise<ArrayBuffer | undefined> => (await device()).get('photos', id);

/**
 * Keeps a house as it was seen; what was kept for somebody else who used this device goes.
 *
 * @param isGone whether it is not wanted any more: asked once it would be written
 */
export const keepSeen = async ({ house, seenAt }: SeenHouse, isGone = () => false): Promise<void> => {
  const packed = await gzipped(JSON.stringify(house));
  const store = await device();
  if (isGone()) return;
  const write = store.transaction('seen', 'readwrite');
  for (const other of await write.store.getAll()) if (other.who !== house.me.id) await write.store.delete(other.id);
  await write.store.put({ id: house.id, name: house.head.name, who: house.me.id, seenAt, packed }, house.id);
  await write.done;
};

/** The houses that this device keeps. */
export const seenMarks = async (): Promise<readonly SeenMark[]> =>
  (await (await device()).getAll('seen')).map(({ id, name, who, seenAt }) => ({ id, name, who, seenAt }));

/** A house as it was seen last. */
export const seenHouse = async (id: string): Promise<SeenHouse | undefined> => {
  const kept = await (await device()).get('seen', id);
  return kept && { house: JSON.parse(await gunzipped(kept.packed)), seenAt: kept.seenAt };
};

/** Forgets a house that was seen, or all of them; what was not sent stays. */
export const forgetSeen = async (house?: string): Promise<void> => {
  const kept = await device();
  await (house === undefined ? kept.clear('seen') : kept.delete('seen', house));
};

/** Twenty thousand entries say the same twenty thousand times. */
const gzipped = (text: string): Promise<ArrayBuffer> =>
  new Response(new Blob([text]).stream().pipeThrough(new CompressionStream('gzip'))).arrayBuffer();

const gunzipped = (packed: ArrayBuffer): Promise<string> =>
  new Response(new Blob([packed]).stream().pipeThrough(new DecompressionStream('gzip'))).text();
