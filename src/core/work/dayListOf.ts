import { type AssignedOrder, compareAssigned } from './assignedOrder';
import type { Block } from './block';
import { hoursAtPace, type Task } from './tasksOf';
import { DAY_HOURS } from './usualRates';

/** Work of a pass that was handed to one or two people for a day. */
export interface HandedPass<Room> {
  readonly room: Room;
  readonly task: Task;
  readonly people: readonly string[];
  readonly day: string;
  /** What was assigned first is done first. */
  readonly order: AssignedOrder;
  /** The earlier day that it was assigned for, where it is not done yet. */
  readonly leftFrom?: string | undefined;
  /** Only what lies on the walls, or on the ceiling. */
  readonly block?: Block | undefined;
}

/** One person's jobs for one day: unfinished ones from earlier days, then the others, as they were assigned. Hours include mixing and cleaning. */
export interface DayList<Room> {
  readonly passes: readonly HandedPass<Room>[];
  readonly hours: number;
  /** Of them what is still to do; none once all is done. */
  readonly left: number;
}

/**
 * One person's list for a day (YYYY-MM-DD). What two run together takes each of them half.
 *
 * @param paceOf how much faster they are than usual, see `rateOfCoat`
 * @param doneOf the part of a pass that is done, 0–1
 */
export function dayListOf<Room>(
  handed: readonly HandedPass<Room>[],
  person: string,
  day: string,
  paceOf: (rate: string) => number = () => 1,
  doneOf: (pass: HandedPass<Room>) => number = () => 0,
): DayList<Room> {
  const own = handed.filter((pass) => pass.people.includes(person) && pass.day === day);
  const passes = inDayOrder(own);
  const hoursOf = (pass: HandedPass<Room>) => hoursOfPass(pass, paceOf);
  const sum = (of: (pass: HandedPass<Room>) => number) => {
    return dayHours(passes.reduce((hours, pass) => hours + of(pass), 0));
  };
  // Of what is left from earlier days only the rest is of this day.
  return {
    passes,
    hours: sum((pass) => hoursOf(pass) * (pass.leftFrom ? 1 - doneOf(pass) : 1)),
    left: sum((pass) => hoursOf(pass) * (1 - doneOf(pass))),
  };
}

/** Returns assigned work in the order in which it is done: what is left from earlier days first, then as it was assigned. */
export function inDayOrder<Room>(handed: readonly HandedPass<Room>[]): readonly HandedPass<Room>[] {
  const since = ({ leftFrom, day, order }: HandedPass<Room>) => ({ day: leftFrom ?? day, order });
  return handed.toSorted((a, b) => compareAssigned(since(a), since(b)));
}

/** Returns the hours of a day with some work: mixing and cleaning are included; 0 without work. */
export const dayHours = (work: number): number => (work > 0 ? DAY_HOURS + work : 0);

/** Returns the hours that each of its people has of a job at a pace, see `rateOfCoat`. */
export const hoursOfPass = (
  { task, people }: Pick<HandedPass<unknown>, 'task' | 'people'>,
  paceOf: (rate: string) => number,
): number => hoursAtPace(task, paceOf) / people.length;
