import type { HandedPass } from '../plan/dayListOf';
import type { Task } from '../plan/tasksOf';
import type { RoomSite } from './siteOf';

/** Every pass that has been handed to somebody, in the order of the house. */
export function handedPasses(rooms: readonly RoomSite[]): readonly HandedPass<RoomSite>[] {
  return rooms.flatMap((room) =>
    room.tasks.flatMap((task) => {
      const given = room.state.assignments.get(task.pass);
      return given ? [{ room, task, ...given }] : [];
    }),
  );
}

/** The part of a pass that is done, 0–1. */
export function passDone({ state, applied }: RoomSite, task: Task): number {
  if (task.pass === 'sand') return state.sanded ? 1 : 0;
  const shares = task.coats.map((coat) => applied.coats.get(coat.id)?.share ?? 0);
  return shares.reduce((sum, share) => sum + share, 0) / Math.max(1, shares.length);
}
