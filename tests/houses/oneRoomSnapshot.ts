import { airClock } from '@/core/air/airClock';
import type { SourcedAir } from '@/core/air/roomAir';
import type { HouseHead } from '@/core/house/schema';
import { takeOff, whatIsKept } from '@/core/joints/takeOff';
import type { Entry } from '@/core/log/entry';
import { NOTHING_YET } from '@/core/log/roomState';
import { stateOf } from '@/core/log/stateOf';
import { NO_CATALOGUE } from '@/core/materials/catalogue';
import type { PlanInput } from '@/core/plan/planInput';
import { planInputOf } from '@/core/schedule/planInputOf';
import { type HouseSnapshot, houseSnapshot, type RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { crewSchema } from '@/core/work/crew';
import { roomOf } from './readRooms';

const READ: SourcedAir = { from: 0, air: { temperature: 20, humidity: 50 }, source: { kind: 'house' }, readAt: 0 };

/** A house of one room, read from its quick line, as it stands at an instant (ms since 1970) by what was logged in it. */
export function oneRoomSnapshot(line: string, now: number) {
  const { house, room } = roomOf(line);
  const taken = whatIsKept(takeOff(room, house));
  const snapshotWith = (
    entries: readonly Entry[],
    method: Partial<HouseHead['method']> = {},
    catalogue = NO_CATALOGUE,
  ): HouseSnapshot =>
    houseSnapshot(
      { ...house, method: { ...house.method, ...method } },
      [room],
      new Map([[room.id, stateOf(entries).get('room') ?? NOTHING_YET]]),
      () => airClock([READ]),
      now,
      () => taken,
      catalogue,
    );
  const roomWith = (entries: readonly Entry[], method?: Partial<HouseHead['method']>): RoomSnapshot => {
    const [own] = snapshotWith(entries, method).rooms;
    if (!own) throw new Error('the house has its room');
    return own;
  };
  /** What is planned of it, with nobody to do it. */
  const inputWith = (entries: readonly Entry[], method?: Partial<HouseHead['method']>): PlanInput =>
    planInputOf(
      snapshotWith(entries, method),
      {
        crew: crewSchema.parse({}),
        people: [],
        timeZone: 'UTC',
        house: 'h',
        dates: { house: undefined, rooms: {} },
      },
      now,
    );
  return { room, taken, snapshotWith, roomWith, inputWith };
}
