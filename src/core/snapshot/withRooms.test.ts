import { describe, expect, it } from 'vitest';
import { logEntry as entry } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { roomWithStock } from '../estimate/betterStock';
import { takeOff, whatIsKept } from '../joints/takeOff';
import { openWork } from '../schedule/planInputOf';
import { withRooms } from './withRooms';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const { room, snapshotWith } = oneRoomSnapshot("A 16' x 12' x 9', door 32x80 wall 1", NOW);
const HOUSE = snapshotWith([]).house;
const wider = roomWithStock(room, HOUSE, 'wider');
const others = new Map([[room.id, { room: wider, taken: whatIsKept(takeOff(wider, HOUSE)) }]]);

describe('a house with other boards', () => {
  it('has the work of what they make: two courses of 54 in where three of 48 were', () => {
    const before = snapshotWith([]);
    const [now, then] = [before.rooms[0], withRooms(before, others).rooms[0]];
    if (!now || !then) throw new Error('the house has its room');
    expect(then.tally.classes.flat.length).toBeLessThan(now.tally.classes.flat.length);
    expect(then.tally).toEqual(takeOff(wider, HOUSE).tally);
    const hours = (snapshot: typeof now, work: string) =>
      openWork(snapshot, NOW).find((item) => item.work === work)?.hours ?? 0;
    for (const work of ['tape.flat', 'fill.flat']) expect(hours(then, work)).toBeLessThan(hours(now, work));
    expect(hours(then, 'tape.bead')).toBe(hours(now, 'tape.bead'));
  });

  it('keeps the boards that are under mud', () => {
    const tape = entry({
      kind: 'coat',
      at: NOW - 3_600_000,
      payload: { class: 'flat', key: 'tape', part: 0.5, mud: { kind: 'drying' } },
    });
    const begun = snapshotWith([tape]);
    expect(withRooms(begun, others).rooms[0]).toBe(begun.rooms[0]);
  });
});
