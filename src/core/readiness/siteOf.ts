import type { RoomAirClock } from '../air/houseAir';
import type { FanFrom } from '../air/roomAir';
import type { HouseHead } from '../house/schema';
import type { Piece } from '../joints/pieces';
import type { KeptFace, TakenOff } from '../joints/takeOff';
import { addTallies, type Tally } from '../joints/tally';
import { NOTHING_YET, type RoomState } from '../log/stateOf';
import { NO_CATALOGUE, shrinkageOf, waresOf } from '../materials/catalogue';
import type { Catalogue } from '../materials/catalogueSchema';
import { type LoadList, loadList } from '../materials/loadList';
import { memoizeLast } from '../measure/memoizeLast';
import { cachedMethod } from '../method/cachedMethod';
import { type Method, type MethodHouse, methodOfRoom, type Shrinkage } from '../method/resolveMethod';
import { type RoomCoat, roomCoats } from '../method/roomCoats';
import type { Level } from '../room/level';
import type { Room } from '../room/schema';
import { type AppliedCoats, cachedCoats } from '../standing/appliedCoats';
import { type Finished, finished } from '../standing/finished';
import { heldFaces, waitingFaces } from '../standing/heldFaces';
import { coatHours, type Task, tasksOf } from '../work/tasksOf';
import { piecesToMend } from './mending';
import { type PrefillStanding, prefillOf } from './prefillOf';
import { type FeltAir, feltAir } from './touchesIn';
import { type RoomStanding, whatNow } from './whatNow';

const MINUTE_MS = 60_000;

/** One room with all that is known of it. */
export interface RoomSite {
  /** When it was worked out, ms since 1970: until something of it changes, or changes by itself, it stays the same. */
  readonly at: number;
  readonly room: Room;
  readonly level: Level;
  readonly tally: Tally;
  readonly pieces: readonly Piece[];
  readonly faces: readonly KeptFace[];
  /** What was put on, beside what is asked for. */
  readonly applied: AppliedCoats;
  /** The faces, by id, whose tape waits for the hanger or for being accepted. */
  readonly held: ReadonlySet<string>;
  /** The pieces, by id, on which something is mended before anything goes over them. */
  readonly toMend: ReadonlySet<string>;
  /** What of it is filled before the tape. */
  readonly prefill: PrefillStanding;
  /** Whether it cannot be worked out: then its tally is empty. */
  readonly tooLarge: boolean;
  readonly method: Method;
  readonly coats: readonly RoomCoat[];
  readonly tasks: readonly Task[];
  readonly state: RoomState;
  /** What of it is sanded and signed off. */
  readonly done: Finished;
  /** The clock of its air, corrected by what thumbs found. */
  readonly air: RoomAirClock;
  readonly felt: FeltAir;
  readonly standing: RoomStanding;
  /** Hours of coating, all of them and those that are run. */
  readonly hours: { readonly whole: number; readonly ran: number };
  /** The part of the coating that is done, by hours, 0–1. */
  readonly progress: number;
}

/** A house as it stands at an instant. */
export interface Site {
  readonly house: HouseHead & MethodHouse;
  readonly rooms: readonly RoomSite[];
  readonly tally: Tally;
  readonly load: LoadList;
  /** How the firm buys what it takes. */
  readonly catalogue: Catalogue;
  readonly progress: number;
}

/**
 * A house with its log and its air, worked out whole.
 *
 * @param takenOff the take-off, which a caller may remember between calls; undefined for a room that is too large to be
 *   worked out: it is stuck for that reason, and counts as nothing
 * @param airOf the air of a room with the fans that stood in it, see `houseAir`
 * @param now ms since 1970
 * @param catalogue how the firm buys; as usual where it does not say
 * @param former the house as it was worked out last, by the same head, air and catalogue, where what it says still holds now:
 *   rooms of which nothing was said and nothing changed since are taken from it
 */
export function siteOf(
  head: HouseHead,
  rooms: readonly Room[],
  states: ReadonlyMap<string, RoomState>,
  airOf: (room: string, fans: readonly FanFrom[]) => RoomAirClock,
  now: number,
  takenOff: (room: Room) => TakenOff | undefined,
  catalogue: Catalogue = NO_CATALOGUE,
  former?: Site,
): Site {
  const house = asBought(head, shrinkageOf(catalogue));
  const shared = cachedMethod(house);
  const before = new Map(former?.rooms.map((site) => [site.room, site]));
  const sites = rooms.map((room): RoomSite => {
    const kept = before.get(room);
    if (kept && kept.state === (states.get(room.id) ?? NOTHING_YET)) return kept;
    const worked = takenOff(room);
    const { tally, pieces, faces } = worked ?? NOTHING_TAKEN_OFF;
    const method = methodOfRoom(house, room, shared, cachedMethod);
    const state = states.get(room.id) ?? NOTHING_YET;
    const prefill = prefillOf(state, pieces);
    const { coats, tasks, hours } = cachedPlan(tally, method, room.finish, prefill.found, prefill.litres);
    const untaped = heldFaces(pieces, state.acceptances, method.all);
    const toMend = piecesToMend({ state, pieces, prefill }, untaped);
    const applied = cachedCoats(pieces, state.applied, method, room.finish, untaped, toMend);
    const done = finished(state, pieces);
    const whole = hours.reduce((sum, coat) => sum + coat, 0);
    const ran = coats.reduce(
      (sum, { id }, index) => sum + (hours[index] ?? 0) * (applied.coats.get(id)?.share ?? 0),
      0,
    );
    const felt = feltAir(airOf(room.id, state.fans), state, coats, method);
    const air = felt.clock;
    return {
      at: now,
      room,
      level: method.level,
      tally,
      pieces,
      faces,
      applied,
      held: waitingFaces(applied.stretches, untaped),
      toMend,
      prefill,
      tooLarge: worked === undefined,
      method,
      coats,
      tasks,
      state,
      done,
      air,
      felt,
      standing: worked ? whatNow(coats, method, state, applied, done, air, now) : TOO_LARGE,
      hours: { whole, ran },
      progress: whole === 0 ? 0 : ran / whole,
    };
  });
  const sum = (of: (hours: RoomSite['hours']) => number) => sites.reduce((all, { hours }) => all + of(hours), 0);
  const [all, run] = [sum(({ whole }) => whole), sum(({ ran }) => ran)];
  return {
    house,
    rooms: sites,
    catalogue,
    ...cachedSums(sites, house.unit, catalogue),
    progress: all === 0 ? 0 : run / all,
  };
}

/** The minute of an instant, ms since 1970, for what is told to the minute of a room; never before it was worked out. */
export const minuteOf = ({ at }: RoomSite, instant: number): number =>
  Math.max(at, Math.floor(instant / MINUTE_MS) * MINUTE_MS);

/** A house with what its crew's mud loses when it hardens. */
const asBought = memoizeLast((head: HouseHead, shrinkage: Shrinkage | undefined): HouseHead & MethodHouse =>
  shrinkage ? { ...head, shrinkage } : head,
);

/** What is told of a room that cannot be worked out. */
const TOO_LARGE: RoomStanding = {
  classes: [],
  now: { kind: 'stuck', why: { kind: 'tooLarge' } },
  air: [],
};
const NOTHING_TAKEN_OFF = { tally: addTallies([]), pieces: [], faces: [] };

/** The coats and passes of a room, and the hours of each coat. */
const cachedPlan = memoizeLast(
  (tally: Tally, method: Method, finish: Room['finish'], gaps: number | undefined, gapLitres: number | undefined) => {
    const coats = roomCoats(tally, method, finish);
    const tasks = tasksOf(tally, coats, method, gaps, gapLitres);
    return { coats, tasks, hours: coats.map((coat) => coatHours(coat, method)) };
  },
);

interface Sums {
  readonly of: readonly RoomSite['coats'][];
  readonly unit: HouseHead['unit'];
  readonly catalogue: Catalogue;
  readonly sums: Pick<Site, 'tally' | 'load'>;
}
const lastSums = new WeakMap<RoomSite['coats'], Sums>();

/** What a house has and takes, summed up once for as long as the coats of its rooms are the same. */
function cachedSums(sites: readonly RoomSite[], unit: HouseHead['unit'], catalogue: Catalogue): Sums['sums'] {
  const of = sites.map(({ coats }) => coats);
  const [first] = of;
  const known = first && lastSums.get(first);
  const isSame = known?.unit === unit && known.catalogue === catalogue;
  if (isSame && known.of.length === of.length && known.of.every((coats, index) => coats === of[index]))
    return known.sums;
  const sums = {
    tally: addTallies(sites.map(({ tally }) => tally)),
    load: loadList(sites, unit, waresOf(catalogue, unit)),
  };
  if (first) lastSums.set(first, { of, unit, catalogue, sums });
  return sums;
}
