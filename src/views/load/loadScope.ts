import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';

const FLOOR = 'floor:';
const ROOM = 'room:';

/** A house or a part of it, as an address names it. */
export interface LoadScope {
  readonly value: string;
  /** Within a sentence. */
  readonly title: string;
  readonly rooms: readonly RoomSnapshot[];
}

/** The rooms that an address asks for: those of a floor, one room, else all of the house. */
export function loadScope(rooms: readonly RoomSnapshot[], asked: string | readonly string[] | undefined): LoadScope {
  const value = typeof asked === 'string' ? asked : '';
  const own = rooms.filter(({ room }) => value === FLOOR + room.floor || value === ROOM + room.id);
  const [first] = own;
  if (!first) return { value: '', title: 'the whole house', rooms };
  return { value, title: value.startsWith(FLOOR) ? `the floor ${first.room.floor}` : first.room.name, rooms: own };
}

/** What can be asked for, with its name. */
export function scopesOf(rooms: readonly RoomSnapshot[]): readonly (readonly [value: string, words: string])[] {
  const floors = [...new Set(rooms.map(({ room }) => room.floor))];
  return [
    ['', 'Whole house'],
    ...(floors.length > 1 ? floors.map((floor) => [FLOOR + floor, floor] as const) : []),
    ...rooms.map(({ room }) => [ROOM + room.id, room.name] as const),
  ];
}
