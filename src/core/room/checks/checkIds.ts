import { PARTS, partsOf } from '../parts';
import type { Problem } from '../problem';
import type { Room } from '../schema';

/** What stands in the names of faces and edges beside ids. */
const WORDS = /^(?:c\d+|side\d+|\d+|top|bottom|left|right|head|sill|back)$/;

/** Whether the walls and parts of a room that have ids can be told by them. */
export function checkIds(room: Omit<Room, 'id'>, walls: number): readonly Problem[] {
  if (room.walls && room.walls.length !== walls)
    return [{ path: 'walls', reason: `names ${room.walls.length} walls, the room has ${walls}` }];
  const seen = new Map<string, string>();
  const said = [
    ...(room.walls ?? []).map((id, index) => [`walls[${index}]`, id] as const),
    ...PARTS.flatMap((kind) => partsOf(room, kind).map(({ id }, index) => [`${kind}[${index}].id`, id] as const)),
  ];
  return said.flatMap(([path, id]): readonly Problem[] => {
    if (id === undefined) return [];
    if (WORDS.test(id)) return [{ path, reason: `"${id}" has a meaning of its own in the names of faces and edges` }];
    const twin = seen.get(id);
    seen.set(id, path);
    return twin ? [{ path, reason: `"${id}" is the id of ${twin.replace(/\.id$/, '')} too` }] : [];
  });
}
