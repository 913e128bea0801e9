import type { WorkItem } from '../work/workItem';
import type { PlanPerson } from './planInput';

/**
 * Hours from begin to end that some people take for work which they run together, by their own pace where it is known.
 *
 * @example teamHours([{ hours: 3, rate: 'x' }], [{ pace: { x: 2 } }, { pace: {} }])  // 1
 */
export const teamHours = (
  items: readonly Pick<WorkItem, 'hours' | 'rate'>[],
  people: readonly Pick<PlanPerson, 'pace'>[],
): number =>
  items.reduce((sum, { hours, rate }) => {
    const pace = people.reduce((all, own) => all + (own.pace[rate] ?? 1), 0);
    return sum + hours / Math.max(pace, Number.MIN_VALUE);
  }, 0);
