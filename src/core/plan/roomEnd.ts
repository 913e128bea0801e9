import type { HousePlan } from './planHouse';
import type { PlanInput, PlanRoom } from './planInput';

/** When the last of a room's open work ends by a plan, ms since 1970, and whether all of it is in the plan. */
export interface RoomEnd {
  /** Undefined where nothing of it is planned. */
  readonly end: number | undefined;
  readonly whole: boolean;
}

/** When a room is done by a plan. */
export function roomEnd({ id }: PlanRoom, { assignments }: HousePlan, { items }: PlanInput): RoomEnd {
  const open = new Set(items.flatMap((item) => (item.room === id ? [item.id] : [])));
  const own = assignments.filter(({ item }) => open.has(item));
  return {
    end: own.length > 0 ? Math.max(...own.map(({ end }) => end)) : undefined,
    whole: own.length === open.size,
  };
}

/** By how much a room is done after the painters come, ms; 0 where it is not. */
export const lateBy = ({ due }: PlanRoom, { end }: RoomEnd): number =>
  due === undefined || end === undefined ? 0 : Math.max(0, end - due);
