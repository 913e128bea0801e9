import type { Room, RoomDefaults } from '../schema';
import { wallsOf } from '../walls';
import { checkBounds } from './checkBounds';
import { checkSize, sizeOf } from './checkSize';

/**
 * About how much work it is to work a room out, as `MOST_WORK_IN_HOUSE` counts it; undefined for one that cannot be worked
 * out while somebody waits. What is kept or brought in is refused before; this is for what came to be stored all the same.
 */
export function effortOf(room: Room, house: RoomDefaults): number | undefined {
  if (checkBounds(room, house.unit).length > 0) return undefined;
  const walls = wallsOf(room.outline, house.unit);
  return checkSize(room, walls, house).length > 0 ? undefined : sizeOf(room, walls, house).boards ** 2;
}
