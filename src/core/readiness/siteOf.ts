import type { RoomAirClock } from '../drying/houseAir';
import type { FanFrom } from '../drying/roomAir';
import type { Level } from '../house/level';
import type { HouseHead, Room } from '../house/schema';
import type { Piece } from '../joints/pieces';
import type { TakenOff } from '../joints/takeOff';
import { addTallies, type Tally } from '../joints/tally';
import { NOTHING_YET, type RoomState } from '../log/stateOf';
import { type LoadList, loadList } from '../materials/loadList';
import { knownMethod } from '../method/knownMethod';
import { type Method, methodOfRoom } from '../method/resolveMethod';
import { type RoomCoat, roomCoats } from '../method/roomCoats';
import { coatHours, type Task, tasksOf } from '../plan/tasksOf';
import { type AppliedCoats, knownCoats } from '../standing/appliedCoats';
import { type RoomStanding, whatNow } from './whatNow';

/** One room with all that is known of it. */
export interface RoomSite {
  readonly room: Room;
  readonly level: Level;
  readonly tally: Tally;
  readonly pieces: readonly Piece[];
  /** What was put on, beside what is asked for. */
  readonly applied: AppliedCoats;
  /** Whether it cannot be worked out: then its tally is empty. */
  readonly tooLarge: boolean;
  readonly method: Method;
  readonly coats: readonly RoomCoat[];
  readonly tasks: readonly Task[];
  readonly state: RoomState;
  readonly air: RoomAirClock;
  readonly standing: RoomStanding;
  /** The part of the coating that is done, by hours, 0–1. */
  readonly progress: number;
}

/** A house as it stands at an instant. */
export interface Site {
  readonly house: HouseHead;
  readonly rooms: readonly RoomSite[];
  readonly tally: Tally;
  readonly load: LoadList;
  readonly progress: number;
}

/**
 * A house with its log and its air, worked out whole.
 *
 * @param takenOff the take-off, which a caller may remember between calls; undefined for a room that is too large to be
 *   worked out: it is stuck for that reason, and counts as nothing
 * @param airOf the air of a room with the fans that stood in it, see `houseAir`
 * @param now ms since 1970
 */
export function siteOf(
  house: HouseHead,
  rooms: readonly Room[],
  states: ReadonlyMap<string, RoomState>,
  airOf: (room: string, fans: readonly FanFrom[]) => RoomAirClock,
  now: number,
  takenOff: (room: Room) => TakenOff | undefined,
): Site {
  const shared = knownMethod(house);
  let [all, done] = [0, 0];
  const sites = rooms.map((room): RoomSite => {
    const worked = takenOff(room);
    const { tally, pieces } = worked ?? NOTHING_TAKEN_OFF;
    const method = methodOfRoom(house, room, shared, knownMethod);
    const coats = roomCoats(tally, method, room.finish);
    const state = states.get(room.id) ?? NOTHING_YET;
    const applied = knownCoats(pieces, method, state.applied, room.finish);
    const { hours, part } = progressOf(coats, method, applied);
    all += hours;
    done += hours * part;
    const air = airOf(room.id, state.fans);
    return {
      room,
      level: method.level,
      tally,
      pieces,
      applied,
      tooLarge: worked === undefined,
      method,
      coats,
      tasks: tasksOf(tally, coats, method),
      state,
      air,
      standing: worked ? whatNow(coats, method, state, applied, air, now) : TOO_LARGE,
      progress: part,
    };
  });
  return {
    house,
    rooms: sites,
    tally: addTallies(sites.map(({ tally }) => tally)),
    load: loadList(sites, house.unit),
    progress: all === 0 ? 0 : done / all,
  };
}

/** What is told of a room that cannot be worked out. */
const TOO_LARGE: RoomStanding = {
  classes: [],
  now: { kind: 'stuck', why: 'too large to work out: split the room' },
  air: [],
};
const NOTHING_TAKEN_OFF = { tally: addTallies([]), pieces: [] };

function progressOf(
  coats: readonly RoomCoat[],
  method: Method,
  applied: AppliedCoats,
): { readonly part: number; readonly hours: number } {
  const weighed = coats.map((coat) => ({
    hours: coatHours(coat, method),
    share: applied.coats.get(coat.id)?.share ?? 0,
  }));
  const hours = weighed.reduce((sum, coat) => sum + coat.hours, 0);
  return { hours, part: hours === 0 ? 0 : weighed.reduce((sum, coat) => sum + coat.hours * coat.share, 0) / hours };
}
