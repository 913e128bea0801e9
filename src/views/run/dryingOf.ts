import { dayOf } from '@/core/measure/dayOf';
import type { HousePlan } from '@/core/plan/planHouse';
import type { PlanInput } from '@/core/plan/planInput';
import { workDays } from '@/core/work/shifts';

/** Of the coats that are run on a day so many may be coated again when the crew begins on its next one. */
export interface Drying {
  readonly coats: number;
  readonly ready: number;
  /** When it begins there, ms since 1970. */
  readonly begins: number;
}

/** So far ahead the next working day is looked for. */
const DAYS_LOOKED_AT = 30;

/** The drying of each day of a plan. */
export function dryingOf({ assignments }: HousePlan, { timeZone, crew }: PlanInput): ReadonlyMap<string, Drying> {
  const days = new Map<string, Drying>();
  for (const { end, ready } of assignments) {
    if (ready === undefined) continue;
    const day = dayOf(end, timeZone);
    const known = days.get(day) ?? { coats: 0, ready: 0, begins: nextBegin(end, timeZone, crew) };
    days.set(day, { ...known, coats: known.coats + 1, ready: known.ready + (ready <= known.begins ? 1 : 0) });
  }
  return days;
}

const nextBegin = (at: number, timeZone: string, crew: PlanInput['crew']): number =>
  workDays(crew, timeZone, at, DAYS_LOOKED_AT).find(({ begins }) => begins > at)?.begins ?? at;
