import { dayOf } from '../measure/dayOf';
import { dayHours } from '../work/dayListOf';
import type { Planned } from './housePart';

/**
 * Returns the hours that people work on each day of a plan, mixing and cleaning included, by `PERSON DAY`; days without work are left out.
 *
 * @param only counts assigned work only, and no proposals
 * @example plannedHours(planned).get('petra 2031-05-06')  // 3.5
 */
export function plannedHours({ plan, input }: Planned, only: 'assigned' | 'all' = 'all'): ReadonlyMap<string, number> {
  const worked = new Map<string, number>();
  for (const { item, people, start, hours } of plan.assignments) {
    if (only === 'assigned' && !(item in input.handed)) continue;
    const day = dayOf(start, input.timeZone);
    for (const person of people) {
      const key = `${person} ${day}`;
      worked.set(key, (worked.get(key) ?? 0) + hours / people.length);
    }
  }
  return new Map([...worked].map(([key, hours]) => [key, dayHours(hours)]));
}
