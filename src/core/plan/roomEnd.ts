import type { Planned } from './housePart';
import type { PlanRoom } from './planInput';

/** When the last of a room's open work ends by a plan, ms since 1970, and whether all of it is in the plan. */
export interface RoomEnd {
  /** Undefined where nothing of it is planned. */
  readonly end: number | undefined;
  readonly whole: boolean;
}

/** Returns when each room is done by a plan, by room id. */
export function roomEnds({ plan, input }: Planned): ReadonlyMap<string, RoomEnd> {
  const ends = new Map(plan.assignments.map(({ item, end }) => [item, end]));
  const rooms = new Map<string, RoomEnd>(input.rooms.map(({ id }) => [id, { end: undefined, whole: true }]));
  for (const { id, room } of input.items) {
    const known = rooms.get(room);
    if (!known) continue;
    const end = ends.get(id);
    rooms.set(
      room,
      end === undefined ? { ...known, whole: false } : { ...known, end: Math.max(known.end ?? end, end) },
    );
  }
  return rooms;
}

/** Returns by how much a room is done after the painters come, ms; 0 where it is not. */
export const lateBy = ({ due }: Pick<PlanRoom, 'due'>, { end }: RoomEnd): number =>
  due === undefined || end === undefined ? 0 : Math.max(0, end - due);
