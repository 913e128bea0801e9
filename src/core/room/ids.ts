import type { LengthUnit } from '../measure/unit';
import { MOST_GIVEN } from './kinds';
import { PARTS, type PartKind, type PartOf, partsOf } from './parts';
import type { Room } from './schema';
import { wallsOf } from './walls';

/** What a room says of its own parts, with or without an id of the room itself. */
export type Parted = Omit<Room, 'id' | 'at'>;

const FIRST_LETTER = { walls: 'w', openings: 'o', soffits: 's', niches: 'n', columns: 'k', zones: 'z' } as const;

/** The id of a wall; of a room whose walls have none, by its number: `w0`. */
export const wallId = ({ walls }: Pick<Room, 'walls'>, wall: number): string => walls?.[wall] ?? `w${wall}`;

const partId = <Kind extends PartKind>(kind: Kind, part: PartOf<Kind>, index: number): string =>
  part.id ?? `${FIRST_LETTER[kind]}${index}`;

/** Every wall and part of a room: what it is called by its number, and its id. */
const callings = (room: Parted): readonly (readonly [place: string, id: string])[] => [
  ...(room.walls ?? []).map((id, wall) => [`w${wall}`, id] as const),
  ...PARTS.flatMap((kind) =>
    partsOf(room, kind).map((part, index) => [`${FIRST_LETTER[kind]}${index}`, partId(kind, part, index)] as const),
  ),
];

/**
 * How what is called by number is called by id. `c0` and the words for sides (`head`, `top`) stand for themselves.
 *
 * @example namesIn(room)('w1.o0.head')  // 'w1.o4.head', where the first opening is o4
 */
export function namesIn(room: Parted): (place: string) => string {
  const names = new Map(callings(room).filter(([place, id]) => place !== id));
  return names.size === 0 ? (place) => place : (place) => renamed(place, names);
}

/** The other way round: by number, what is called by id. */
export function placesIn(room: Parted): (name: string) => string {
  const places = new Map(callings(room).map(([place, id]) => [id, place]));
  return (name) => renamed(name, places);
}

/** A name such as `w0.o1.head` or `w0~c0`, part for part. */
const renamed = (name: string, names: ReadonlyMap<string, string>): string =>
  name.replace(/\w+/g, (part) => names.get(part) ?? part);

/** Says of faces and edges of a room what was said under other names. */
export function withNames<Some extends Parted>(room: Some, name: (before: string) => string): Some {
  const named = <Value>(values: Readonly<Record<string, Value>>): Record<string, Value> =>
    Object.fromEntries(Object.entries(values).map(([key, value]) => [name(key), value]));
  return {
    ...room,
    ...(room.beads?.edges && { beads: { ...room.beads, edges: named(room.beads.edges) } }),
    ...(room.finish?.faces && { finish: { ...room.finish, faces: named(room.finish.faces) } }),
    ...(room.hung && { hung: named(room.hung) }),
  };
}

/** A room without ids of its parts: they are called by their number, as a new room's are. */
export function withoutIds<Some extends Parted>(room: Some): Some {
  const { walls: _walls, given: _given, ...plain } = withNames(room, placesIn(room));
  let bare = plain as Some;
  for (const kind of PARTS) {
    const parts = partsOf(bare, kind).map(({ id: _id, ...part }) => part);
    if (parts.length > 0) bare = { ...bare, [kind]: parts };
  }
  return bare;
}

/**
 * Gives an id to every part that has none: its number, as it was called until now, unless that is taken or was given
 * before (`given` counts them, so that none is given twice). What is said of it by number goes along.
 */
export function withIds<Some extends Parted>(room: Some, houseUnit: LengthUnit): Some {
  const taken = new Set(idsIn(room));
  let given = Math.max(room.given ?? -1, ...[...taken].map(numberOf));
  const names = new Map<string, string>();
  const nameFor = (kind: keyof typeof FIRST_LETTER, index: number): string => {
    const place = `${FIRST_LETTER[kind]}${index}`;
    const isFree = room.given === undefined && !taken.has(place);
    const id = isFree ? place : freshId(FIRST_LETTER[kind], given, taken);
    given = Math.max(given, numberOf(id));
    if (!taken.has(place)) names.set(place, id);
    taken.add(id);
    return id;
  };
  let whole: Some = {
    ...room,
    walls: room.walls ?? wallsOf(room.outline, houseUnit).map(({ index }) => nameFor('walls', index)),
  };
  for (const kind of PARTS) {
    const parts = partsOf(whole, kind).map((part, index) => ({ ...part, id: part.id ?? nameFor(kind, index) }));
    if (parts.length > 0) whole = { ...whole, [kind]: parts };
  }
  return { ...withNames(whole, (name) => renamed(name, names)), given };
}

/** An id that nothing in a room ever had. */
export function freshId(letter: string, given: number, taken: ReadonlySet<string>): string {
  let number = given < MOST_GIVEN ? given + 1 : 0;
  while (taken.has(`${letter}${number}`)) number += 1;
  return `${letter}${number}`;
}

/** Every id that a room's walls and parts have. */
export const idsIn = (room: Parted): readonly string[] => [
  ...(room.walls ?? []),
  ...PARTS.flatMap((kind) => partsOf(room, kind).flatMap(({ id }) => (id === undefined ? [] : [id]))),
];

/** The number of an id that was given here; −1 for one that somebody chose. */
export const numberOf = (id: string): number => Number(/^[a-z](\d{1,6})$/.exec(id)?.[1] ?? -1);
