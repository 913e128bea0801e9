import { readHouse } from '@/core/house/readHouse';
import type { House } from '@/core/house/schema';
import { takeOff } from '@/core/joints/takeOff';
import { problemText } from '@/core/room/problem';
import type { Room } from '@/core/room/schema';

const IN = 25.4;

/** A room of a house file in inches: 12 ft × 10 ft × 8 ft unless said otherwise. */
export const fileRoom = (rest: object = {}) => ({
  id: 'room',
  name: 'Room',
  outline: [
    [0, 0],
    [144, 0],
    [144, 120],
    [0, 120],
  ],
  height: 96,
  ...rest,
});

/** A house file with one room, in inches. */
export const houseFile = (rest: object = {}, head: object = {}) => ({
  format: 'oak-tally-house',
  version: 1,
  unit: 'in',
  name: 'House',
  ...head,
  rooms: [fileRoom(rest)],
});

/** The house and its only room, read. */
export function readRoom(rest: object = {}, head: object = {}): { readonly house: House; readonly room: Room } {
  const reading = readHouse(houseFile(rest, head));
  const room = reading.ok ? reading.house.rooms[0] : undefined;
  if (!reading.ok || !room) throw new Error(reading.ok ? 'no room' : reading.problems.map(problemText).join('; '));
  return { house: reading.house, room };
}

/** What is refused of a room, as text. */
export function refusalsOf(rest: object, head: object = {}): readonly string[] {
  const reading = readHouse(houseFile(rest, head));
  return reading.ok ? [] : reading.problems.map(problemText);
}

/** The take-off of a room in inches: lengths and counts by class, and the rest. */
export function inchesOf(rest: object, head: object = {}) {
  const { house, room } = readRoom(rest, head);
  const result = takeOff(room, house);
  const { tally } = result;
  const round = (value: number) => Math.round(value * 1000) / 1000;
  const total = ({ length, count }: { length: number; count: number }) => [round(length / IN), count] as const;
  return {
    result,
    tally,
    area: round(tally.boardArea / IN ** 2),
    classes: Object.fromEntries(
      Object.entries(tally.classes).flatMap(([kind, found]) => (found.count > 0 ? [[kind, total(found)]] : [])),
    ),
    profiles: Object.fromEntries(
      Object.entries(tally.profiles).map(([profile, found]) => [profile, total(found ?? { length: 0, count: 0 })]),
    ),
  };
}
