import type { WorkItem } from '../work/workItem';
import type { Handed, PlanInput } from './planInput';

/** A house that is planned with others. */
export interface HouseOfPlan {
  readonly id: string;
  readonly name: string;
  readonly input: PlanInput;
}

/**
 * The input of a plan of several houses at once: their rooms are told apart by the house, and nobody is elsewhere who is in one
 * of them. People, hours and days are those of the first.
 */
export function planTogether([first, ...others]: readonly [HouseOfPlan, ...HouseOfPlan[]]): PlanInput {
  const all = [first, ...others];
  const handed: Record<string, Handed> = {};
  for (const { id, input } of all)
    for (const [item, given] of Object.entries(input.handed)) handed[within(id, item)] = given;
  let airs = 0;
  return {
    ...first.input,
    rooms: all.flatMap(({ id, name, input }) => {
      const before = airs;
      airs += input.airs.length;
      return input.rooms.map((room) => ({
        ...room,
        id: within(id, room.id),
        name: `${room.name}, ${name}`,
        air: room.air + before,
      }));
    }),
    airs: all.flatMap(({ input }) => input.airs),
    items: all.flatMap(({ id, input }) => input.items.map((item) => itemWithin(id, item))),
    people: first.input.people.map((person) => ({ ...person, elsewhere: [] })),
    handed,
  };
}

const within = (house: string, id: string): string => `${house}:${id}`;

const itemWithin = (house: string, item: WorkItem): WorkItem => ({
  ...item,
  id: within(house, item.id),
  room: within(house, item.room),
  after: item.after.map((one) => ({ ...one, item: within(house, one.item) })),
});
