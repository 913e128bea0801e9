import { describe, expect, it } from 'vitest';
import { logEntry as entry } from '../../tests/houses/logEntry';
import { roomOf } from '../../tests/houses/readRooms';
import { airClock } from '../core/air/airClock';
import type { SourcedAir } from '../core/air/roomAir';
import { HouseLog } from '../core/log/houseLog';
import { NO_CATALOGUE } from '../core/materials/catalogue';
import type { StoredHouse } from '../db/houses';
import type { LoadedAir } from './cachedAir';
import { cachedSnapshot } from './cachedSnapshot';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const MINUTE_MS = 60_000;
const AIR: SourcedAir = { from: 0, air: { temperature: 20, humidity: 50 }, source: { kind: 'house' }, readAt: 0 };
const air: LoadedAir = {
  of: () => airClock([AIR]),
  weather: { hours: [], askedAt: undefined } as unknown as LoadedAir['weather'],
  places: new Set(),
};
const { room: read, house: head } = roomOf("A 12' x 10' x 8', door 32x80 wall 1");
const room = { ...read, id: 'room' };
const stored = (seq: number, roomsSeq = 0): StoredHouse =>
  ({ id: 'h', head, rooms: [{ room, version: 1 }], seq, airSeq: 0, roomsSeq }) as unknown as StoredHouse;
const tape = entry({
  kind: 'coat',
  at: NOW - MINUTE_MS,
  payload: { class: 'flat', key: 'tape', part: 1, mud: { kind: 'setting', minutes: 20 } },
});

describe('a house that is asked for again', () => {
  it('is the same for a minute, and another as soon as something was said, changed, bought or dries', async () => {
    const log = new HouseLog();
    const ground = { house: stored(0), log, air, catalogue: NO_CATALOGUE };
    const first = await cachedSnapshot(ground, NOW);
    expect(await cachedSnapshot({ ...ground, house: stored(0) }, NOW + MINUTE_MS - 1)).toBe(first);
    const later = await cachedSnapshot(ground, NOW + MINUTE_MS);
    expect(later).not.toBe(first);
    // A clock that is put back finds what was then, worked out for itself.
    expect(await cachedSnapshot(ground, NOW)).not.toBe(later);

    log.add([{ ...tape, seq: 1 }]);
    const coated = await cachedSnapshot({ ...ground, house: stored(1) }, NOW);
    expect(coated.snapshot.rooms[0]?.applied.coats.size).toBe(1);
    expect(coated.changesAt).toBeGreaterThan(NOW);
    const changed = await cachedSnapshot({ ...ground, house: stored(1, 1) }, NOW);
    expect(changed).not.toBe(coated);
    const dearer = { products: { taping: { price: 9 } }, offcuts: [] };
    expect((await cachedSnapshot({ ...ground, house: stored(1, 1), catalogue: dearer }, NOW)).snapshot.catalogue).toBe(
      dearer,
    );
    expect(await cachedSnapshot({ ...ground, house: stored(1, 1), air: { ...air } }, NOW)).not.toBe(changed);
  });

  it('takes rooms of which nothing was said from before, and is what it would be without', async () => {
    const log = new HouseLog();
    const rooms = [room, { ...room, id: 'other' }].map((own) => ({ room: own, version: 1 }));
    const house = (seq: number, from = head) => ({ ...stored(seq), id: 'two', head: from, rooms });
    const ground = { house: house(0), log, air, catalogue: NO_CATALOGUE };
    const before = await cachedSnapshot(ground, NOW);
    log.add([{ ...tape, seq: 1 }]);
    const after = await cachedSnapshot({ ...ground, house: house(1) }, NOW + 30_000);
    expect(after.snapshot.rooms[1]).toBe(before.snapshot.rooms[1]);
    expect(after.snapshot.rooms[0]?.applied.coats.size).toBe(1);
    const alone = await cachedSnapshot({ ...ground, house: { ...house(1), id: 'alone' } }, NOW + 30_000);
    const told = ({ snapshot }: typeof after) => [
      snapshot.progress,
      snapshot.rooms.map(({ hours, standing }) => [hours, standing]),
    ];
    expect(told(after)).toEqual(told(alone));
    // A minute after the first of its rooms was worked out all are; so is another method at once.
    expect((await cachedSnapshot({ ...ground, house: house(1) }, NOW + MINUTE_MS)).snapshot.rooms[1]).not.toBe(
      before.snapshot.rooms[1],
    );
    const another = { ...head, method: { ...head.method, tape: 'mesh' as const, mud: 'settingFirst' as const } };
    const [first] = (await cachedSnapshot({ ...ground, house: house(1, another) }, NOW + 30_000)).snapshot.rooms;
    expect(first?.method.all.tape).toBe('mesh');
  });

  it('is worked out anew when something of it dries within the minute', async () => {
    const log = new HouseLog();
    log.add([{ ...tape, seq: 1 }]);
    const ground = { house: { ...stored(1), id: 'other' }, log, air, catalogue: NO_CATALOGUE };
    const ready = (await cachedSnapshot(ground, NOW)).changesAt ?? 0;
    const before = await cachedSnapshot(ground, ready - 10_000);
    expect(ready).toBeGreaterThan(NOW);
    expect(before.changesAt).toBe(ready);
    expect(await cachedSnapshot(ground, ready - 1)).toBe(before);
    const after = await cachedSnapshot(ground, ready);
    expect(after).not.toBe(before);
    expect(after.changesAt ?? Number.POSITIVE_INFINITY).toBeGreaterThan(ready);
  });
});
