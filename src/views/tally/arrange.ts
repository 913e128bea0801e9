/** A room as the list shows it. */
export interface ListedRoom {
  readonly id: string;
  readonly name: string;
  readonly level: string;
  /** All joints of the room, mm. */
  readonly length: number;
}

/** The floors in the order in which they first appear, with their rooms. */
export function levelsOf<Room extends { readonly level: string }>(
  rooms: readonly Room[],
): readonly { readonly level: string; readonly rooms: readonly Room[] }[] {
  const levels = [...new Set(rooms.map(({ level }) => level))];
  return levels.map((level) => ({ level, rooms: rooms.filter((room) => room.level === level) }));
}

/**
 * The rooms after one was dropped on another: it takes that one's place and its floor.
 *
 * @example moved([a, b, c], 'a', 'c')  // [b, c, a]
 */
export function moved<Room extends { readonly id: string; readonly level: string }>(
  rooms: readonly Room[],
  id: string,
  over: string,
): readonly Room[] {
  // As they are shown: floor by floor.
  const shown = levelsOf(rooms).flatMap((level) => level.rooms);
  const [from, to] = [shown.findIndex((room) => room.id === id), shown.findIndex((room) => room.id === over)];
  const [room, target] = [shown[from], shown[to]];
  if (!room || !target) return rooms;
  const rest = shown.filter((other) => other !== room);
  rest.splice(to, 0, { ...room, level: target.level });
  return rest;
}
