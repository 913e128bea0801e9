import type { RoomAirClock } from '../air/houseAir';
import type { FanFrom } from '../air/roomAir';
import type { HouseHead } from '../house/schema';
import type { Piece } from '../joints/pieces';
import type { TakenOff } from '../joints/takeOff';
import { addTallies, type Tally } from '../joints/tally';
import { NOTHING_YET, type RoomState } from '../log/roomState';
import { NO_CATALOGUE, shrinkageOf, waresOf } from '../materials/catalogue';
import type { Catalogue } from '../materials/catalogueSchema';
import { type LoadList, loadList } from '../materials/loadList';
import { memoizeLast } from '../measure/memoizeLast';
import { allSteps, type Steps } from '../measure/steps';
import { cachedMethod } from '../method/cachedMethod';
import type { JointsWithMore } from '../method/extraCoat';
import { type Method, type MethodHouse, methodOfRoom, type Scraping, type Shrinkage } from '../method/resolveMethod';
import { coatsWithMore } from '../method/roomCoats';
import { isTimedScraping, learnScraping } from '../readiness/learnScraping';
import { piecesToMend } from '../readiness/mending';
import { prefillOf } from '../readiness/prefillOf';
import type { RoomAir, RoomCoating, RoomRecord, RoomTakeOff } from '../readiness/roomParts';
import { cachedDryingClock, learnDrying } from '../readiness/touchChecks';
import { type Uncentered, uncenteredOf } from '../readiness/uncentered';
import { type RoomStanding, whatNow } from '../readiness/whatNow';
import type { Room } from '../room/schema';
import { cachedCoats } from '../standing/appliedCoats';
import { finished } from '../standing/finished';
import { heldFaces, waitingFaces } from '../standing/heldFaces';
import { jointFindings } from '../standing/jointFindings';
import { sealedOf } from '../standing/sealed';
import { coatHours, tasksOf } from '../work/tasksOf';

const MINUTE_MS = 60_000;

/** One room at an instant: what it is, what it gets, what was done in it, its air, and what can be done now. */
export interface RoomSnapshot extends RoomTakeOff, RoomCoating, RoomRecord, RoomAir {
  /** When it was worked out, ms since 1970: until something of it changes, or changes by itself, it stays the same. */
  readonly at: number;
  readonly standing: RoomStanding;
  /** Boxed butts that are still to be centered. */
  readonly uncentered: readonly Uncentered[];
  /** Hours of coating, all of them and those that are run. */
  readonly hours: { readonly whole: number; readonly ran: number };
  /** The part of the coating that is done, by hours, 0–1. */
  readonly progress: number;
}

/** A house as it stands at an instant. */
export interface HouseSnapshot {
  readonly house: HouseHead & MethodHouse;
  readonly rooms: readonly RoomSnapshot[];
  readonly tally: Tally;
  readonly load: LoadList;
  /** How the firm buys what it takes. */
  readonly catalogue: Catalogue;
  readonly progress: number;
}

/** Works a house out at once, see `houseSnapshotSteps`. */
export const houseSnapshot = (...ground: Parameters<typeof houseSnapshotSteps>): HouseSnapshot =>
  allSteps(houseSnapshotSteps(...ground));

/**
 * Works a house out whole, with its log and its air: one room in each step.
 *
 * @param takenOff the take-off, which a caller may remember between calls; undefined for a room that is too large to be
 *   worked out: it is stuck for that reason, and counts as nothing
 * @param airOf the air of a room with the fans that stood in it, see `houseAir`
 * @param now ms since 1970
 * @param catalogue how the firm buys; as usual where it does not say
 * @param former the house as it was worked out last, by the same head, air and catalogue, where what it says still holds now:
 *   rooms of which nothing was said and nothing changed since are taken from it
 */
export function* houseSnapshotSteps(
  head: HouseHead,
  rooms: readonly Room[],
  states: ReadonlyMap<string, RoomState>,
  airOf: (room: string, fans: readonly FanFrom[]) => RoomAirClock,
  now: number,
  takenOff: (room: Room) => TakenOff | undefined,
  catalogue: Catalogue = NO_CATALOGUE,
  former?: HouseSnapshot,
): Steps<HouseSnapshot> {
  const house = withLearned(head, shrinkageOf(catalogue), scrapingIn(rooms, states, takenOff));
  const shared = cachedMethod(house);
  const before = new Map(former?.rooms.map((snapshot) => [snapshot.room, snapshot]));
  const workOut = (room: Room): RoomSnapshot => {
    const worked = takenOff(room);
    const { tally, pieces, faces } = worked ?? NOTHING_TAKEN_OFF;
    const method = methodOfRoom(house, room, shared, cachedMethod);
    const state = states.get(room.id) ?? NOTHING_YET;
    const prefill = prefillOf(state, pieces);
    const more = jointFindings(state.items, pieces);
    const { coats, tasks, hours } = cachedPlan(tally, pieces, method, room.finish, prefill.found, prefill.litres, more);
    const untaped = heldFaces(pieces, state.acceptances, method.all);
    const toMend = piecesToMend({ state, pieces, prefill }, untaped);
    const applied = cachedCoats(pieces, state.applied, method, room.finish, untaped, toMend, state.touched, more);
    const done = finished(state, applied, method, room.finish);
    const sealed = sealedOf(state.sealings, pieces);
    const whole = hours.reduce((sum, coat) => sum + coat, 0);
    const ran = coats.reduce(
      (sum, { id }, index) => sum + (hours[index] ?? 0) * (applied.coats.get(id)?.share ?? 0),
      0,
    );
    const air = airOf(room.id, state.fans);
    const learned = learnDrying(air, state, coats, method);
    const clock = cachedDryingClock(air, learned);
    const held = waitingFaces(applied.stretches, untaped);
    const todo = { tally, pieces, coats, method, state, applied, held, prefill, done, sealed };
    return {
      at: now,
      room,
      level: method.level,
      tally,
      pieces,
      faces,
      applied,
      held,
      toMend,
      prefill,
      more,
      tooLarge: worked === undefined,
      method,
      coats,
      tasks,
      state,
      done,
      sealed,
      air,
      learned,
      clock,
      uncentered: uncenteredOf({ coats, method, applied, state, clock }, now),
      standing: worked ? whatNow(todo, clock, now) : TOO_LARGE,
      hours: { whole, ran },
      progress: whole === 0 ? 0 : ran / whole,
    };
  };
  const snapshots: RoomSnapshot[] = [];
  for (const room of rooms) {
    const kept = before.get(room);
    const holds = former?.house === house && kept?.state === (states.get(room.id) ?? NOTHING_YET);
    if (!holds) yield;
    snapshots.push(kept && holds ? kept : workOut(room));
  }
  yield;
  const sum = (of: (hours: RoomSnapshot['hours']) => number) =>
    snapshots.reduce((all, { hours }) => all + of(hours), 0);
  const [all, run] = [sum(({ whole }) => whole), sum(({ ran }) => ran)];
  return {
    house,
    rooms: snapshots,
    catalogue,
    ...cachedSums(snapshots, house.unit, catalogue),
    progress: all === 0 ? 0 : run / all,
  };
}

/** The minute of an instant, ms since 1970, for what is told to the minute of a room; never before it was worked out. */
export const minuteOf = ({ at }: RoomSnapshot, instant: number): number =>
  Math.max(at, Math.floor(instant / MINUTE_MS) * MINUTE_MS);

/** A house with what its crew's mud loses when it hardens, and how clean it works. */
const withLearned = memoizeLast(
  (head: HouseHead, shrinkage: Shrinkage | undefined, scraping: Scraping): HouseHead & MethodHouse =>
    shrinkage || scraping === 'clean'
      ? { ...head, ...(shrinkage && { shrinkage }), ...(scraping === 'clean' && { scraping }) }
      : head,
);

/** What a house's log says of its scraping; only rooms in which somebody timed it are looked at. */
function scrapingIn(
  rooms: readonly Room[],
  states: ReadonlyMap<string, RoomState>,
  takenOff: (room: Room) => TakenOff | undefined,
): Scraping {
  return learnScraping(
    rooms.flatMap((room) => {
      const betweens = states.get(room.id)?.betweens.filter(isTimedScraping) ?? [];
      return betweens.length === 0 ? [] : [{ betweens, pieces: takenOff(room)?.pieces ?? [] }];
    }),
  );
}

/** What is told of a room that cannot be worked out. */
const TOO_LARGE: RoomStanding = {
  classes: [],
  now: { kind: 'stuck', why: { kind: 'tooLarge' } },
  wetUntil: undefined,
  air: [],
};
const NOTHING_TAKEN_OFF = { tally: addTallies([]), pieces: [], faces: [] };

/** The coats and passes of a room, and the hours of each coat. */
const cachedPlan = memoizeLast(
  (
    tally: Tally,
    pieces: readonly Piece[],
    method: Method,
    finish: Room['finish'],
    gaps: number | undefined,
    gapLitres: number | undefined,
    more: JointsWithMore,
  ) => {
    const coats = coatsWithMore({ tally, pieces }, method, finish, more);
    const tasks = tasksOf(tally, coats, method, finish, { gaps, litres: gapLitres });
    return { coats, tasks, hours: coats.map((coat) => coatHours(coat, method)) };
  },
);

interface Sums {
  readonly of: readonly RoomSnapshot['coats'][];
  readonly unit: HouseHead['unit'];
  readonly catalogue: Catalogue;
  readonly sums: Pick<HouseSnapshot, 'tally' | 'load'>;
}
const lastSums = new WeakMap<RoomSnapshot['coats'], Sums>();

/** What a house has and takes, summed up once for as long as the coats of its rooms are the same. */
function cachedSums(snapshots: readonly RoomSnapshot[], unit: HouseHead['unit'], catalogue: Catalogue): Sums['sums'] {
  const of = snapshots.map(({ coats }) => coats);
  const [first] = of;
  const known = first && lastSums.get(first);
  const isSame = known?.unit === unit && known.catalogue === catalogue;
  if (isSame && known.of.length === of.length && known.of.every((coats, index) => coats === of[index]))
    return known.sums;
  const sums = {
    tally: addTallies(snapshots.map(({ tally }) => tally)),
    load: loadList(snapshots, unit, waresOf(catalogue, unit)),
  };
  if (first) lastSums.set(first, { of, unit, catalogue, sums });
  return sums;
}
