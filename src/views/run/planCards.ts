import type { Said } from '@/client/useLog';
import { isMoved, type Moved } from '@/client/usePlan';
import type { PlanGroundAnswer } from '@/contract/plan';
import { dayOf } from '@/core/measure/dayOf';
import { groupBy } from '@/core/measure/groupBy';
import type { Assignment, HousePlan } from '@/core/plan/planHouse';
import type { Handed, PlanInput } from '@/core/plan/planInput';
import { workOn } from '@/core/work/block';
import { halfOf } from '@/core/work/splitItems';
import type { WorkItem } from '@/core/work/workItem';

/** Whether a card was handed out, was moved by the lead and not handed out yet, or is only proposed. */
export type CardStanding = 'handed' | 'moved' | 'proposed';

/** What the same people run of one round through a room, or through its walls or ceiling, on one day. Instants in ms since 1970. */
export interface PlanCard {
  readonly key: string;
  readonly room: { readonly id: string; readonly name: string };
  readonly pass: WorkItem['pass'];
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
  /** What was handed out for another day than it can be run on. */
  readonly slipped: string | undefined;
}

/** Whether what is on the wall, what comes before, or what it crosses was wet until then. */
const isWetBefore = ({ cause, item }: Assignment['why'], { after }: WorkItem): boolean =>
  cause === 'wall' ||
  cause === 'crossing' ||
  (cause === 'before' && after.some((one) => one.item === item && one.until !== 'ended'));

/** The cards of a plan, in the order in which they begin. */
export function planCards(
  plan: HousePlan,
  input: PlanInput,
  ground: PlanGroundAnswer,
  moved: Moved,
): readonly PlanCard[] {
  const items = new Map(input.items.map((item) => [item.id, item]));
  const rooms = new Map(input.rooms.map((room) => [room.id, room]));
  const cards: PlanCard[] = [];
  /** What somebody runs, by person: other work in between makes another card. */
  const runs = new Map<string, number>();
  for (const { item: id, people, start, end, hours, why } of plan.assignments) {
    const item = items.get(id);
    const room = rooms.get(item?.room ?? '');
    if (!item || !room) continue;
    const day = dayOf(start, input.timeZone);
    const given = input.handed[id];
    const standing = isMoved(id, moved, ground.input.handed) ? 'moved' : given ? 'handed' : 'proposed';
    const key = [room.id, workOn(item.pass, halfOf(item)), people.join('+'), day, standing].join(' ');
    const place = runs.get(people[0] ?? '');
    const known = place === undefined ? undefined : cards[place];
    const goesOn = known?.key.startsWith(`${key} `) === true && people.every((person) => runs.get(person) === place);
    const card: PlanCard = {
      key: goesOn ? known.key : `${key} ${id}`,
      room: { id: room.id, name: room.name },
      pass: item.pass,
      people,
      day,
      start: goesOn ? known.start : start,
      end,
      hours: (goesOn ? known.hours : 0) + hours,
      items: goesOn ? [...known.items, item] : [item],
      standing,
      why: goesOn ? known.why : why,
      wetBefore: goesOn ? known.wetBefore : isWetBefore(why, item),
      slipped: (goesOn ? known.slipped : undefined) ?? (given && given.day < day ? given.day : undefined),
    };
    if (goesOn && place !== undefined) cards[place] = card;
    else {
      for (const person of people) runs.set(person, cards.length);
      cards.push(card);
    }
  }
  return cards;
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
