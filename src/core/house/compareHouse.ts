import { sortedText } from '../measure/sortedText';
import { ROOM_PARTS, type Room } from '../room/schema';
import type { House, HouseHead } from './schema';

/** A room that is another in a file than in its house, and in which of its parts. */
export interface ChangedRoom {
  readonly now: Room;
  readonly file: Room;
  readonly parts: readonly (keyof Room)[];
}

/** What a house file would change in a house that is there. */
export interface HouseComparison {
  readonly added: readonly Room[];
  readonly changed: readonly ChangedRoom[];
  readonly gone: readonly Room[];
  /** How many rooms are as they are. */
  readonly same: number;
  /** Whether it is finished, and hung, in another way. */
  readonly method: boolean;
  readonly hang: boolean;
}

/**
 * Lays a house file beside the house that it may come from: rooms are the same by their ids.
 *
 * @example compareHouse(head, rooms, file).changed[0].parts  // ['openings']
 */
export function compareHouse(head: HouseHead, rooms: readonly Room[], file: House): HouseComparison {
  const known = new Map(rooms.map((room) => [room.id, room]));
  const named = new Set(file.rooms.map(({ id }) => id));
  const changed: ChangedRoom[] = [];
  const added: Room[] = [];
  for (const room of file.rooms) {
    const now = known.get(room.id);
    if (!now) added.push(room);
    else {
      const parts = differences(now, room);
      if (parts.length > 0) changed.push({ now, file: room, parts });
    }
  }
  return {
    added,
    changed,
    gone: rooms.filter(({ id }) => !named.has(id)),
    same: file.rooms.length - added.length - changed.length,
    method: sortedText(head.method) !== sortedText(file.method),
    hang: sortedText(head.hang) !== sortedText(file.hang),
  };
}

/** Parts that other pages save, without a new version of the room. */
const BESIDE: readonly (keyof Room)[] = ['at', 'method'];

/**
 * Takes parts of a room over from a file; whatever else the room has stays.
 *
 * @param parts all that the editor of a room says where they are left out
 * @example takeParts(hall, { ...fromFile, height: 108 }, ['height'])  // the hall, 9 ft high
 */
export function takeParts(now: Room, file: Room, parts?: readonly (keyof Room)[]): Room {
  const taken = parts ?? ROOM_PARTS.filter((part) => !BESIDE.includes(part));
  const whole = { ...now, ...Object.fromEntries(taken.map((part) => [part, file[part]])) };
  return Object.fromEntries(Object.entries(whole).filter(([, value]) => value !== undefined)) as unknown as Room;
}

function differences(a: Room, b: Room): readonly (keyof Room)[] {
  const parts = [...new Set([...Object.keys(a), ...Object.keys(b)])] as (keyof Room)[];
  return parts.filter((part) => sortedText(a[part] ?? null) !== sortedText(b[part] ?? null));
}
