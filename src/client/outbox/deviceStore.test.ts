import { openDB } from 'idb';
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { AwayHouse } from '@/contract/away';
import { memoryDevice } from '../../../tests/setup/memoryDevice';
import {
  addUnsent,
  closeDevice,
  deviceStore,
  forgetSeen,
  keepSeen,
  leaveNothing,
  seenHouse,
  seenMarks,
  sentGroups,
  signOutsHere,
  unsentPhoto,
} from './deviceStore';
import type { UnsentGroup } from './outbox';

const group = (id: string): UnsentGroup => ({
  id,
  house: 'h1',
  who: 'tobin',
  version: 3,
  entries: [{ id: `${id}.1`, room: 'hall', at: '2031-05-06T11:00:00.000Z', kind: 'released', payload: {} }],
});
const seen = (id: string, made: number, who = 'tobin') =>
  ({ id, made, me: { id: who }, head: { name: `House ${id}` }, entries: [] as unknown }) as AwayHouse;
const keep = async (house: AwayHouse, seenAt: number) => keepSeen({ house, seenAt }, await signOutsHere());
const idsOf = async () => (await deviceStore.all()).map(({ id }) => id);

describe('what a device keeps', () => {
  beforeAll(memoryDevice);

  beforeEach(async () => {
    await deviceStore.remove(await idsOf());
    await leaveNothing();
  });

  it('is in the order in which it came, and takes nothing twice', async () => {
    for (const id of ['c', 'a', 'b']) await deviceStore.add(group(id));
    expect(await idsOf()).toEqual(['c', 'a', 'b']);
    await expect(deviceStore.add(group('a'))).rejects.toThrow();
    expect(await idsOf()).toEqual(['c', 'a', 'b']);
    await deviceStore.remove(['a', 'none']);
    await deviceStore.add(group('a'));
    expect(await idsOf()).toEqual(['c', 'b', 'a']);
  });

  it('knows what is recorded until the kept house has it', async () => {
    for (const id of ['a', 'b']) await deviceStore.add(group(id));
    await deviceStore.settle(['a', 'b']);
    expect(await idsOf()).toEqual([]);
    expect((await sentGroups()).map(({ id }) => id)).toEqual(['a', 'b']);
    await keep({ ...seen('h2', 6), entries: [{ id: 'a.1' }] as unknown as AwayHouse['entries'] }, 7);
    expect(await sentGroups()).toHaveLength(2);
    await keep({ ...seen('h1', 6), entries: [{ id: 'a.1' }] as unknown as AwayHouse['entries'] }, 8);
    expect((await sentGroups()).map(({ id }) => id)).toEqual(['b']);
    await leaveNothing();
    expect(await sentGroups()).toEqual([]);
  });

  it('marks what was refused where it stands', async () => {
    for (const id of ['a', 'b']) await deviceStore.add(group(id));
    await deviceStore.refuse('a', 'no such room');
    await deviceStore.refuse('none', 'nothing');
    expect(await deviceStore.all()).toEqual([{ ...group('a'), refused: 'no such room' }, group('b')]);
  });

  it('forgets the houses that were seen, and nothing that was not sent', async () => {
    await deviceStore.add(group('a'));
    await keep(seen('h1', 5), 7);
    await keep(seen('h1', 6), 8);
    await keep(seen('h2', 6), 8);
    expect(await seenMarks(9)).toEqual([
      { id: 'h1', name: 'House h1', who: 'tobin', seenAt: 8 },
      { id: 'h2', name: 'House h2', who: 'tobin', seenAt: 8 },
    ]);
    expect(await seenHouse('h1', 9)).toEqual({ house: seen('h1', 6), seenAt: 8 });
    expect(await seenHouse('h3', 9)).toBeUndefined();
    await forgetSeen('h2');
    expect((await seenMarks(9)).map(({ id }) => id)).toEqual(['h1']);
    await leaveNothing();
    expect(await seenMarks(9)).toEqual([]);
    expect(await idsOf()).toEqual(['a']);
  });

  it('forgets a house that was not seen for a month', async () => {
    const DAY = 86_400_000;
    await keep(seen('h1', 5), 0);
    await keep(seen('h2', 5), 2 * DAY);
    expect(await seenHouse('h1', 30 * DAY)).toBeDefined();
    expect(await seenHouse('h1', 30 * DAY + 1)).toBeUndefined();
    expect((await seenMarks(30 * DAY + 1)).map(({ id }) => id)).toEqual(['h2']);
    // It is gone, not only passed over.
    expect((await seenMarks(1)).map(({ id }) => id)).toEqual(['h2']);
  });

  it.each([
    [1, 'before it knew of photos', ['unsent', 'seen']],
    [2, 'before it counted who signed out', ['unsent', 'seen', 'photos']],
  ])('is still there as version %i of the application kept it, %s', async (version, _, stores) => {
    await closeDevice();
    await new Promise((resolve) => {
      indexedDB.deleteDatabase('oak-tally').onsuccess = resolve;
    });
    const old = await openDB('oak-tally', version, {
      upgrade(db) {
        for (const name of stores) {
          const store = db.createObjectStore(name, { autoIncrement: name === 'unsent' });
          if (name === 'unsent') store.createIndex('id', 'id', { unique: true });
        }
      },
    });
    await old.add('unsent', { ...group('a'), version: 2 });
    old.close();
    expect(await deviceStore.all()).toEqual([{ ...group('a'), version: 2 }]);
    await addUnsent({ ...group('b'), photos: ['p'] }, [{ id: 'p', bytes: new ArrayBuffer(3) }]);
    expect((await unsentPhoto('p'))?.byteLength).toBe(3);
    await deviceStore.remove(['b', 'a']);
    // A photo goes with the entries that name it.
    expect(await unsentPhoto('p')).toBeUndefined();
    await keep(seen('h1', 5), 7);
    await leaveNothing();
    expect([await seenMarks(9), await signOutsHere()]).toEqual([[], 1]);
  });

  it('is of one person: whoever comes next takes the houses of the one before away', async () => {
    await keep(seen('h1', 5), 7);
    await keep(seen('h2', 6, 'ines'), 8);
    expect((await seenMarks(9)).map(({ id, who }) => [id, who])).toEqual([['h2', 'ines']]);
  });
});
