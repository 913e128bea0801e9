import { isInside } from '../../measure/chords';
import { boxOf, cutLoops, isUprightBox, reversed } from '../../measure/polygon';
import { type LengthUnit, toMm } from '../../measure/unit';
import type { Loop, Point } from '../../measure/vector';
import { namesIn } from '../ids';
import type { Room } from '../schema';
import { isClockwise, type Wall, wallsOf } from '../walls';
import { ceilingFaces, insetLoop } from './ceilingFaces';
import type { Cover, Face, Hole } from './face';
import { uprightFace } from './makeFace';
import { cutByNiche, nicheFaces } from './niches';
import { holesOf, returnFaces } from './openingFaces';
import { type Slope, slopesOf } from './roof';
import { hiddenBySoffits, type SoffitBody, soffitBodies, soffitFaces } from './soffits';

/**
 * The faces that a room is made of: walls `w0…`, ceiling parts `c0…`, then soffits `s0.bottom`, niches `n0.back`, boarded
 * returns `w0.o1.head` and columns `k0.0`, called by the ids of what makes them. Everything later works on faces and never
 * asks what made them.
 *
 * @param room a checked room
 */
export function facesOf(room: Room, houseUnit: LengthUnit): readonly Face[] {
  const walls = wallsOf(room.outline, houseUnit);
  const slopes = slopesOf(room, walls, houseUnit);
  const bodies = soffitBodies(room, walls, slopes, houseUnit);
  const columns = columnLoops(room, houseUnit);
  const wallFaces = walls.map((wall) => wallFace(wall, slopes, bodies, room, houseUnit));
  const cuts = [...bodies.flatMap(({ plan }) => plan), ...columns.map(reversed)];
  const niches = (room.niches ?? []).flatMap((niche, index) => {
    const wall = wallFaces[niche.wall];
    return wall ? nicheFaces(index, niche, wall, houseUnit) : [];
  });
  const returns = room.openings.flatMap((opening, index) => {
    const wall = wallFaces[opening.wall];
    const hole = wall?.holes.find((candidate) => candidate.opening === index);
    return wall && hole && opening.edge === 'bead' ? returnFaces(wall, hole, opening, houseUnit) : [];
  });
  const faces = [
    ...wallFaces,
    ...ceilingFaces(room, walls, cuts, houseUnit),
    ...soffitFaces(bodies, walls, slopes),
    ...niches,
    ...returns,
    ...columnFaces(columns, room, walls, slopes, houseUnit),
  ];
  const name = namesIn(room);
  return faces.map((face) => ({
    ...face,
    id: name(face.place),
    holes: face.holes.map((hole) => namedHole(hole, room, name)),
    mirrored: room.mirrored ?? false,
  }));
}

function namedHole(hole: Hole, room: Room, name: (place: string) => string): Hole {
  const { arch, opening } = hole;
  return {
    ...hole,
    id: room.openings[opening]?.id ?? `o${opening}`,
    arch: arch && { ...arch, lining: arch.lining && name(arch.lining) },
  };
}

function wallFace(
  wall: Wall,
  slopes: readonly Slope[],
  bodies: readonly SoffitBody[],
  room: Room,
  houseUnit: LengthUnit,
): Face {
  const face = uprightFace({
    id: `w${wall.index}`,
    kind: 'wall',
    from: wall.from,
    to: wall.to,
    bottom: 0,
    profile: slopes,
  });
  const top = face.origin[2];
  const holes = holesOf(room, wall, top, houseUnit);
  const niches = (room.niches ?? [])
    .filter((niche) => niche.wall === wall.index)
    .flatMap((niche) => cutByNiche(niche, top, houseUnit));
  const hidden = hiddenBySoffits(wall, face.loops, top, bodies);
  return {
    ...face,
    width: wall.length,
    loops: cutLoops(face.loops, [...hidden, ...holes.map(({ loop }) => loop), ...niches]),
    holes,
    covers: coversOf(room, wall, top, houseUnit),
    gaps: [
      ...holes.map(({ u0, u1, v0, v1, arch }) => ({ u0, u1, v0: arch?.curve[0]?.[1] ?? v0, v1 })),
      ...[...niches, ...hidden.filter((loop) => isUprightBox([loop]))].map((loop) => boxOf([loop])),
    ],
    existing: room.existing?.includes(wall.index) ?? false,
  };
}

function coversOf(room: Room, wall: Wall, top: number, houseUnit: LengthUnit): readonly Cover[] {
  const mm = (length: number) => toMm(length, houseUnit);
  return (room.zones ?? []).flatMap(({ wall: index, from, to, bottom, top: upper, cover }) =>
    index === wall.index ? [{ cover, u0: mm(from), u1: mm(to), v0: top - mm(upper), v1: top - mm(bottom) }] : [],
  );
}

/** The columns' outlines counter-clockwise on the plan, as they are written; mm. */
const columnLoops = ({ columns = [] }: Room, houseUnit: LengthUnit): readonly Loop[] =>
  columns.map(({ outline }) => {
    const loop = outline.map(([x, y]): Point => [toMm(x, houseUnit), toMm(y, houseUnit)]);
    return isClockwise(loop) ? reversed(loop) : loop;
  });

function columnFaces(
  columns: readonly Loop[],
  room: Room,
  walls: readonly Wall[],
  slopes: readonly Slope[],
  houseUnit: LengthUnit,
): readonly Face[] {
  return columns.flatMap((loop, index) => {
    const [corner] = loop;
    const inTray =
      room.ceiling.shape === 'tray' &&
      corner !== undefined &&
      isInside(corner, [insetLoop(walls, toMm(room.ceiling.inset, houseUnit))]);
    const top = inTray
      ? toMm(room.height + (room.ceiling.shape === 'tray' ? room.ceiling.rise : 0), houseUnit)
      : undefined;
    return loop.map((from, side) =>
      uprightFace({
        id: `k${index}.${side}`,
        kind: 'column',
        from,
        to: loop[(side + 1) % loop.length] ?? from,
        bottom: 0,
        profile: inTray ? undefined : slopes,
        ...(top === undefined ? {} : { top }),
      }),
    );
  });
}
