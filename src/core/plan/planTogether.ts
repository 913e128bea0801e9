import { distinct } from '../measure/distinct';
import type { WorkItem } from '../work/workItem';
import type { Planned } from './housePart';
import type { BoundWhy, HousePlan } from './planHouse';
import type { Handed, PlanInput } from './planInput';

/** A house that is planned with others. */
export interface HouseOfPlan {
  readonly id: string;
  readonly input: PlanInput;
}

/** Joins the inputs of several houses into one: rooms and items have their house before them. People, hours and days are those of the first. */
export function planTogether([first, ...others]: readonly [HouseOfPlan, ...HouseOfPlan[]]): PlanInput {
  const all = [first, ...others];
  const handed: Record<string, Handed> = {};
  for (const { id, input } of all)
    for (const [item, given] of Object.entries(input.handed)) handed[within(id, item)] = given;
  let airs = 0;
  return {
    ...first.input,
    rooms: all.flatMap(({ id, input }) => {
      const before = airs;
      airs += input.airs.length;
      return input.rooms.map((room) => ({
        ...room,
        id: within(id, room.id),
        name: `${room.nameInHouse}, ${room.houseName}`,
        air: room.air + before,
      }));
    }),
    airs: all.flatMap(({ input }) => input.airs),
    items: all.flatMap(({ id, input }) => input.items.map((item) => itemAs(item, (own) => within(id, own)))),
    handed,
  };
}

/** Returns the part of a plan that is one house's with the ids that the house itself has, and nothing of the others. */
export function asAlone({ input, plan }: Planned, house: string): Planned {
  const own = `${house}:`;
  const out = (id: string): string | undefined => (id.startsWith(own) ? id.slice(own.length) : undefined);
  const airs = distinct(input.rooms.map(({ air }) => air));
  return {
    input: {
      ...input,
      airs: airs.values.map((air) => input.airs[air] ?? []),
      rooms: input.rooms.map((room, index) => ({ ...room, id: out(room.id) ?? '', air: airs.places[index] ?? 0 })),
      items: input.items.map((item) => itemAs(item, (id) => out(id) ?? '')),
      handed: Object.fromEntries(
        Object.entries(input.handed).flatMap(([item, given]) => {
          const id = out(item);
          return id === undefined ? [] : [[id, given]];
        }),
      ),
    },
    plan: planAs(plan, out),
  };
}

const within = (house: string, id: string): string => `${house}:${id}`;

type Renamed = (id: string) => string;

const itemAs = (item: WorkItem, as: Renamed): WorkItem => ({
  ...item,
  id: as(item.id),
  room: as(item.room),
  after: item.after.map((one) => ({ ...one, item: as(one.item) })),
});

function planAs(plan: HousePlan, out: (id: string) => string | undefined): HousePlan {
  const as: Renamed = (id) => out(id) ?? '';
  return {
    ...plan,
    why: whyAs(plan.why, as),
    assignments: plan.assignments.map((one) => ({
      ...one,
      item: as(one.item),
      why: { ...one.why, item: one.why.item === undefined ? undefined : out(one.why.item) },
    })),
    chain: plan.chain.map(as),
    leftOut: plan.leftOut.map((one) => ({ ...one, item: as(one.item) })),
    last: plan.last.map(as),
  };
}

function whyAs(why: BoundWhy, as: Renamed): BoundWhy {
  if (why.kind === 'nothing') return why;
  const items = why.items.map(as);
  return why.kind === 'room' ? { ...why, items, room: as(why.room) } : { ...why, items };
}
