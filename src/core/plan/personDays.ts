import { dayOf } from '../measure/dayOf';
import type { HousePlan } from './planHouse';

/** On how many days how many people have work in a plan. */
export const personDays = ({ assignments }: HousePlan, timeZone: string): number =>
  new Set(assignments.flatMap(({ people, start }) => people.map((id) => `${id} ${dayOf(start, timeZone)}`))).size;
