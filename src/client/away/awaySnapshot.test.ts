import { describe, expect, it } from 'vitest';
import type { AwayHouse } from '@/contract/away';
import { airClock } from '@/core/air/airClock';
import { type SourcedAir, withFans } from '@/core/air/roomAir';
import { takeOff, whatIsKept } from '@/core/joints/takeOff';
import { entriesThatCount } from '@/core/log/entriesThatCount';
import type { Entry, NewEntry } from '@/core/log/entry';
import { stateOf } from '@/core/log/stateOf';
import { houseSnapshot } from '@/core/snapshot/houseSnapshot';
import { logEntry, TOBIN } from '../../../tests/houses/logEntry';
import { roomOf } from '../../../tests/houses/readRooms';
import { awaySnapshot, serverTime } from './awaySnapshot';

const { house: head, room: made } = roomOf("A 12' x 10' x 8', door 32x80 wall 1 bead");
/** The room that entries of tests are about. */
const room = { ...made, id: 'room' };
const AIR: readonly SourcedAir[] = [
  { from: 0, air: { temperature: 20, humidity: 50 }, source: { kind: 'house' }, readAt: 0 },
];
const NOW = Date.parse('2031-05-06T16:00:00Z');
const HOUR = 3_600_000;
const DRYING = { kind: 'drying' } as const;
const coat = (kind: 'flat' | 'bead', key: 'tape' | 'fill', hoursAgo: number) =>
  ({
    kind: 'coat',
    at: NOW - hoursAgo * HOUR,
    payload: { class: kind, key, part: 1, mud: DRYING },
  }) as Parameters<typeof logEntry>[0];
const LOG = [
  logEntry(coat('flat', 'tape', 40)),
  logEntry({ kind: 'assigned', at: NOW - 30 * HOUR, payload: { work: 'fill', people: [TOBIN], day: '2031-05-05' } }),
  logEntry({ kind: 'assigned', at: NOW - 20 * HOUR, payload: { work: 'fill', people: [TOBIN], day: '2031-05-06' } }),
  logEntry(coat('bead', 'tape', 8)),
];
const seen = (entries: readonly Entry[]): AwayHouse => ({
  id: 'h1',
  made: NOW,
  timeZone: 'UTC',
  me: { id: TOBIN, name: 'Tobin', role: 'finisher' },
  people: [],
  head,
  rooms: [room],
  takeOffs: { [room.id]: whatIsKept(takeOff(room, head)) },
  entries: entriesThatCount(entries),
  airs: [AIR],
  airOf: { [room.id]: 0 },
  hasCalendar: false,
});
const unsent = (entries: readonly Entry[], more: object = {}) => ({
  id: 'g1',
  house: 'h1',
  who: TOBIN,
  version: 3,
  entries: entries.map(({ seq, by, role, recordedAt, ...sent }) => sent as NewEntry),
  ...more,
});
/** The same house as the server works it out. */
const served = (entries: readonly Entry[], now: number) =>
  houseSnapshot(
    head,
    [room],
    stateOf(entries),
    (_, fans) => airClock(withFans(AIR, fans)),
    now,
    (own) => whatIsKept(takeOff(own, head)),
  ).rooms.map(({ standing, progress, state }) => ({
    standing,
    progress,
    items: state.items,
    applied: state.applied.length,
  }));
const away = (of: AwayHouse, groups: readonly ReturnType<typeof unsent>[], now: number) =>
  awaySnapshot(of, groups, now).snapshot.rooms.map(({ standing, progress, state }) => ({
    standing,
    progress,
    items: state.items,
    applied: state.applied.length,
  }));

describe('a house that a device works out', () => {
  it('stands as on the server, and its clocks go on', () => {
    for (const hours of [0, 4, 30])
      expect(away(seen(LOG), [], NOW + hours * HOUR)).toEqual(served(LOG, NOW + hours * HOUR));
  });

  it('counts what was said on it, whenever that was, as the server will', () => {
    const said = [logEntry(coat('flat', 'fill', 1)), logEntry(coat('bead', 'fill', 0))];
    // Said on the way: it happened before what the server knows already.
    const late = logEntry({ kind: 'item', at: NOW - 35 * HOUR, payload: { text: 'a proud screw' } });
    const all = [...LOG, ...said, late];
    expect(away(seen(LOG), [unsent([...said, late])], NOW)).toEqual(served(all, NOW));
    expect(away(seen(LOG), [unsent(said)], NOW)).not.toEqual(served(LOG, NOW));
  });

  it('stands the same as text, and where it is kept since before take-offs were sent along', () => {
    const { takeOffs, ...before } = seen(LOG);
    expect(takeOffs?.[room.id]?.pieces.length).toBeGreaterThan(0);
    for (const kept of [JSON.parse(JSON.stringify(seen(LOG))), before])
      expect(away(kept, [], NOW)).toEqual(served(LOG, NOW));
  });

  it('may be worked out in the rooms alone in which something was handed to somebody', () => {
    const hall = { ...room, id: 'hall' };
    const house = { ...seen(LOG), rooms: [hall, room], airOf: { hall: 0, [room.id]: 0 } };
    const own = awaySnapshot(house, [], NOW, 'own').snapshot.rooms;
    expect(own.map(({ room: { id } }) => id)).toEqual([room.id]);
    expect(own[0]?.standing).toEqual(awaySnapshot(house, [], NOW).snapshot.rooms[1]?.standing);
    expect(awaySnapshot({ ...house, me: { ...house.me, id: 'ines' } }, [], NOW, 'own').snapshot.rooms).toEqual([]);
  });

  it('counts once what was recorded and whose answer was lost', () => {
    const said = logEntry(coat('flat', 'fill', 1));
    expect(away(seen([...LOG, said]), [unsent([said])], NOW)).toEqual(served([...LOG, said], NOW));
  });

  it('leaves out what was refused, what is of another house, and what somebody else said', () => {
    const said = [logEntry(coat('flat', 'fill', 1))];
    for (const more of [{ refused: 'no' }, { house: 'h2' }, { who: 'somebody' }])
      expect(away(seen(LOG), [unsent(said, more)], NOW)).toEqual(served(LOG, NOW));
  });

  it('takes back what was said, on the device or before', () => {
    const void_ = logEntry({ kind: 'void', at: NOW, payload: { target: LOG[3]?.id ?? '' } });
    expect(away(seen(LOG), [unsent([void_])], NOW)).toEqual(served([...LOG, void_], NOW));
  });
});

describe('the time on a device', () => {
  it('goes by how long ago it heard the server’s, whatever its own clock says', () => {
    const ahead = NOW + 70 * 60_000;
    const house = seen(LOG);
    expect(serverTime({ house, seenAt: ahead }, ahead + 2 * HOUR)).toBe(NOW + 2 * HOUR);
    // A clock that was set back tells nothing.
    expect(serverTime({ house, seenAt: ahead }, ahead - HOUR)).toBe(NOW);
  });
});
