import type { Said } from '@/client/useLog';
import { isMoved, type Moved } from '@/client/usePlan';
import type { PlanGroundAnswer } from '@/contract/plan';
import { groupBy } from '@/core/measure/groupBy';
import type { Assignment, HousePlan } from '@/core/plan/planHouse';
import type { Handed, PlanInput } from '@/core/plan/planInput';
import { visitsOf } from '@/core/plan/visits';
import type { WorkItem } from '@/core/work/workItem';

/** Whether a card was handed out, was moved by the lead and not handed out yet, or is only proposed. */
export type CardStanding = 'handed' | 'moved' | 'proposed';

/** A visit of a plan, see `visitsOf`. Instants in ms since 1970. */
export interface PlanCard {
  readonly key: string;
  /** In the order in which they are come to. */
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
  /** The name of its house, where several are shown. */
  readonly house: string | undefined;
  readonly people: readonly string[];
  /** YYYY-MM-DD */
  readonly day: string;
  readonly start: number;
  readonly end: number;
  /** Person-hours that it takes these people. */
  readonly hours: number;
  readonly items: readonly WorkItem[];
  readonly standing: CardStanding;
  /** Why the first of it begins no sooner. */
  readonly why: Assignment['why'];
  /** Whether it begins only then because something was wet until then. */
  readonly wetBefore: boolean;
  /** The earlier day for which it was assigned. */
  readonly leftFrom: string | undefined;
}

/** Whether what is on the wall, what comes before, or what it crosses was wet until then. */
const isWetBefore = ({ cause, item }: Assignment['why'], { after }: WorkItem): boolean =>
  cause === 'wall' ||
  cause === 'crossing' ||
  (cause === 'before' && after.some((one) => one.item === item && one.until !== 'ended'));

/**
 * Returns the cards of a plan, one for each visit, in the order in which they begin.
 *
 * @param only one house: its cards, which need not say in which house they are
 */
export function planCards(
  plan: HousePlan,
  input: PlanInput,
  ground: PlanGroundAnswer,
  moved: Moved,
  only?: string,
): readonly PlanCard[] {
  const items = new Map(input.items.map((item) => [item.id, item]));
  const rooms = new Map(input.rooms.map((room) => [room.id, room]));
  const standingOf = ({ id }: WorkItem): CardStanding =>
    isMoved(id, moved, ground.input.handed) ? 'moved' : input.handed[id] ? 'handed' : 'proposed';
  const visits = visitsOf(plan.assignments, items, {
    timeZone: input.timeZone,
    least: input.crew.leastVisit,
    markOf: (item) => `${rooms.get(item.room)?.house} ${standingOf(item)}`,
  });
  return visits.flatMap(({ people, day, start, end, runs }): readonly PlanCard[] => {
    const [first] = runs;
    if (!first || (only && rooms.get(first.item.room)?.house !== only)) return [];
    const own = runs.map(({ item }) => item);
    const { why } = first.assignment;
    return [
      {
        key: `${first.item.id} ${people.join('+')} ${day}`,
        rooms: [...new Set(own.map(({ room }) => room))].flatMap((id) => {
          const room = rooms.get(id);
          return room ? [{ id, name: room.nameInHouse }] : [];
        }),
        house: only ? undefined : rooms.get(first.item.room)?.houseName,
        people,
        day,
        start,
        end,
        hours: runs.reduce((sum, { assignment }) => sum + assignment.hours, 0),
        items: own,
        standing: standingOf(first.item),
        why,
        wetBefore: isWetBefore(why, first.item),
        leftFrom: own.map(({ id }) => input.handed[id]?.day).find((given) => given !== undefined && given < day),
      },
    ];
  });
}

/** An entry that hands work out, of one house. */
type Handing = Extract<Said, { kind: 'assigned' }>;

/**
 * What is written down when items are handed out, by house: a whole round where all that is open of it goes to the same people.
 *
 * @param seen the last entry of each house that is known: what somebody handed out after it is not handed out again
 */
export function handings(
  items: readonly WorkItem[],
  { people, day }: Handed,
  input: PlanInput,
  seen: PlanGroundAnswer['seen'],
): ReadonlyMap<string, readonly Handing[]> {
  const rooms = new Map(input.rooms.map((room) => [room.id, room]));
  const rounds = groupBy(items, ({ room, pass }) => `${room} ${pass}`);
  const said = [...rounds.values()].flatMap((own) => {
    const [first] = own;
    const room = rooms.get(first?.room ?? '');
    if (!first || !room) return [];
    const open = input.items.filter((item) => item.room === first.room && item.pass === first.pass);
    const each = own.map(({ work }) => work);
    const given = new Set(own.map(({ id }) => id));
    // What is let go was perhaps given by its kinds and not by the round, or the other way round.
    const whole = open.every(({ id }) => given.has(id)) ? [first.pass] : [];
    const works = whole.length > 0 && people.length > 0 ? whole : [...new Set([...whole, ...each])];
    return works.map((work) => ({
      house: room.house,
      entry: {
        kind: 'assigned' as const,
        room: room.room,
        payload: { work, people: [...people], day, seen: seen[room.house] ?? 0 },
      },
    }));
  });
  return new Map(
    [...groupBy(said, ({ house }) => house)].map(([house, own]) => [house, own.map(({ entry }) => entry)]),
  );
}
