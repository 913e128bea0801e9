import { type AirFrom, firstAfter } from '../air/airClock';
import { handedIn, heldAt, isGivenAlike, type RoomState } from '../log/roomState';
import { distinct } from '../measure/distinct';
import { allSteps, type Steps } from '../measure/steps';
import type { CoatId } from '../method/coat';
import type { Handed, PlanInput, PlanPerson, PlanRoom } from '../plan/planInput';
import { kindOfCoat } from '../readiness/coatClock';
import { mendsIn } from '../readiness/mending';
import { prefillDone } from '../readiness/prefillOf';
import { scrapedFor } from '../readiness/scrapedFor';
import { stretchClock } from '../readiness/stretchClock';
import { stretchNow } from '../readiness/stretchNow';
import type { HouseSnapshot, RoomSnapshot } from '../snapshot/houseSnapshot';
import { leftToSand } from '../standing/leftToSand';
import { BLOCKS, type Block, workAnywhere } from '../work/block';
import { sandHours } from '../work/closing';
import { dateFor, type PaintersDates } from '../work/painters';
import { BETWEEN_PASSES } from '../work/pass';
import { scrapeApart } from '../work/scrapeApart';
import { instantOn } from '../work/shifts';
import { spaceOf } from '../work/spaceOf';
import { splitItems } from '../work/splitItems';
import type { WorkItem } from '../work/workItem';
import { workOf } from '../work/workOf';
import { type BlockLeft, type CoatLeft, UNTOUCHED, type WorkRoom } from '../work/workRoom';
import { type HeldOf, heldShares, lessHeld, waitsForHanger } from './heldShares';
import { blocksIn, type RoomBlocks } from './roomBlocks';

/** What a plan takes from elsewhere than the house as it stands. */
export interface PlanGround extends Pick<PlanInput, 'crew' | 'timeZone'> {
  readonly people: readonly PlanPerson[];
  /** Its id. */
  readonly house: string;
  /** When the painters come: YYYY-MM-DD, by room, and of the house. */
  readonly dates: PaintersDates;
}

/** Returns when a plan that is made at an instant starts: at the next full five minutes. ms since 1970 */
export const startOf = (now: number): number => Math.ceil(now / FIVE_MINUTES_MS) * FIVE_MINUTES_MS;

/** The rooms of a house that are planned. */
export type HouseToPlan = Pick<HouseSnapshot, 'rooms' | 'house'>;

const FIVE_MINUTES_MS = 300_000;
/** What never dries; infinity is lost on the way to a worker. */
const LAST_INSTANT = 8.64e15;

/**
 * Returns what is to be planned of a house from now on.
 *
 * @param now ms since 1970
 */
export const planInputOf = (house: HouseToPlan, ground: PlanGround, now: number): PlanInput =>
  allSteps(planInputSteps(house, ground, now));

/** Works out the same room by room. */
export function* planInputSteps({ rooms, house }: HouseToPlan, ground: PlanGround, now: number): Steps<PlanInput> {
  const { crew, people, timeZone, dates } = ground;
  const airs = distinct(rooms.map((room) => airAhead(room, now)));
  const items: WorkItem[] = [];
  const handed: Record<string, Handed> = {};
  const planned: PlanRoom[] = [];
  for (const [index, snapshot] of rooms.entries()) {
    yield;
    const { room, state } = snapshot;
    const own = splitWhereHanded(scrapedApart(openWork(snapshot, now), room.id, state), state);
    for (const item of own) {
      const given = givenTo(item, state);
      if (given) handed[item.id] = given;
    }
    items.push(...(state.handed === 0 ? own : own.map((item) => asHanded(item, own, handed))));
    const due = dateFor(dates, room.id);
    const held = heldAt(state, now);
    const until = held?.until;
    const waits = waitsForHanger(snapshot);
    planned.push({
      id: room.id,
      house: ground.house,
      room: room.id,
      name: room.name,
      nameInHouse: room.name,
      houseName: house.name,
      floor: room.floor,
      air: airs.places[index] ?? 0,
      space: spaceOf(room, house.unit),
      // Finished the evening before they come.
      due: due === undefined ? undefined : instantOn(due, 0, timeZone),
      held: held
        ? { until: until === undefined ? undefined : Date.parse(until) }
        : waits === 'all'
          ? { until: undefined }
          : undefined,
      heldFaces: waits === 'some' ? snapshot.held.size : 0,
    });
  }
  return {
    from: startOf(now),
    timeZone,
    rooms: planned,
    airs: airs.values,
    items,
    people,
    crew,
    handed,
  };
}

/** To whom an item was handed. Where it is not in two, both of its halves were given alike. */
function givenTo({ work, pass, block, blocks }: WorkItem, state: RoomState): Handed | undefined {
  const given = handedIn(state, workAnywhere(work), pass, block ?? (blocks && 'walls'));
  return given && { people: given.people, day: given.day, order: given.order };
}

/** A coat that was handed out for an earlier day than one of its round that comes first by the sequence: the lead's days win. */
function asHanded(item: WorkItem, all: readonly WorkItem[], handed: Readonly<Record<string, Handed>>): WorkItem {
  const day = handed[item.id]?.day;
  if (day === undefined || item.coats.length === 0) return item;
  const isLater = (before: WorkItem) =>
    before.pass === item.pass && before.coats.length > 0 && (handed[before.id]?.day ?? '') > day;
  const later = new Set(all.filter(isLater).map(({ id }) => id));
  return later.size === 0 ? item : { ...item, after: item.after.filter((one) => !later.has(one.item)) };
}

/** What somebody is sent to scrape by itself, before the rounds for which that was handed out. */
const scrapedApart = (items: readonly WorkItem[], room: string, state: RoomState): readonly WorkItem[] =>
  state.handed === 0
    ? items
    : scrapeApart(
        items,
        new Set(BETWEEN_PASSES.filter((pass) => handedIn(state, pass, pass)).map((pass) => `${room}/${pass}`)),
      );

/** Work of which the walls and the ceiling were not given to the same people for the same day is in two. */
function splitWhereHanded(items: readonly WorkItem[], state: RoomState): readonly WorkItem[] {
  if (state.handed === 0) return items;
  const apart = items.filter((item) => {
    const [walls, ceiling] = BLOCKS.map((block) => givenTo({ ...item, block }, state));
    return item.blocks && !isGivenAlike(walls, ceiling);
  });
  return splitItems(items, new Set(apart.map(({ id }) => id)));
}

/** Returns the work of a room that is still to do; a room that was handed over and opened again has some. */
export const openWork = (snapshot: RoomSnapshot, now: number): readonly WorkItem[] =>
  snapshot.standing.now.kind === 'done' || snapshot.tooLarge ? [] : workOf(workRoomOf(snapshot, now));

function workRoomOf(snapshot: RoomSnapshot, now: number): WorkRoom {
  const { room, tally, method, coats, state, applied, done, clock } = snapshot;
  const blocks = blocksIn(snapshot);
  const { firmAt } = snapshot.prefill;
  const left = new Map<string, CoatLeft>();
  const heldOf = heldShares(snapshot, blocks);
  for (const coat of coats) {
    const progress = applied.coats.get(coat.id);
    const sandAt = sandAtOf(coat.id, snapshot);
    left.set(coat.id, {
      part: lessHeld(1 - (progress?.share ?? 0), heldOf(coat.id)),
      from: undefined,
      sandAt: sandAt > now ? Math.min(LAST_INSTANT, sandAt) : undefined,
      blocks: blocks && leftIn(blocks, coat.id, heldOf),
    });
  }
  for (const stretch of applied.stretches) {
    const own = coats.filter((coat) => coat.class === stretch.class);
    const next = stretchNow(stretch, own, { method, applied, clock, now });
    const known = next.kind === 'wet' && next.next ? left.get(next.next.id) : undefined;
    if (next.kind !== 'wet' || !next.next || !known) continue;
    const until = Math.min(LAST_INSTANT, next.until);
    const lies = new Set(blocks && stretch.pieces.map(blocks.of));
    left.set(next.next.id, {
      ...known,
      from: Math.max(known.from ?? 0, until),
      blocks: known.blocks && {
        walls: lies.has('walls') ? laterFrom(known.blocks.walls, until) : known.blocks.walls,
        ceiling: lies.has('ceiling') ? laterFrom(known.blocks.ceiling, until) : known.blocks.ceiling,
      },
    });
  }
  return {
    id: room.id,
    tally,
    method,
    coats,
    left: ({ id }) => left.get(id) ?? UNTOUCHED.left(),
    scraped: (coat) => scrapedFor(state, coat) !== undefined,
    slowness: (coat) => clock.slowness.get(kindOfCoat(coat)) ?? 1,
    mend: mendsIn(snapshot),
    gaps: snapshot.prefill.found,
    prefilled: prefillDone(snapshot),
    prefillFirmAt: firmAt !== undefined && firmAt > now ? firmAt : undefined,
    uncentered: snapshot.uncentered.map(({ round, part, from }) => ({
      round,
      part,
      from: from > now ? Math.min(LAST_INSTANT, from) : undefined,
    })),
    finish: room.finish,
    sandLeft: sandLeftOf(snapshot),
    checked: done.checked !== undefined,
    sealed: snapshot.sealed.whole !== undefined,
  };
}

/** Person-hours of sanding that are left, without walking in. */
const sandLeftOf = ({ pieces, method, room, done }: RoomSnapshot): number =>
  [...leftToSand(pieces, method, room.finish, done)].reduce((sum, [kind, { left }]) => sum + sandHours(kind, left), 0);

/** When all that is on of a coat may be sanded; 0 where nothing is. */
const sandAtOf = (coat: CoatId, { applied, method, clock }: RoomSnapshot): number =>
  applied.stretches.reduce((last, stretch) => {
    const place = stretch.coats.findIndex((one) => one.coat.id === coat);
    return Math.max(last, (place < 0 ? undefined : stretchClock(stretch, place, { method, clock })?.sandAt) ?? 0);
  }, 0);

/** How far a coat is on the walls and on the ceiling. */
function leftIn(blocks: RoomBlocks, coat: CoatId, heldOf: HeldOf): Readonly<Record<Block, BlockLeft>> {
  const of = (block: Block): BlockLeft => {
    const own = blocks.coat(coat, block);
    return { share: own?.share ?? 0, part: own ? lessHeld(1 - own.done, heldOf(coat, block)) : 0, from: undefined };
  };
  return { walls: of('walls'), ceiling: of('ceiling') };
}

const laterFrom = (left: BlockLeft, until: number): BlockLeft => ({ ...left, from: Math.max(left.from ?? 0, until) });

/** The air of a room from now on, as far as it matters to drying. */
function airAhead({ air: { steps } }: RoomSnapshot, now: number): readonly AirFrom[] {
  const first = Math.max(0, firstAfter(steps, now) - 1);
  return steps.slice(first).map(({ from, air: { temperature, humidity, speed } }, index) => ({
    from: index === 0 ? 0 : from,
    air: { temperature, humidity, ...(speed === undefined ? {} : { speed }) },
  }));
}
