import { type LengthUnit, TOLERANCE_MM, toMm } from '../measure/unit';
import { cross, dot, lengthOf, minus, type Point, signedArea, unit, type Vector } from '../measure/vector';

/** A wall on the plan, left to right as seen from inside the room; mm. */
export interface Wall {
  readonly index: number;
  readonly from: Point;
  readonly to: Point;
  readonly length: number;
  /** Unit vectors on the plan: along the wall, and into the room. */
  readonly along: Vector;
  readonly inward: Vector;
}

/** Walls that turn by less are one wall; radians. House file, convention 1. */
const STRAIGHT = Math.PI / 180;

/**
 * The walls of an outline drawn clockwise with y down the page. Points that do not turn by at least 1° are no corners:
 * the walls on both sides of them are one wall. Wall 0 is the one that holds the first side of the outline.
 *
 * @param outline points in the house's unit
 */
export function wallsOf(outline: readonly Point[], houseUnit: LengthUnit): readonly Wall[] {
  const points = cornersOf(outline.map(([x, y]): Point => [toMm(x, houseUnit), toMm(y, houseUnit)]));
  return points.map((from, index) => {
    const to = points[(index + 1) % points.length] ?? from;
    const run: Vector = [to[0] - from[0], to[1] - from[1], 0];
    const along = unit(run);
    return { index, from, to, length: lengthOf(run), along, inward: [-along[1], along[0], 0] };
  });
}

/**
 * The points at which the walls turn: those where all turns since the last corner add up to 1°, so that a bend drawn in
 * many small steps is none the less a bend. Counting starts at the first point that is a corner by itself.
 */
function cornersOf(points: readonly Point[]): readonly Point[] {
  const distinct = points.filter(
    (point, index) => distance(point, points[(index + 1) % points.length] ?? point) > TOLERANCE_MM,
  );
  const count = distinct.length;
  const turns = distinct.map((point, index) =>
    turnAt(distinct[(index + count - 1) % count] ?? point, point, distinct[(index + 1) % count] ?? point),
  );
  const first = Math.max(
    0,
    turns.findIndex((turn) => Math.abs(turn) >= STRAIGHT),
  );
  let turned = 0;
  const kept = new Set<number>();
  for (let step = 0; step < count; step += 1) {
    const index = (first + step) % count;
    turned += turns[index] ?? 0;
    if (Math.abs(turned) < STRAIGHT) continue;
    kept.add(index);
    turned = 0;
  }
  const corners = distinct.filter((_, index) => kept.has(index));
  // When the first point is no corner, the wall through it starts at the last corner.
  const last = corners.at(-1);
  return kept.has(0) || last === undefined ? corners : [last, ...corners.slice(0, -1)];
}

/** By how much a walk turns at a point, radians: to the right above 0. */
function turnAt(before: Point, point: Point, after: Point): number {
  const incoming = unit([point[0] - before[0], point[1] - before[1], 0]);
  const outgoing = unit([after[0] - point[0], after[1] - point[1], 0]);
  return Math.atan2(cross(incoming, outgoing)[2], dot(incoming, outgoing));
}

const distance = (a: Point, b: Point): number => lengthOf(minus([a[0], a[1], 0], [b[0], b[1], 0]));

/** Whether an outline runs clockwise on the page, as a room must. */
export const isClockwise = (outline: readonly Point[]): boolean => signedArea(outline) > 0;

/** Whether four walls stand square to each other. */
export const isRectangle = (walls: readonly Wall[]): boolean =>
  walls.length === 4 &&
  walls.every((wall, index) => Math.abs(dot(wall.along, walls[(index + 1) % 4]?.along ?? wall.along)) < STRAIGHT);
