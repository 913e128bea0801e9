import type { Planned } from './housePart';
import { lateBy, roomEnds } from './roomEnd';

/** Planned finish of a room. Instants in ms since 1970. */
export interface RoomFinish {
  readonly id: string;
  readonly name: string;
  /** Undefined if no work is planned. */
  readonly end?: number | undefined;
  /** True if all open work is in the plan. */
  readonly whole: boolean;
  /** When the painters come. */
  readonly due?: number | undefined;
  /** ms after the painters' date; 0 if in time. */
  readonly late: number;
  /** True if the room is on hold with no end date: it is planned last. */
  readonly last: boolean;
}

/** Planned finish of a house, without anything about people: builders read it too. */
export interface HouseFinish {
  readonly from: number;
  readonly timeZone: string;
  readonly finish: number;
  /** True while work is left. */
  readonly open: boolean;
  /** True if rooms on hold come after the finish. */
  readonly exceptHeld: boolean;
  readonly rooms: readonly RoomFinish[];
}

/** Returns the planned finish of a house and its rooms. */
export function houseFinish(planned: Planned): HouseFinish {
  const { plan, input } = planned;
  const ends = roomEnds(planned);
  const last = new Set(plan.last);
  return {
    from: input.from,
    timeZone: input.timeZone,
    finish: plan.finish,
    open: input.items.length > 0,
    exceptHeld: plan.withHeld !== undefined && plan.withHeld.finish > plan.finish,
    rooms: input.rooms.map((room) => {
      const own = ends.get(room.id) ?? { end: undefined, whole: true };
      return {
        id: room.id,
        name: room.name,
        end: own.end,
        whole: own.whole,
        due: room.due,
        late: lateBy(room, own),
        last: last.has(room.id),
      };
    }),
  };
}
