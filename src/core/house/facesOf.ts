import { type LengthUnit, MM_PER_INCH, toMm } from '../measure/unit';
import { add, minus, times, type Vector } from '../measure/vector';
import { type Face, type Hole, inRoom } from './face';
import type { Opening, Room } from './schema';
import { type Wall, wallsOf } from './walls';

const DOWN: Vector = [0, 0, -1];
const UP: Vector = [0, 0, 1];

/** The depth of a boarded return when none is given: common practice, no source. */
export const USUAL_RETURN_MM = 6 * MM_PER_INCH;

/**
 * The faces that a room is made of: walls `w0…`, the ceiling `c0`, then boarded returns `w0.o1.head`. Everything later
 * works on faces and never asks what made them.
 */
export function facesOf(room: Room, unit: LengthUnit): readonly Face[] {
  const walls = wallsOf(room.outline, unit);
  const height = toMm(room.height, unit);
  const wallFaces = walls.map((wall) => wallFace(wall, height, room, unit));
  const returns = room.openings.flatMap((opening, index) => {
    const face = wallFaces[opening.wall];
    const hole = face?.holes.find((candidate) => candidate.opening === index);
    return face && hole && opening.edge === 'bead' ? returnFaces(face, hole, opening, unit) : [];
  });
  return [...wallFaces, ...(room.ceiling.shape === 'flat' ? [ceilingFace(walls, height)] : []), ...returns];
}

function wallFace(wall: Wall, height: number, room: Room, unit: LengthUnit): Face {
  const holes = room.openings.flatMap((opening, index): readonly Hole[] => {
    if (opening.wall !== wall.index) return [];
    const mm = (length: number) => toMm(length, unit);
    const top = mm(opening.sill + opening.height);
    return [
      {
        opening: index,
        kind: opening.kind,
        u0: mm(opening.at),
        u1: mm(opening.at + opening.width),
        v0: height - top,
        v1: height - mm(opening.sill),
      },
    ];
  });
  return {
    id: `w${wall.index}`,
    kind: 'wall',
    width: wall.length,
    height,
    holes,
    origin: [wall.from[0], wall.from[1], height],
    u: wall.along,
    v: DOWN,
    normal: wall.inward,
  };
}

function ceilingFace(walls: readonly Wall[], height: number): Face {
  const [first, second] = walls;
  if (!first || !second) throw new RangeError('a rectangle has four walls');
  return {
    id: 'c0',
    kind: 'ceiling',
    width: first.length,
    height: second.length,
    holes: [],
    origin: [first.from[0], first.from[1], height],
    u: first.along,
    v: first.inward,
    normal: DOWN,
  };
}

/** The boards that line an opening: they run from the wall's surface outward by the return's depth. */
function returnFaces(wall: Face, hole: Hole, opening: Opening, unit: LengthUnit): readonly Face[] {
  const depth = opening.depth === undefined ? USUAL_RETURN_MM : toMm(opening.depth, unit);
  const outward = times(wall.normal, -1);
  const topLeft = inRoom(wall, [hole.u0, hole.v0]);
  const topRight = inRoom(wall, [hole.u1, hole.v0]);
  const bottomLeft = inRoom(wall, [hole.u0, hole.v1]);
  const wide = hole.u1 - hole.u0;
  const tall = hole.v1 - hole.v0;
  const name = `${wall.id}.o${hole.opening}`;
  const piece = (
    part: string,
    origin: Vector,
    u: Vector,
    v: Vector,
    normal: Vector,
    width: number,
    height: number,
  ): Face => ({
    id: `${name}.${part}`,
    kind: 'return',
    width,
    height,
    holes: [],
    origin,
    u,
    v,
    normal,
  });
  return [
    piece('head', topLeft, wall.u, outward, DOWN, wide, depth),
    piece('left', topLeft, outward, DOWN, wall.u, depth, tall),
    piece(
      'right',
      add(topRight, times(outward, depth)),
      minus([0, 0, 0], outward),
      DOWN,
      times(wall.u, -1),
      depth,
      tall,
    ),
    ...(opening.sill > 0 ? [piece('sill', bottomLeft, wall.u, outward, UP, wide, depth)] : []),
  ];
}
