/** A room as the list shows it. */
export interface ListedRoom {
  readonly id: string;
  readonly name: string;
  readonly floor: string;
  /** All joints of the room, mm. */
  readonly length: number;
}

/** The floors in the order in which they first appear, with their rooms. */
export function floorsOf<Room extends { readonly floor: string }>(
  rooms: readonly Room[],
): readonly { readonly floor: string; readonly rooms: readonly Room[] }[] {
  const floors = [...new Set(rooms.map(({ floor }) => floor))];
  return floors.map((floor) => ({ floor, rooms: rooms.filter((room) => room.floor === floor) }));
}

/**
 * The rooms after one was dropped on another: it takes that one's place and its floor.
 *
 * @example moved([a, b, c], 'a', 'c')  // [b, c, a]
 */
export function moved<Room extends { readonly id: string; readonly floor: string }>(
  rooms: readonly Room[],
  id: string,
  over: string,
): readonly Room[] {
  // As they are shown: floor by floor.
  const shown = floorsOf(rooms).flatMap((floor) => floor.rooms);
  const [from, to] = [shown.findIndex((room) => room.id === id), shown.findIndex((room) => room.id === over)];
  const [room, target] = [shown[from], shown[to]];
  if (!room || !target) return rooms;
  const rest = shown.filter((other) => other !== room);
  rest.splice(to, 0, { ...room, floor: target.floor });
  return rest;
}
