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
  /** Groups that the server recorded, each until the house kept on the device shows it. */
  sent: { key: string; value: UnsentGroup };
  seen: { key: string; value: SeenMark & { readonly packed: ArrayBuffer } };
  /** One count: how often somebody signed out. */
  signOuts: { key: string; value: number };
}

const NAME = 'oak-tally';
const COUNT = 'count';
let opened: Promise<IDBPDatabase<Kept>> | undefined;

/** What this device keeps; throws where the browser keeps nothing. */
function device(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>(NAME, 4, {
    upgrade(db, from) {
      if (from < 1) {
        db.createObjectStore('unsent', { autoIncrement: true }).createIndex('id', 'id', { unique: true });
        db.createObjectStore('seen');
      }
      if (from < 2) db.createObjectStore('photos');
      if (from < 3) db.createObjectStore('signOuts');
      db.createObjectStore('sent', { keyPath: 'id' });
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
  remove: (ids) => takeOut(ids, false),
  settle: (ids) => takeOut(ids, true),
  refuse: async (id, why, asks, entries) => {
    const write = (await device()).transaction('unsent', 'readwrite');
    const cursor = await write.store.index('id').openCursor(id);
    if (cursor)
      await cursor.update({ ...cursor.value, refused: why, ...(asks && { asks }), ...(entries && { entries }) });
    await write.done;
  },
};

/** Takes groups out with their photos, and keeps them as recorded. */
async function takeOut(ids: readonly string[], isRecorded: boolean): Promise<void> {
  const write = (await device()).transaction(['unsent', 'photos', 'sent'], 'readwrite');
  const groups = write.objectStore('unsent');
  for (const id of ids) {
    const cursor = await groups.index('id').openCursor(id);
    for (const photo of cursor?.value.photos ?? []) await write.objectStore('photos').delete(photo);
    if (cursor && isRecorded) await write.objectStore('sent').put(cursor.value);
    await cursor?.delete();
  }
  await write.done;
}

/** Returns the groups that the server recorded and that the houses kept on the device do not show yet. */
export const sentGroups = async (): Promise<readonly UnsentGroup[]> => (await device()).getAll('sent');

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
 * @param asked the count of sign-outs when the house was asked for: after another one, in whichever tab, it is not kept
 */
export const keepSeen = async ({ house, seenAt }: SeenHouse, asked: number): Promise<void> => {
  const packed = await gzipped(JSON.stringify(house));
  const write = (await device()).transaction(['seen', 'sent', 'signOuts'], 'readwrite');
  const seen = write.objectStore('seen');
  if ((await countOf(write.objectStore('signOuts'))) === asked) {
    const known = new Set(house.entries.map(({ id }) => id));
    const sent = write.objectStore('sent');
    for (const group of await sent.getAll())
      if (group.house === house.id && group.entries.every(({ id }) => known.has(id))) await sent.delete(group.id);
    for (const other of await seen.getAll()) if (other.who !== house.me.id) await seen.delete(other.id);
    await seen.put({ id: house.id, name: house.head.name, who: house.me.id, seenAt, packed }, house.id);
  }
  await write.done;
};

/** How often somebody signed out on this device. */
export const signOutsHere = async (): Promise<number> =>
  countOf((await device()).transaction('signOuts').objectStore('signOuts'));

const countOf = async (signOuts: { readonly get: (key: string) => Promise<number | undefined> }): Promise<number> =>
  (await signOuts.get(COUNT)) ?? 0;

/** Houses last seen longer ago are deleted: the device may no longer belong to the crew. ms */
const KEPT_MS = 30 * 86_400_000;

/**
 * Returns the houses that this device keeps, and forgets those that were not seen for a month.
 *
 * @param at the device's time, ms since 1970
 */
export const seenMarks = async (at = Date.now()): Promise<readonly SeenMark[]> => {
  const all = await (await device()).getAll('seen');
  const old = all.filter(({ seenAt }) => at - seenAt > KEPT_MS);
  for (const { id } of old) await forgetSeen(id);
  return all.flatMap((kept) => {
    const { id, name, who, seenAt } = kept;
    return old.includes(kept) ? [] : [{ id, name, who, seenAt }];
  });
};

/** A house as it was seen last. */
export const seenHouse = async (id: string, at = Date.now()): Promise<SeenHouse | undefined> => {
  const kept = await (await device()).get('seen', id);
  if (kept && at - kept.seenAt > KEPT_MS) return undefined;
  return kept && { house: JSON.parse(await gunzipped(kept.packed)), seenAt: kept.seenAt };
};

/** Forgets a house that was seen; what was not sent stays. */
export const forgetSeen = async (house: string): Promise<void> => (await device()).delete('seen', house);

/** Somebody signs out: forgets all houses that were seen, and those that are on their way to this device; what was not sent stays. */
export const leaveNothing = async (): Promise<void> => {
  const write = (await device()).transaction(['seen', 'sent', 'signOuts'], 'readwrite');
  const signOuts = write.objectStore('signOuts');
  await write.objectStore('seen').clear();
  await write.objectStore('sent').clear();
  await signOuts.put((await countOf(signOuts)) + 1, COUNT);
  await write.done;
};

/** Twenty thousand entries say the same twenty thousand times. */
const gzipped = (text: string): Promise<ArrayBuffer> =>
  new Response(new Blob([text]).stream().pipeThrough(new CompressionStream('gzip'))).arrayBuffer();

const gunzipped = (packed: ArrayBuffer): Promise<string> =>
  new Response(new Blob([packed]).stream().pipeThrough(new DecompressionStream('gzip'))).text();
