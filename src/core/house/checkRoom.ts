import { formatLength } from '../measure/formatLength';
import { overlapOf } from '../measure/span';
import { type LengthUnit, TOLERANCE_MM, toMm } from '../measure/unit';
import { dot } from '../measure/vector';
import type { Problem } from './problem';
import { resolveHang } from './resolveHang';
import type { HouseHead, Opening, Room } from './schema';
import { isClockwise, type Wall, wallsOf } from './walls';

const SHORTEST_WALL_MM = 50;
const LONGEST_WALL_MM = 60_000;
const TALLEST_WALL_MM = 15_000;
const SQUARE = Math.sin(Math.PI / 180);

/**
 * What no schema can see: whether the outline is a room, and whether the openings fit their walls. Paths are relative
 * to the room (`openings[1].width`).
 */
export function checkRoom(room: Room, house: Pick<HouseHead, 'unit' | 'hang'>): readonly Problem[] {
  const outline = checkOutline(room, house.unit);
  if (outline.length > 0) return outline;
  const walls = wallsOf(room.outline, house.unit);
  return [
    ...checkHeight(room, house.unit),
    ...room.openings.flatMap((_, index) => checkOpening(room, index, walls, house.unit)),
    ...checkHang(room, house),
  ];
}

function checkOutline(room: Room, unit: LengthUnit): readonly Problem[] {
  if (!isClockwise(room.outline)) {
    return [
      {
        path: 'outline',
        reason: 'runs counter-clockwise on the page (y points down); turn it round',
        mend: 'reverse-outline',
      },
    ];
  }
  const walls = wallsOf(room.outline, unit);
  const square =
    walls.length === 4 &&
    walls.every((wall, index) => Math.abs(dot(wall.along, walls[(index + 1) % 4]?.along ?? wall.along)) < SQUARE);
  if (!square) return [{ path: 'outline', reason: 'is not a rectangle; rooms of other shapes are not built yet' }];
  const bad = walls.find(({ length }) => length < SHORTEST_WALL_MM || length > LONGEST_WALL_MM);
  return bad
    ? [
        {
          path: 'outline',
          reason: `makes wall ${bad.index + 1} ${formatLength(bad.length, unit)} long, which no wall is`,
        },
      ]
    : [];
}

function checkHeight(room: Room, unit: LengthUnit): readonly Problem[] {
  const height = toMm(room.height, unit);
  if (height >= SHORTEST_WALL_MM && height <= TALLEST_WALL_MM) return [];
  return [{ path: 'height', reason: `of ${formatLength(height, unit)} is no height of a room` }];
}

function checkOpening(room: Room, index: number, walls: readonly Wall[], unit: LengthUnit): readonly Problem[] {
  const opening = room.openings[index];
  if (!opening) return [];
  const at = (field: keyof Opening) => `openings[${index}].${field}`;
  const wall = walls[opening.wall];
  if (!wall)
    return [
      {
        path: at('wall'),
        reason: `the room has ${walls.length} walls, numbered from 0 to ${walls.length - 1} in the file`,
      },
    ];
  const mm = (length: number) => toMm(length, unit);
  const right = mm(opening.at + opening.width);
  if (right > wall.length + TOLERANCE_MM) {
    const over = formatLength(right - wall.length, unit);
    const fits = mm(opening.width) <= wall.length + TOLERANCE_MM;
    return [
      {
        path: at(fits ? 'at' : 'width'),
        reason: `the ${opening.kind} runs ${over} past the right end of wall ${opening.wall + 1} (${formatLength(wall.length, unit)})`,
      },
    ];
  }
  const top = mm(opening.sill + opening.height);
  if (top > mm(room.height) + TOLERANCE_MM) {
    return [
      {
        path: at('height'),
        reason: `the ${opening.kind} reaches ${formatLength(top - mm(room.height), unit)} above the wall (${formatLength(mm(room.height), unit)})`,
      },
    ];
  }
  if (opening.edge === 'bead' && opening.depth === 0)
    return [{ path: at('depth'), reason: 'must be greater than 0 where the return is boarded' }];
  const other = room.openings.findIndex(
    (candidate, otherIndex) => otherIndex < index && candidate.wall === opening.wall && overlaps(candidate, opening),
  );
  return other < 0
    ? []
    : [{ path: at('at'), reason: `the ${opening.kind} lies over opening ${other + 1} of the same wall` }];
}

function overlaps(a: Opening, b: Opening): boolean {
  const across = overlapOf({ from: a.at, to: a.at + a.width }, { from: b.at, to: b.at + b.width });
  const up = overlapOf({ from: a.sill, to: a.sill + a.height }, { from: b.sill, to: b.sill + b.height });
  return across !== undefined && up !== undefined;
}

function checkHang(room: Room, house: Pick<HouseHead, 'unit' | 'hang'>): readonly Problem[] {
  const { boards, framing } = resolveHang(house, room);
  const short = boards.find(({ lengths }) => Math.max(...lengths) < framing - TOLERANCE_MM);
  return short
    ? [
        {
          path: 'hang.framing',
          reason: `is wider than the longest board (${formatLength(Math.max(...short.lengths), house.unit)})`,
        },
      ]
    : [];
}
