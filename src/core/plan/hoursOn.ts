import { dayOf } from '../measure/dayOf';
import { dayHours } from '../work/dayListOf';
import type { Planned } from './housePart';

/**
 * Returns the hours that somebody works on a day by a plan, mixing and cleaning included; 0 on a day without work.
 *
 * @param day YYYY-MM-DD
 * @param only counts assigned work only, and nothing that is a proposal
 */
export function hoursOn(
  { plan, input }: Planned,
  person: string,
  day: string,
  only: 'assigned' | 'all' = 'all',
): number {
  const own = plan.assignments.filter(
    ({ item, people, start }) =>
      people.includes(person) && dayOf(start, input.timeZone) === day && (only === 'all' || item in input.handed),
  );
  return dayHours(own.reduce((sum, { hours, people }) => sum + hours / people.length, 0));
}
