import type { AwayHouse } from '@/contract/away';
import { airClock } from '@/core/air/airClock';
import { type FanFrom, type SourcedAir, withFans } from '@/core/air/roomAir';
import { takeOff, whatIsKept } from '@/core/joints/takeOff';
import type { Entry, NewEntry } from '@/core/log/entry';
import { HouseLog } from '@/core/log/houseLog';
import { liftEntry } from '@/core/log/liftEntry';
import type { Assigned, RoomState } from '@/core/log/roomState';
import { memoizeLast } from '@/core/measure/memoizeLast';
import { effortOf } from '@/core/room/checks/effortOf';
import type { Room } from '@/core/room/schema';
import { type HouseSnapshot, houseSnapshot } from '@/core/snapshot/houseSnapshot';
import type { SeenHouse } from '../outbox/deviceStore';
import type { UnsentGroup } from '../outbox/outbox';

/** A house as a device works it out by itself. */
export interface AwaySnapshot {
  readonly snapshot: HouseSnapshot;
  readonly log: HouseLog;
}

/**
 * The server's time by a device's clock, which may be wrong: what counts is how long ago it heard the server's. A clock that was
 * set back since does not take anything back.
 *
 * @param at the device's time, ms since 1970
 */
export const serverTime = ({ house, seenAt }: SeenHouse, at: number): number => house.made + Math.max(0, at - seenAt);

/** The take-offs of a house that came without them. */
const ownTakeOffs = memoizeLast(
  ({ head, rooms }: AwayHouse): NonNullable<AwayHouse['takeOffs']> =>
    Object.fromEntries(
      rooms
        .filter((room) => effortOf(room, head) !== undefined)
        .map((room) => [room.id, whatIsKept(takeOff(room, head))] as const),
    ),
);

/** A log is folded again when something was said, not because time goes on. */
const cachedLog = memoizeLast((seen: AwayHouse, unsent: readonly UnsentGroup[]) => {
  const log = new HouseLog();
  log.add([...seen.entries, ...unsentEntries(seen, unsent)]);
  return { log, states: log.states() };
});

/** The clock of some air, and so what dried by it, for as long as the same fans stood in it. */
const cachedClock = memoizeLast((_room: Room, steps: readonly SourcedAir[], fans: readonly FanFrom[]) =>
  airClock(withFans(steps, fans)),
);

/** All rooms of a house, or those in which something was handed to whom it is kept for. */
export type AwayPart = 'all' | 'own';

const partOf = ({ rooms, me }: AwayHouse, states: ReadonlyMap<string, RoomState>, part: AwayPart): readonly Room[] => {
  if (part === 'all') return rooms;
  const isOwn = ({ people }: Assigned) => people.includes(me.id);
  return rooms.filter(({ id }) => [...(states.get(id)?.assignments.values() ?? [])].some(isOwn));
};

/**
 * A house as it was seen last, with what was said on this device since, at an instant: by the same computation as on the server.
 *
 * @param unsent what was said on this device, of any house: what waits, and what is recorded and the house does not have yet
 * @param now ms since 1970, by the server's clock
 * @param part its rooms that are worked out
 */
export function awaySnapshot(
  seen: AwayHouse,
  unsent: readonly UnsentGroup[],
  now: number,
  part: AwayPart = 'all',
): AwaySnapshot {
  const { log, states } = cachedLog(seen, unsent);
  const rooms = new Map(seen.rooms.map((room) => [room.id, room]));
  const clockOf = (id: string, fans: readonly FanFrom[]) => {
    const [room, steps] = [rooms.get(id), seen.airs[seen.airOf[id] ?? -1]];
    if (!room || !steps) throw new Error('a house is kept with the air of its rooms');
    return cachedClock(room, steps, fans);
  };
  const takeOffs = seen.takeOffs ?? ownTakeOffs(seen);
  const snapshot = houseSnapshot(seen.head, partOf(seen, states, part), states, clockOf, now, ({ id }) => takeOffs[id]);
  return { snapshot, log };
}

/** What was said here and was not refused, as it will be recorded; it comes after all that the server had. */
function unsentEntries({ id, me, entries }: AwayHouse, unsent: readonly UnsentGroup[]): readonly Entry[] {
  if (unsent.length === 0) return [];
  const known = new Set(entries.map((entry) => entry.id));
  const last = entries.at(-1)?.seq ?? 0;
  return unsent
    .filter((group) => group.house === id && group.who === me.id && group.refused === undefined)
    .flatMap(({ entries: said, version }) => said.map((entry) => liftEntry({ ...entry, version }) as NewEntry))
    .filter((entry) => !known.has(entry.id))
    .map(
      (entry, index): Entry => ({
        ...entry,
        seq: last + 1 + index,
        by: me.id,
        role: me.role,
        recordedAt: entry.at,
      }),
    );
}
