import { type AirFrom, firstAfter } from '../air/airClock';
import { handedIn, heldAt } from '../log/stateOf';
import type { Handed, PlanInput, PlanPerson } from '../plan/planInput';
import { dateFor, type PaintersDates } from '../work/painters';
import { instantOn } from '../work/shifts';
import { spaceOf } from '../work/spaceOf';
import type { WorkItem } from '../work/workItem';
import { type CoatLeft, type WorkRoom, workOf } from '../work/workOf';
import { progressClock } from './coatClock';
import type { RoomSite, Site } from './siteOf';
import { stretchNow } from './whatNow';

/** What a plan takes from elsewhere than the house as it stands. */
export interface PlanGround extends Pick<PlanInput, 'crew' | 'timeZone'> {
  readonly people: readonly PlanPerson[];
  /** Its id. */
  readonly house: string;
  /** When the painters come: YYYY-MM-DD, by room, and of the house. */
  readonly dates: PaintersDates;
}

const FIVE_MINUTES_MS = 300_000;
/** What never dries; infinity is lost on the way to a worker. */
const LAST_INSTANT = 8.64e15;

/**
 * What is to be planned of a house from now on.
 *
 * @param now ms since 1970
 */
export function planInputOf({ rooms, house }: Site, ground: PlanGround, now: number): PlanInput {
  const { crew, people, timeZone, dates } = ground;
  const airs = new Map<string, { readonly place: number; readonly steps: readonly AirFrom[] }>();
  const airOf = (room: RoomSite): number => {
    const steps = airAhead(room, now);
    const key = JSON.stringify(steps);
    const known = airs.get(key) ?? { place: airs.size, steps };
    airs.set(key, known);
    return known.place;
  };
  const items: WorkItem[] = [];
  const handed: Record<string, Handed> = {};
  const planned = rooms.map((site) => {
    const { room, state } = site;
    const own = openWork(site, now);
    items.push(...own);
    for (const { id, work, pass } of own) {
      const given = handedIn(state, work, pass);
      if (given) handed[id] = { people: given.people, day: given.day };
    }
    const due = dateFor(dates, room.id);
    const held = heldAt(state, now);
    const until = held?.until;
    return {
      id: room.id,
      house: ground.house,
      room: room.id,
      name: room.name,
      floor: room.floor,
      air: airOf(site),
      space: spaceOf(room, house.unit),
      // Finished the evening before they come.
      due: due === undefined ? undefined : instantOn(due, 0, timeZone),
      held: held ? { until: until === undefined ? undefined : Date.parse(until) } : undefined,
    };
  });
  return {
    from: Math.ceil(now / FIVE_MINUTES_MS) * FIVE_MINUTES_MS,
    timeZone,
    rooms: planned,
    airs: [...airs.values()].map(({ steps }) => steps),
    items,
    people,
    crew,
    handed,
  };
}

/** The work of a room that is still to do. */
export const openWork = (site: RoomSite, now: number): readonly WorkItem[] =>
  site.state.handedOver || site.tooLarge ? [] : workOf(workRoomOf(site, now));

function workRoomOf(site: RoomSite, now: number): WorkRoom {
  const { room, tally, method, coats, state, applied, air: clock } = site;
  const untouched: CoatLeft = { part: 1, from: undefined, sandAt: undefined };
  const left = new Map<string, CoatLeft>();
  for (const coat of coats) {
    const progress = applied.coats.get(coat.id);
    if (!progress) continue;
    const sandAt = Math.min(LAST_INSTANT, progressClock(progress, coat, method, clock).sandAt);
    left.set(coat.id, { part: 1 - progress.share, from: undefined, sandAt: sandAt > now ? sandAt : undefined });
  }
  for (const stretch of applied.stretches) {
    const own = coats.filter((coat) => coat.class === stretch.class);
    const next = stretchNow(stretch, own, { method, applied, clock, now });
    if (next.kind !== 'wet' || !next.next) continue;
    const known = left.get(next.next.id) ?? untouched;
    left.set(next.next.id, { ...known, from: Math.max(known.from ?? 0, Math.min(LAST_INSTANT, next.until)) });
  }
  return {
    id: room.id,
    tally,
    method,
    coats,
    left: ({ id }) => left.get(id) ?? untouched,
    sanded: state.sanded !== undefined,
    checked: state.checked !== undefined,
    sealed: state.sealed !== undefined,
  };
}

/** The air of a room from now on, as far as it matters to drying. */
function airAhead({ air: { steps } }: RoomSite, now: number): readonly AirFrom[] {
  const first = Math.max(0, firstAfter(steps, now) - 1);
  return steps.slice(first).map(({ from, air: { temperature, humidity, speed } }, index) => ({
    from: index === 0 ? 0 : from,
    air: { temperature, humidity, ...(speed === undefined ? {} : { speed }) },
  }));
}
