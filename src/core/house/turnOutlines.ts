import { renumberWalls } from '../room/renumberWalls';
import type { Room } from '../room/schema';
import { turnedOutline } from '../room/turnedOutline';
import { isClockwise, wallsOf } from '../room/walls';
import type { House } from './schema';

/**
 * Turns every outline that runs counter-clockwise on the page, so that its walls run left to right as seen from inside.
 * The first wall stays wall 0; what stands on a wall keeps its wall and its distance from the left end.
 *
 * @example turnOutlines(house).rooms[0].outline  // [[0, 120], [0, 0], …] becomes [[0, 0], [0, 120], …]
 */
export function turnOutlines(house: House): House {
  return { ...house, rooms: house.rooms.map((room) => (isClockwise(room.outline) ? room : turned(room, house))) };
}

function turned(room: Room, { unit }: Pick<House, 'unit'>): Room {
  const outline = turnedOutline(room.outline);
  const count = wallsOf(outline, unit).length;
  return renumberWalls({ ...room, outline }, (wall) => (count - wall) % count);
}
