import type { House } from '../../src/core/house/schema';
import { parseQuickLine } from '../../src/core/quickline/parseQuickLine';
import type { Room } from '../../src/core/room/schema';

/** What makes rooms differ: shapes, ceilings and what stands in them, two rooms in five plain. */
const KINDS = [
  '',
  '',
  ', tray 16x8',
  ', gable 40 walls 1 3',
  ', soffit 20x12 wall 3, cabinet 60x34 wall 3',
  ', knee 60 run 30 walls 3',
  ', niche 24x20x6 @40 wall 4 shelves 1, tile 40x60 wall 4',
  ', column 8x8 at 40 x 40',
  ', opening 36x80 wall 4 bead arch 12',
  'walk',
];

/** A house of so many mixed rooms, each with a door and a window, all different. */
export function houseOfRooms(count: number): House {
  const head = { unit: 'in', name: `${count} rooms`, hang: {}, method: { level: 4 } } as const;
  const rooms = Array.from({ length: count }, (_, index): Room => {
    const [length, width] = [96 + ((index * 37) % 200), 90 + ((index * 53) % 130)];
    const height = index % 5 === 0 ? 108 : 96;
    const kind = KINDS[index % KINDS.length] ?? '';
    const sizes =
      kind === 'walk'
        ? `r ${length} d ${width - 30} l 40 d 30 l ${length - 40} u ${width}, h ${height}`
        : `${length} x ${width} x ${height}`;
    const line = `Room ${index}: ${sizes}, door 32x80 wall 1, window 36x48 @36 wall 2 ${index % 2 === 0 ? 'bead' : 'casing'}${kind === 'walk' ? '' : kind}`;
    const reading = parseQuickLine(line, head);
    if (!reading.ok) throw new Error(`${line}: ${reading.reason}`);
    return { ...reading.room, id: `room-${index}` };
  });
  return { format: 'oak-tally-house', version: 1, ...head, rooms };
}

/** The middle of several timings, ms. */
export function median(times: readonly number[]): number {
  return [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
}
