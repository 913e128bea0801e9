import type { House, HouseHead } from '../../core/house/schema';
import { parseQuickLine } from '../../core/quickline/parseQuickLine';
import { withIds } from '../../core/room/ids';
import type { Room } from '../../core/room/schema';

const HEAD: HouseHead = { unit: 'in', name: 'Gannet Point, plot 6', hang: {}, method: { level: 4 } };

/** The rooms as a lead would type them, each with its place on the floor's plan in inches. */
const ROOMS: readonly { readonly id: string; readonly at: readonly [number, number]; readonly line: string }[] = [
  {
    id: 'day-room',
    at: [0, 0],
    line: "Day room: 20' x 14' x 9', tray 24x8, window 72x60 @24 wall 1 bead, window 36x48 @36 wall 4 bead, door 36x80 wall 2 at 8', opening 60x84 wall 3 at 2' bead depth 5",
  },
  {
    id: 'hall',
    at: [245, 0],
    line: "Hall: 8' x 14' x 8', door 36x80 wall 1, door 36x80 wall 4 at 3', door 32x80 wall 3, opening 42x86 wall 2 at 8' bead arch 14",
  },
  {
    id: 'galley',
    at: [0, 173],
    line: "Galley: 12' x 10' x 8', window 48x40 @42 wall 3 bead, window 30x40 @42 wall 4 bead, opening 60x84 wall 1 at 2' open, door 28x80 wall 2 at 1', soffit 14x12 wall 3, cabinet 96x34 wall 3 at 1'",
  },
  { id: 'pantry', at: [149, 173], line: "Pantry: 7'6 x 5' x 8', door 28x80 wall 4" },
  { id: 'coat-closet', at: [149, 238], line: "Coat closet: 7'6 x 4'7 x 8', door 28x80 wall 2" },
  {
    id: 'boot-room',
    at: [245, 173],
    line: "Boot room: 8' x 10' x 8', door 32x80 wall 1, door 36x80 wall 2, window 24x36 wall 3 bead, existing 4",
  },
  {
    id: 'lantern-room',
    at: [0, 0],
    line: "Lantern room: 20' x 14' x 8', window 60x48 @36 wall 1 bead, window 60x48 @36 wall 4 bead, door 32x80 wall 2, gable 4' walls 1 3, on Upper floor, level 5",
  },
  {
    id: 'landing',
    at: [245, 0],
    line: "Landing: 8' x 14' x 8', opening 40x80 wall 3 bead, door 32x80 wall 4, window 30x48 @36 wall 1 bead, niche 30x40x6 @36 wall 2 shelves 1, column 8x8 at 4' x 10', on Upper floor",
  },
  {
    id: 'bunk-room',
    at: [0, 173],
    line: "Bunk room: 12' x 10' x 8', door 32x80 wall 1 at 8', window 36x48 @36 wall 3 bead, window 24x36 wall 4 bead, on Upper floor",
  },
  {
    id: 'bath',
    at: [149, 173],
    line: "Bath: 7'6 x 10' x 8', door 28x80 wall 1, window 24x30 @54 wall 3 bead, tile 60x72 wall 2, tile 36x72 wall 3 at 54, on Upper floor",
  },
  {
    id: 'net-loft',
    at: [245, 173],
    line: "Net loft: 8' x 10' x 8', door 32x80 wall 1, window 36x36 wall 2 bead, knee 5' run 3' walls 4, on Upper floor",
  },
];

let made: House | undefined;

/** The invented house that ships: eleven rooms on two floors. */
export function demoHouse(): House {
  made ??= readHouse();
  return made;
}

function readHouse(): House {
  const rooms = ROOMS.map(({ id, at, line }): Room => {
    const reading = parseQuickLine(line, HEAD);
    if (!reading.ok) throw new Error(`${line}: ${reading.reason} at ${reading.at}`);
    return { ...reading.room, id, at: [at[0], at[1]] };
  });
  return { format: 'oak-tally-house', version: 2, ...HEAD, rooms: rooms.map((room) => withIds(room, HEAD.unit)) };
}
