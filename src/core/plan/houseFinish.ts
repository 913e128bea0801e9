import type { Planned } from './housePart';
import { lateBy, roomEnds } from './roomEnd';

/** When a room of a house is finished by a plan. Instants in ms since 1970. */
export interface RoomFinish {
  readonly id: string;
  readonly name: string;
  /** Undefined where nothing of it is planned. */
  readonly end?: number | undefined;
  /** Whether all of its open work is in the plan. */
  readonly whole: boolean;
  /** When the painters come. */
  readonly due?: number | undefined;
  /** ms after the painters come; 0 where it is in time. */
  readonly late: number;
  /** It is on hold and nobody knows how long: it is planned after everything else. */
  readonly last: boolean;
}

/** When a house is finished by a plan: no more of it than a builder may read, who is told nothing of the people. */
export interface HouseFinish {
  readonly from: number;
  readonly timeZone: string;
  readonly finish: number;
  /** Whether there is anything left to do. */
  readonly open: boolean;
  /** Whether rooms on hold come after the finish. */
  readonly exceptHeld: boolean;
  readonly rooms: readonly RoomFinish[];
}

/** Returns when a house and each of its rooms are finished by the plan of that house. */
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
