import type { Air } from '../air/air';
import { airClock } from '../air/airClock';
import { recoatHours } from '../drying/coatTimes';
import { wetMudOf } from '../drying/wetMud';
import type { HouseHead } from '../house/schema';
import { isAccessory } from '../joints/classTraits';
import type { Tally } from '../joints/tally';
import { mudOf } from '../materials/loadList';
import type { CoatId } from '../method/coat';
import { type Method, methodOfRoom, resolveMethod } from '../method/resolveMethod';
import { type RoomCoat, roomCoats, roundsOf } from '../method/roomCoats';
import type { CrewPace } from '../rates/learn';
import type { Room } from '../room/schema';
import { sealHours } from '../work/closing';
import { hoursAtPace, tasksOf } from '../work/tasksOf';
import { TAPER_SETUP_HOURS } from '../work/usualRates';

/** What a method takes of a house. */
export interface Price {
  /**
   * Person-hours by the pace of the crew where it is known, else by the default rates: coats, what is done between them, sanding,
   * sealing, setting up.
   */
  readonly hours: number;
  readonly sandingHours: number;
  /** Mud that goes on, litres. */
  readonly litres: number;
  /** Coats in the room that takes most, and passes through all rooms. */
  readonly rounds: number;
  readonly visits: number;
  /** What the room that waits longest waits for mud, hours; and how many of its waits are nights. */
  readonly waitHours: number;
  readonly nights: number;
}

/** A room with its take-off. */
export interface TakenRoom {
  readonly room: Pick<Room, 'id' | 'finish' | 'method'>;
  readonly tally: Tally;
}

/** A wait longer than this is one over night. */
const LONGEST_SAME_DAY_HOURS = 6;

/**
 * The price of a house as it is: its method, with what its rooms say of their own.
 *
 * @param air in which the mud would dry throughout
 * @param crew how fast it is at what, see `learnCrew`
 * @example priceOf({ ...house, method: { ...house.method, level: 5 } }, rooms, air).hours
 */
export function priceOf(
  house: Pick<HouseHead, 'unit' | 'method'>,
  rooms: readonly TakenRoom[],
  air: Air,
  crew: CrewPace = {},
): Price {
  const paceAt = (rate: string) => crew[rate]?.pace ?? 1;
  const shared = resolveMethod(house);
  let [hours, sandingHours, litres, visits, rounds, waitHours, nights] = [0, 0, 0, 0, 0, 0, 0];
  const waitAfter = waitsIn(air);
  let usesTaper = false;
  for (const { room, tally } of rooms) {
    const method = methodOfRoom(house, room, shared);
    const coats = roomCoats(tally, method, room.finish);
    const tasks = tasksOf(tally, coats, method, room.finish);
    for (const task of tasks) {
      const own = hoursAtPace(task, paceAt);
      hours += own;
      if (task.pass === 'sand') sandingHours += own;
    }
    hours += sealHours(tally, coats, method);
    for (const coat of coats) litres += mudOf(coat, method);
    for (const { small } of tasks) for (const work of small) litres += work.litres;
    const waits = waitsOf(coats, method, waitAfter);
    visits += tasks.length;
    rounds = Math.max(rounds, waits.length);
    waitHours = Math.max(
      waitHours,
      waits.reduce((sum, wait) => sum + wait, 0),
    );
    nights = Math.max(nights, waits.filter((wait) => wait > LONGEST_SAME_DAY_HOURS).length);
    usesTaper ||= coats.some(
      ({ key, class: kind, tool }) => key === 'tape' && !isAccessory(kind) && tool.kind === 'taper',
    );
  }
  return {
    hours: hours + (usesTaper ? TAPER_SETUP_HOURS : 0),
    sandingHours,
    litres,
    rounds,
    visits,
    waitHours,
    nights,
  };
}

/** What a room waits after each round for its slowest coat, hours. */
function waitsOf(coats: readonly RoomCoat[], method: Method, waitAfter: WaitAfter): readonly number[] {
  return roundsOf(coats).map((round) =>
    coats
      .filter((coat) => coat.round === round)
      .reduce((longest, coat) => Math.max(longest, waitAfter(coat, method)), 0),
  );
}

type WaitAfter = (coat: RoomCoat, method: Method) => number;

/** The wait after a coat in some air; rooms that share a method share the waits. */
function waitsIn(air: Air): WaitAfter {
  const clock = airClock([{ from: 0, air }]);
  const known = new Map<Method, Map<CoatId, number>>();
  return (coat, method) => {
    const waits = known.get(method) ?? new Map<CoatId, number>();
    known.set(method, waits);
    const hours = waits.get(coat.id) ?? recoatHours(wetMudOf(coat, method), clock);
    waits.set(coat.id, hours);
    return hours;
  };
}
