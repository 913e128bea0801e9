import { dayOf } from '../measure/dayOf';
import type { HousePlan } from './planHouse';
import type { PlanInput } from './planInput';

/** What a plan takes: person-hours of work, and on how many days how many people come. */
export interface WorkTime {
  readonly hours: number;
  readonly personDays: number;
  /** The hours by person. */
  readonly byPerson: Readonly<Record<string, number>>;
}

/** The hours and the days of a plan. */
export function workTime({ assignments }: HousePlan, { timeZone }: PlanInput): WorkTime {
  const days = assignments.flatMap(({ people, start }) => people.map((id) => `${id} ${dayOf(start, timeZone)}`));
  const byPerson: Record<string, number> = {};
  for (const { people, hours } of assignments)
    for (const id of people) byPerson[id] = (byPerson[id] ?? 0) + hours / people.length;
  return {
    byPerson,
    hours: assignments.reduce((sum, { hours }) => sum + hours, 0),
    personDays: new Set(days).size,
  };
}
