import type { House, Room } from './schema';
import { isClockwise, wallsOf } from './walls';

/**
 * Turns every outline that runs counter-clockwise on the page, so that its walls run left to right as seen from inside.
 * The first wall stays wall 0; openings keep their wall and their distance from its left end.
 *
 * @example turnOutlines(house).rooms[0].outline  // [[0, 120], [0, 0], …] becomes [[0, 0], [0, 120], …]
 */
export function turnOutlines(house: House): House {
  return { ...house, rooms: house.rooms.map((room) => (isClockwise(room.outline) ? room : turned(room, house))) };
}

function turned(room: Room, { unit }: Pick<House, 'unit'>): Room {
  const [first, second, ...rest] = room.outline;
  if (!first || !second) return room;
  const outline: Room['outline'] = [second, first, ...rest.reverse()];
  const count = wallsOf(outline, unit).length;
  const openings = room.openings.map((opening) => ({ ...opening, wall: (count - opening.wall) % count }));
  return { ...room, outline, openings };
}
