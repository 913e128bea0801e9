import { airClock } from '@/core/air/airClock';
import type { SourcedAir } from '@/core/air/roomAir';
import { takeOff, whatIsKept } from '@/core/joints/takeOff';
import type { Entry } from '@/core/log/entry';
import { NOTHING_YET } from '@/core/log/roomState';
import { stateOf } from '@/core/log/stateOf';
import type { Coat } from '@/core/method/coat';
import { houseSnapshot } from '@/core/snapshot/houseSnapshot';
import { logEntry } from './logEntry';
import { roomOf } from './readRooms';

export const HOUR = 3_600_000;
export const { house, room } = roomOf("Pantry 7'6 x 5' x 8', door 28x80 wall 2");
const AIR = airClock<SourcedAir>([
  { from: 0, air: { temperature: 21, humidity: 50 }, source: { kind: 'house' }, readAt: 0 },
]);
export const off = takeOff(room, house);
/** Returns the room as it stands at an instant (ms since 1970) by some entries. */
export const snapshotAt = (entries: readonly Entry[], now: number, of = house) => {
  const states = new Map([[room.id, stateOf(entries).get('room') ?? NOTHING_YET]]);
  const [own] = houseSnapshot(
    of,
    [room],
    states,
    () => AIR,
    now,
    () => whatIsKept(off),
  ).rooms;
  if (!own) throw new Error('the house has its room');
  return own;
};
export const EMPTY = snapshotAt([], 0);
/** Every coat, a day apart. */
export const coats = (some: readonly Coat[] = EMPTY.coats): readonly Entry[] =>
  some.map(({ class: kind, key, side }) =>
    logEntry({
      kind: 'coat',
      at: EMPTY.coats.findIndex((coat) => coat.class === kind && coat.key === key && coat.side === side) * 30 * HOUR,
      payload: { class: kind, key, ...(side ? { side } : {}), part: 1, mud: { kind: 'drying' } },
    }),
  );
/** Every coat has dried long before. */
export const LATE = EMPTY.coats.length * 30 * HOUR + 200 * HOUR;
export const sanded = (at: number, more: object = {}) => logEntry({ kind: 'sanded', at, payload: more });
