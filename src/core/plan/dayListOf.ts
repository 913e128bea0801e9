import { DAY_HOURS } from './rates';
import type { Task } from './tasksOf';

/** A pass that was handed to somebody for a day. */
export interface HandedPass<Room> {
  readonly room: Room;
  readonly task: Task;
  readonly person: string;
  readonly day: string;
}

/** What one person has for one day: the passes in the order of the house, and the hours with mixing and cleaning. */
export interface DayList<Room> {
  readonly passes: readonly HandedPass<Room>[];
  readonly hours: number;
}

/** One person's list for a day (YYYY-MM-DD). */
export function dayListOf<Room>(handed: readonly HandedPass<Room>[], person: string, day: string): DayList<Room> {
  const passes = handed.filter((pass) => pass.person === person && pass.day === day);
  return { passes, hours: passes.length === 0 ? 0 : passes.reduce((sum, { task }) => sum + task.hours, DAY_HOURS) };
}
