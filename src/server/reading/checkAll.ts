import type { HouseHead } from '../../core/house/schema';
import { checkRoom } from '../../core/room/checks/checkRoom';
import { checkHouseSize } from '../../core/room/checks/checkSize';
import type { Problem } from '../../core/room/problem';
import type { Room } from '../../core/room/schema';

/** The first room that cannot be so, and why; or what is wrong with the house as a whole. */
export interface FirstProblem extends Problem {
  /** The room's name; undefined for the house as a whole. */
  readonly room: string | undefined;
}

/**
 * Checks rooms of a house as they are going to be.
 *
 * @param rooms those that are new or changed
 * @param all every room of the house, where it may become too large by them
 */
export function checkAll(head: HouseHead, rooms: readonly Room[], all?: readonly Room[]): FirstProblem | undefined {
  for (const room of rooms) {
    const [problem] = checkRoom(room, head);
    if (problem) return { ...problem, room: room.name };
  }
  const [large] = all ? checkHouseSize(all, head) : [];
  return large && { ...large, room: undefined };
}
