import type { Task } from './tasksOf';
import { DAY_HOURS } from './usualRates';

/** Work of a pass that was handed to one or two people for a day. */
export interface HandedPass<Room> {
  readonly room: Room;
  readonly task: Task;
  readonly people: readonly string[];
  readonly day: string;
}

/** What one person has for one day: the passes in the order of the house, and the hours with mixing and cleaning. */
export interface DayList<Room> {
  readonly passes: readonly HandedPass<Room>[];
  readonly hours: number;
}

/** One person's list for a day (YYYY-MM-DD). */
export function dayListOf<Room>(handed: readonly HandedPass<Room>[], person: string, day: string): DayList<Room> {
  const passes = handed.filter((pass) => pass.people.includes(person) && pass.day === day);
  return { passes, hours: passes.length === 0 ? 0 : passes.reduce((sum, { task }) => sum + task.hours, DAY_HOURS) };
}
