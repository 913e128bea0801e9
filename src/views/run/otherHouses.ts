import { dayOf } from '@/core/measure/dayOf';
import { housePart, type Planned } from '@/core/plan/housePart';
import type { HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import type { WorkItem } from '@/core/work/workItem';
import { listWords } from '@/words/coatWords';
import { changeWords } from '@/words/when';

/**
 * Says what a move costs: how much later or sooner all is done, and which other houses are done later.
 *
 * @param only the house that is looked at; undefined for all
 */
export function costWords(
  found: Planned,
  before: Planned,
  items: readonly WorkItem[],
  only: string | undefined,
): string {
  const own = found.plan.assignments.filter(({ item }) => items.some(({ id }) => id === item));
  if (own.length < items.length) return 'cannot be run there';
  if (only === undefined) return changeWords(before.plan.finish, found.plan.finish);
  const names = new Map(found.input.rooms.map((room) => [room.house, room.houseName]));
  const changes = [...names].map(([id, name]) => ({
    id,
    name,
    was: housePart(before, id).plan.finish,
    is: housePart(found, id).plan.finish,
  }));
  const here = changes.find(({ id }) => id === only);
  const later = changes.filter(({ id, was, is }) => id !== only && is > was);
  return [
    ...(here ? [changeWords(here.was, here.is)] : []),
    ...later.map(({ name, was, is }) => `${name}: ${changeWords(was, is)}`),
  ].join('; ');
}

/** Names the houses, but for one, in which somebody works on a day, by `PERSON DAY`. */
export function elsewhereOn(plan: HousePlan, input: PlanInput, only: string | undefined): ReadonlyMap<string, string> {
  const rooms = new Map(input.rooms.map((room) => [room.id, room]));
  const items = new Map(input.items.map((item) => [item.id, rooms.get(item.room)]));
  const names = new Map<string, Set<string>>();
  for (const { item, people, start } of plan.assignments) {
    const room = items.get(item);
    if (!room || room.house === only) continue;
    for (const person of people) {
      const key = `${person} ${dayOf(start, input.timeZone)}`;
      names.set(key, (names.get(key) ?? new Set()).add(room.houseName));
    }
  }
  return new Map([...names].map(([key, own]) => [key, listWords([...own])]));
}
