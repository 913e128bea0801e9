import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { betweenHours } from '../work/tasksOf';

/** Person-hours by the usual rates that go into making rooms smooth. */
export interface Smoothing {
  /** Scraping, wiping or sanding each coat before the next one. */
  readonly between: number;
  readonly sanding: number;
  /** What the last sanding takes of all hours, 0–1. */
  readonly share: number;
}

/** What rooms take to be sanded in the end, beside what is done to each coat so that there is less to sand. */
export function smoothing(rooms: readonly Pick<RoomSnapshot, 'coats' | 'method' | 'tasks'>[]): Smoothing {
  let [between, sanding, all] = [0, 0, 0];
  for (const { coats, method, tasks } of rooms) {
    for (const coat of coats) between += betweenHours(coat, coats, method);
    for (const { pass, hours } of tasks) {
      all += hours;
      if (pass === 'sand') sanding += hours;
    }
  }
  return { between, sanding, share: all > 0 ? sanding / all : 0 };
}
