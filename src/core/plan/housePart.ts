import type { HousePlan } from './planHouse';
import type { PlanInput } from './planInput';

/** A plan with what it was made from. */
export interface Planned {
  readonly plan: HousePlan;
  readonly input: PlanInput;
}

/**
 * Returns what a plan of several houses says of one of them: its work, its finish and how soon that could be. People are where the whole
 * plan has them, so the house has the same dates on its own page and beside the others.
 */
export function housePart({ plan, input }: Planned, house: string): Planned {
  const rooms = input.rooms.flatMap((room) => (room.house === house ? [{ ...room, name: room.nameInHouse }] : []));
  const own = new Map(rooms.map((room) => [room.id, room]));
  const items = input.items.filter(({ room }) => own.has(room));
  const roomOf = new Map(items.map(({ id, room }) => [id, room]));
  const isOwn = (item: string) => roomOf.has(item);
  const assignments = plan.assignments.filter(({ item }) => isOwn(item));
  const last = plan.last.filter((room) => own.has(room));
  const first = assignments.filter(({ item }) => !last.includes(roomOf.get(item) ?? ''));
  const endOf = (some: HousePlan['assignments']) => some.reduce((end, one) => Math.max(end, one.end), input.from);
  // A house whose open rooms are all held is finished when they are.
  const counted = first.length > 0 ? first : assignments;
  const bound = plan.houses[house] ?? (items.length === input.items.length ? plan : undefined);
  return {
    input: { ...input, rooms, items },
    plan: {
      ...plan,
      start: assignments[0]?.start ?? input.from,
      finish: endOf(counted),
      bound: bound?.bound ?? input.from,
      why: bound?.why ?? { kind: 'nothing' },
      assignments,
      chain: chainTo(counted, isOwn),
      leftOut: plan.leftOut.filter(({ item }) => isOwn(item)),
      last,
      withHeld: first.length > 0 && last.length > 0 ? { finish: endOf(assignments) } : undefined,
      houses: {},
    },
  };
}

/** The items of a house that hold up its last one, first to last. */
function chainTo(assignments: HousePlan['assignments'], isOwn: (item: string) => boolean): readonly string[] {
  const known = new Map(assignments.map((one) => [one.item, one]));
  let next = assignments.reduce<HousePlan['assignments'][number] | undefined>(
    (last, one) => (last && last.end >= one.end ? last : one),
    undefined,
  );
  const chain: string[] = [];
  while (next && !chain.includes(next.item)) {
    if (isOwn(next.item)) chain.unshift(next.item);
    next = known.get(next.why.item ?? '');
  }
  return chain;
}
