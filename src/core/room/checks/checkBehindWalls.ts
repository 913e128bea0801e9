import { areaOfLoops, clipToAll, type HalfPlane } from '../../measure/polygon';
import type { Span } from '../../measure/span';
import { type LengthUnit, toMm } from '../../measure/unit';
import type { Loop, Point } from '../../measure/vector';
import { USUAL_RETURN_MM } from '../faces/openingFaces';
import type { Problem } from '../problem';
import type { Room } from '../schema';
import type { Wall } from '../walls';

/** Two boards with nothing between them: what is closer touches; mm. */
const APART_MM = 1;

/** What a niche or a boarded return takes of the space behind its wall; mm. */
interface Behind {
  readonly path: string;
  readonly name: string;
  readonly wall: Wall;
  readonly along: Span;
  readonly up: Span;
  readonly depth: number;
}

/** Whether the boards inside niches and boarded openings keep clear of each other, on one wall and round its corners. */
export function checkBehindWalls(room: Room, walls: readonly Wall[], unit: LengthUnit): readonly Problem[] {
  const boxes = boxesBehind(room, walls, unit);
  return boxes.flatMap((box, index) => {
    const other = boxes.slice(0, index).find((candidate) => meet(box, candidate));
    return other
      ? [
          {
            path: box.path,
            reason: `the boards of this ${box.name} would meet those of the ${other.name} (${other.path})`,
          },
        ]
      : [];
  });
}

function boxesBehind(room: Room, walls: readonly Wall[], unit: LengthUnit): readonly Behind[] {
  const mm = (length: number) => toMm(length, unit);
  const box = (path: string, name: string, at: Spot, depth: number): readonly Behind[] => {
    const wall = walls[at.wall];
    if (!wall) return [];
    const along = { from: mm(at.at), to: mm(at.at + at.width) };
    return [{ path, name, wall, along, up: { from: mm(at.bottom), to: mm(at.bottom + at.height) }, depth }];
  };
  return [
    ...room.openings.flatMap((opening, index) =>
      opening.edge === 'bead'
        ? box(
            `openings[${index}]`,
            opening.kind,
            { ...opening, bottom: opening.sill },
            opening.depth === undefined ? USUAL_RETURN_MM : mm(opening.depth),
          )
        : [],
    ),
    ...(room.niches ?? []).flatMap((niche, index) => box(`niches[${index}]`, 'niche', niche, mm(niche.depth))),
  ];
}

interface Spot {
  readonly wall: number;
  readonly at: number;
  readonly width: number;
  readonly bottom: number;
  readonly height: number;
}

function meet(a: Behind, b: Behind): boolean {
  const close = (one: Span, other: Span) => Math.min(one.to, other.to) - Math.max(one.from, other.from) > -APART_MM;
  if (!close(a.up, b.up)) return false;
  if (a.wall === b.wall) return close(a.along, b.along);
  return areaOfLoops(clipToAll([planOf(a)], planesOf(b))) > 1;
}

/** The box on the plan, clockwise. */
function planOf({ wall, along, depth }: Behind): Loop {
  const at = (s: number, away: number): Point => [
    wall.from[0] + wall.along[0] * s - wall.inward[0] * away,
    wall.from[1] + wall.along[1] * s - wall.inward[1] * away,
  ];
  return [at(along.from, depth), at(along.to, depth), at(along.to, 0), at(along.from, 0)];
}

function planesOf({ wall, along, depth }: Behind): readonly HalfPlane[] {
  const [[ax, ay], [nx, ny]] = [wall.along, wall.inward];
  const start = ax * wall.from[0] + ay * wall.from[1];
  const line = nx * wall.from[0] + ny * wall.from[1];
  return [
    { normal: [ax, ay], offset: start + along.from },
    { normal: [-ax, -ay], offset: -start - along.to },
    { normal: [-nx, -ny], offset: -line },
    { normal: [nx, ny], offset: line - depth },
  ];
}
