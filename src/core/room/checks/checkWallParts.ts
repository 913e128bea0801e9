import { formatLength } from '../../measure/formatLength';
import { areaOfLoops, boxOf, clipToAll, rectangle } from '../../measure/polygon';
import { overlapOf, type Span } from '../../measure/span';
import { type LengthUnit, TOLERANCE_MM, toMm } from '../../measure/unit';
import type { Loop, Point } from '../../measure/vector';
import { compartmentsOf } from '../faces/niches';
import { profileAlong, type Slope } from '../faces/roof';
import { hiddenBySoffits, type SoffitBody } from '../faces/soffits';
import type { Problem } from '../problem';
import type { Niche, Opening, Room, Zone } from '../schema';
import type { Wall } from '../walls';
import { noSuchWall } from './checkCeiling';
import { wallName } from './checkOutline';

/** A rectangle on a wall: along it from its left end, and up from the floor; mm. */
interface WallBox {
  readonly path: string;
  readonly name: string;
  readonly wall: number;
  readonly along: Span;
  readonly up: Span;
}

/** Whether openings, niches and zones fit the walls they are on, and each other. */
export function checkWallParts(
  room: Room,
  walls: readonly Wall[],
  slopes: readonly Slope[],
  bodies: readonly SoffitBody[],
  unit: LengthUnit,
): readonly Problem[] {
  const mm = (length: number) => toMm(length, unit);
  const openings = room.openings.map((opening, index) => boxOfOpening(opening, index, mm));
  const niches = (room.niches ?? []).map((niche, index) => boxOfNiche(niche, index, mm));
  const old = room.existing ?? [];
  return [
    ...openings.flatMap((box, index) => {
      const opening = room.openings[index];
      const found = checkBox(box, walls, slopes, unit);
      return found.length > 0 || !opening ? found : checkOpening(opening, box.path);
    }),
    ...niches.flatMap((box, index) => {
      const niche = room.niches?.[index];
      const found = checkBox(box, walls, slopes, unit);
      return found.length > 0 || !niche ? found : checkNiche(niche, box, walls, unit);
    }),
    ...checkOverlaps([...openings, ...niches]),
    ...checkUnderSoffits([...openings, ...niches], walls, bodies),
    ...(room.zones ?? []).flatMap((zone, index) => checkZone(zone, index, walls, slopes, unit)),
    ...old.flatMap((wall, index) => (walls[wall] ? [] : [{ path: `existing[${index}]`, reason: noSuchWall(walls) }])),
  ];
}

const boxOfOpening = (opening: Opening, index: number, mm: (length: number) => number): WallBox => ({
  path: `openings[${index}]`,
  name: opening.kind,
  wall: opening.wall,
  along: { from: mm(opening.at), to: mm(opening.at + opening.width) },
  up: { from: mm(opening.sill), to: mm(opening.sill + opening.height) },
});

const boxOfNiche = (niche: Niche, index: number, mm: (length: number) => number): WallBox => ({
  path: `niches[${index}]`,
  name: 'niche',
  wall: niche.wall,
  along: { from: mm(niche.at), to: mm(niche.at + niche.width) },
  up: { from: mm(niche.bottom), to: mm(niche.bottom + niche.height) },
});

function checkBox(
  { path, name, wall: index, along, up }: WallBox,
  walls: readonly Wall[],
  slopes: readonly Slope[],
  unit: LengthUnit,
): readonly Problem[] {
  const wall = walls[index];
  if (!wall) return [{ path: `${path}.wall`, reason: noSuchWall(walls) }];
  if (along.to > wall.length + TOLERANCE_MM) {
    const over = formatLength(along.to - wall.length, unit);
    const fits = along.to - along.from <= wall.length + TOLERANCE_MM;
    return [
      {
        path: `${path}.${fits ? 'at' : 'width'}`,
        reason: `the ${name} runs ${over} past the right end of ${wallName(wall)} (${formatLength(wall.length, unit)})`,
      },
    ];
  }
  const clear = clearHeight(wall, along, slopes);
  if (up.to > clear + TOLERANCE_MM)
    return [
      {
        path: `${path}.height`,
        reason: `the ${name} reaches ${formatLength(up.to - clear, unit)} above the wall (${formatLength(clear, unit)})`,
      },
    ];
  return [];
}

/** The least height of a wall over a stretch of it; mm. */
function clearHeight(wall: Wall, along: Span, slopes: readonly Slope[]): number {
  const at = (s: number): Point => [wall.from[0] + wall.along[0] * s, wall.from[1] + wall.along[1] * s];
  return Math.min(...profileAlong(slopes, at(along.from), at(along.to)).map(({ z }) => z));
}

function checkOpening({ head, width, height }: Opening, path: string): readonly Problem[] {
  const arch = head?.arch ?? 0;
  if (arch > width / 2 + 1e-9) return [{ path: `${path}.head.arch`, reason: 'an arch rises at most half its width' }];
  return arch > height ? [{ path: `${path}.head.arch`, reason: 'the arch is taller than the opening' }] : [];
}

function checkNiche(niche: Niche, box: WallBox, walls: readonly Wall[], unit: LengthUnit): readonly Problem[] {
  const [lowest] = compartmentsOf(niche, 0, unit);
  if (lowest && lowest.v1 - lowest.v0 < 25)
    return [{ path: `${box.path}.shelves`, reason: `${niche.shelves} shelves do not fit into the niche's height` }];
  const wall = walls[niche.wall];
  if (!wall) return [];
  const behind = clipToAll([walls.map(({ from }) => from)], planesBehind(wall, box.along, toMm(niche.depth, unit)));
  return areaOfLoops(behind) > 1
    ? [{ path: `${box.path}.depth`, reason: `the niche comes through ${wallName(wall)} into the room again` }]
    : [];
}

/** The half-planes around the box behind a wall, a hair away from its surface. */
function planesBehind(wall: Wall, along: Span, depth: number) {
  const [[ax, ay], [nx, ny]] = [wall.along, wall.inward];
  const start = ax * wall.from[0] + ay * wall.from[1];
  const line = nx * wall.from[0] + ny * wall.from[1];
  return [
    { normal: [ax, ay] as Point, offset: start + along.from },
    { normal: [-ax, -ay] as Point, offset: -start - along.to },
    { normal: [-nx, -ny] as Point, offset: -line + 1 },
    { normal: [nx, ny] as Point, offset: line - depth },
  ];
}

function checkOverlaps(boxes: readonly WallBox[]): readonly Problem[] {
  return boxes.flatMap((box, index) => {
    const other = boxes.findIndex(
      (candidate, otherIndex) =>
        otherIndex < index &&
        candidate.wall === box.wall &&
        overlapOf(candidate.along, box.along) !== undefined &&
        overlapOf(candidate.up, box.up) !== undefined,
    );
    const under = boxes[other];
    if (!under) return [];
    const number = /\d+/.exec(under.path)?.[0] ?? '0';
    const kind = under.name === 'niche' ? 'niche' : 'opening';
    return [
      { path: `${box.path}.at`, reason: `the ${box.name} lies over ${kind} ${Number(number) + 1} of the same wall` },
    ];
  });
}

function checkUnderSoffits(
  boxes: readonly WallBox[],
  walls: readonly Wall[],
  bodies: readonly SoffitBody[],
): readonly Problem[] {
  const top = 100_000;
  return boxes.flatMap((box) => {
    const wall = walls[box.wall];
    if (!wall) return [];
    const face: Loop = rectangle(0, wall.length, 0, top);
    const hit = hiddenBySoffits(wall, [face], top, bodies).some((loop) => {
      const hidden = boxOf([loop]);
      return (
        overlapOf({ from: hidden.u0, to: hidden.u1 }, box.along) !== undefined &&
        overlapOf({ from: top - hidden.v1, to: top - hidden.v0 }, box.up) !== undefined
      );
    });
    return hit ? [{ path: `${box.path}.height`, reason: `the ${box.name} runs up into a soffit` }] : [];
  });
}

function checkZone(
  zone: Zone,
  index: number,
  walls: readonly Wall[],
  slopes: readonly Slope[],
  unit: LengthUnit,
): readonly Problem[] {
  const path = `zones[${index}]`;
  const mm = (length: number) => toMm(length, unit);
  const wall = walls[zone.wall];
  if (!wall) return [{ path: `${path}.wall`, reason: noSuchWall(walls) }];
  if (zone.to <= zone.from) return [{ path: `${path}.to`, reason: 'must lie right of where the zone starts' }];
  if (zone.top <= zone.bottom) return [{ path: `${path}.top`, reason: 'must lie above the bottom of the zone' }];
  if (mm(zone.to) > wall.length + TOLERANCE_MM)
    return [
      {
        path: `${path}.to`,
        reason: `the ${zone.cover} runs ${formatLength(mm(zone.to) - wall.length, unit)} past the right end of ${wallName(wall)}`,
      },
    ];
  const highest = Math.max(...profileAlong(slopes, wall.from, wall.to).map(({ z }) => z));
  return mm(zone.top) > highest + TOLERANCE_MM
    ? [{ path: `${path}.top`, reason: `the ${zone.cover} reaches above the wall (${formatLength(highest, unit)})` }]
    : [];
}
