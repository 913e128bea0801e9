import { areaOfLoops, rectangle } from '../../measure/polygon';
import { type LengthUnit, MM_PER_INCH, toMm } from '../../measure/unit';
import { add, type Loop, type Point, times, type Vector } from '../../measure/vector';
import type { Opening, Room } from '../schema';
import type { Wall } from '../walls';
import { type Arch, type Face, type Hole, inRoom, type SpaceEdge } from './face';
import { DOWN, plainFace, rectangularFace, UP } from './makeFace';

/** The depth of a boarded return when none is given: common practice, no source. */
export const USUAL_RETURN_MM = 6 * MM_PER_INCH;
/** Straight steps that stand for an arch in drawings and in the take-off of boards. */
const ARCH_STEPS = 48;

/** Nobody hangs a strip of board this narrow beside an opening. */
const SLIVER_MM = 1;

/** The holes of a wall's openings, in its coordinates with `v` down from `top`; mm. */
export function holesOf(
  room: Room,
  { index: wallIndex, length }: Pick<Wall, 'index' | 'length'>,
  top: number,
  houseUnit: LengthUnit,
): readonly Hole[] {
  const mm = (length: number) => toMm(length, houseUnit);
  return room.openings.flatMap((opening, index): readonly Hole[] => {
    if (opening.wall !== wallIndex) return [];
    const [left, right] = [mm(opening.at), mm(opening.at + opening.width)];
    const [u0, u1] = [left < SLIVER_MM ? 0 : left, right > length - SLIVER_MM ? length : right];
    const [v0, v1] = [top - mm(opening.sill + opening.height), top - mm(opening.sill)];
    const rise = mm(opening.head?.arch ?? 0);
    const lining = opening.edge === 'bead' ? `w${wallIndex}.o${index}.head` : undefined;
    const arch = rise > 0 ? archOver(u0, u1, v0, rise, lining) : undefined;
    const loop: Loop = arch ? [...arch.curve, [u1, v1], [u0, v1]] : rectangle(u0, u1, v0, v1);
    return [{ id: `o${index}`, opening: index, kind: opening.kind, u0, u1, v0, v1, loop, arch }];
  });
}

/** A circular arc from springing to springing, its crown at `v0`. */
function archOver(u0: number, u1: number, v0: number, rise: number, lining: string | undefined): Arch {
  const half = (u1 - u0) / 2;
  const radius = (half * half + rise * rise) / (2 * rise);
  const spread = Math.atan2(half, radius - rise);
  const curve = Array.from({ length: ARCH_STEPS + 1 }, (_, step): Point => {
    const angle = -spread + (2 * spread * step) / ARCH_STEPS;
    return [u0 + half + radius * Math.sin(angle), v0 + radius - radius * Math.cos(angle)];
  });
  const trueArea = radius * radius * (spread - Math.sin(spread) * Math.cos(spread));
  return { length: 2 * radius * spread, spread, curve, slivers: trueArea - Math.abs(areaOfLoops([curve])), lining };
}

/** The boards that line an opening: they run from the wall's surface outward by the return's depth. */
export function returnFaces(wall: Face, hole: Hole, opening: Opening, houseUnit: LengthUnit): readonly Face[] {
  const depth = opening.depth === undefined ? USUAL_RETURN_MM : toMm(opening.depth, houseUnit);
  const outward = times(wall.normal, -1);
  const springing = hole.arch?.curve[0]?.[1] ?? hole.v0;
  const at = (u: number, v: number) => inRoom(wall, [u, v]);
  const [wide, tall] = [hole.u1 - hole.u0, hole.v1 - springing];
  const name = `${wall.id}.o${hole.opening}`;
  const topLeft = at(hole.u0, springing);
  const topRight = add(at(hole.u1, springing), times(outward, depth));
  const jambs = [
    rectangularFace(`${name}.left`, 'return', { origin: topLeft, u: outward, v: DOWN, normal: wall.u }, depth, tall),
    rectangularFace(
      `${name}.right`,
      'return',
      { origin: topRight, u: times(outward, -1), v: DOWN, normal: times(wall.u, -1) },
      depth,
      tall,
    ),
  ];
  return [
    hole.arch
      ? archedHead(`${name}.head`, wall, hole.arch, outward, depth)
      : rectangularFace(
          `${name}.head`,
          'return',
          { origin: topLeft, u: wall.u, v: outward, normal: DOWN },
          wide,
          depth,
        ),
    ...(tall > 0 ? jambs : []),
    ...(opening.sill > 0
      ? [
          rectangularFace(
            `${name}.sill`,
            'return',
            { origin: at(hole.u0, hole.v1), u: wall.u, v: outward, normal: UP },
            wide,
            depth,
          ),
        ]
      : []),
  ];
}

/** The bent strip under an arch, laid flat; only its two ends, on the jambs, are straight edges in the room. */
function archedHead(id: string, wall: Face, arch: Arch, outward: Vector, depth: number): Face {
  const end = (side: 1 | -1, spring: Point, u: number): SpaceEdge => {
    const start = inRoom(wall, spring);
    const [sine, cosine] = [Math.sin(arch.spread), Math.cos(arch.spread)];
    return {
      ends: [start, add(start, times(outward, depth))],
      inward: add(times(wall.u, side * cosine), times(wall.v, -sine)),
      normal: add(times(wall.u, side * sine), times(wall.v, cosine)),
      from: [u, 0],
      to: [u, depth],
    };
  };
  const { curve } = arch;
  return plainFace({
    id,
    kind: 'return',
    loops: [rectangle(0, arch.length, 0, depth)],
    origin: inRoom(wall, curve[0] ?? [0, 0]),
    u: wall.u,
    v: outward,
    normal: DOWN,
    bent: [end(1, curve[0] ?? [0, 0], 0), end(-1, curve.at(-1) ?? [0, 0], arch.length)],
  });
}
