import { isInside } from '@/core/measure/chords';
import { boxOf, distanceToStep, type Step, stepsOf } from '@/core/measure/polygon';
import type { Point } from '@/core/measure/vector';

/** Where a face lies on the page: turned, perhaps flipped, and moved; never stretched. */
export interface Place {
  /** What `u` and `v` of the face become on the page. */
  readonly u: Point;
  readonly v: Point;
  readonly origin: Point;
}

export const onPage = ({ u, v, origin }: Place, [a, b]: Point): Point => [
  origin[0] + u[0] * a + v[0] * b,
  origin[1] + u[1] * a + v[1] * b,
];

/** Where a point of the page lies on a face: the other way round. */
export const offPage = ({ u, v, origin }: Place, [x, y]: Point): Point => {
  const [dx, dy] = [x - origin[0], y - origin[1]];
  return [u[0] * dx + u[1] * dy, v[0] * dx + v[1] * dy];
};

/** An edge on a face with the way onto its board. */
export interface HingeSide {
  readonly from: Point;
  readonly to: Point;
  readonly inward: Point;
}

/**
 * The place of a face that is folded flat about an edge of one that lies already: the edges meet and the boards lie on
 * either side.
 */
export function foldedBeside(placed: Place, edge: HingeSide, own: HingeSide): Place {
  const [from, to] = [onPage(placed, edge.from), onPage(placed, edge.to)];
  const away = turned(placed, edge.inward);
  const length = Math.hypot(own.to[0] - own.from[0], own.to[1] - own.from[1]);
  const along: Point = [(own.to[0] - own.from[0]) / length, (own.to[1] - own.from[1]) / length];
  const pageLength = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const pageAlong: Point = [(to[0] - from[0]) / pageLength, (to[1] - from[1]) / pageLength];
  const pageInward: Point = [-away[0], -away[1]];
  // The face's axes by what its edge and its inward direction become.
  const axis = (unit: Point): Point => {
    const a = unit[0] * along[0] + unit[1] * along[1];
    const b = unit[0] * own.inward[0] + unit[1] * own.inward[1];
    return [a * pageAlong[0] + b * pageInward[0], a * pageAlong[1] + b * pageInward[1]];
  };
  const [u, v] = [axis([1, 0]), axis([0, 1])];
  return {
    u,
    v,
    origin: [from[0] - u[0] * own.from[0] - v[0] * own.from[1], from[1] - u[1] * own.from[0] - v[1] * own.from[1]],
  };
}

const turned = ({ u, v }: Place, [a, b]: Point): Point => [u[0] * a + v[0] * b, u[1] * a + v[1] * b];

/** Whether two polygons of the page share ground; touching along an edge is none. */
export function overlap(a: readonly Point[], b: readonly Point[]): boolean {
  const [boxA, boxB] = [boxAround(a), boxAround(b)];
  if (boxA.x1 <= boxB.x0 + SLACK || boxB.x1 <= boxA.x0 + SLACK) return false;
  if (boxA.y1 <= boxB.y0 + SLACK || boxB.y1 <= boxA.y0 + SLACK) return false;
  const [shrunkA, shrunkB] = [shrunk(a), shrunk(b)];
  return (
    stepsOf(shrunkA).some((one) => stepsOf(shrunkB).some((other) => cross(one, other))) ||
    shrunkA.some((point) => isInside(point, [shrunkB])) ||
    shrunkB.some((point) => isInside(point, [shrunkA]))
  );
}

const SLACK = 5;

/** Drawn together a little toward the middle, so that neighbours do not count as one over the other. */
function shrunk(points: readonly Point[]): readonly Point[] {
  const middle = middleOf(points);
  return points.map(([x, y]): Point => {
    const away = Math.hypot(x - middle[0], y - middle[1]) || 1;
    const part = Math.max(0, 1 - SLACK / away);
    return [middle[0] + (x - middle[0]) * part, middle[1] + (y - middle[1]) * part];
  });
}

const middleOf = (points: readonly Point[]): Point => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
];

export function boxAround(points: readonly Point[]): { x0: number; x1: number; y0: number; y1: number } {
  const { u0, u1, v0, v1 } = boxOf([points]);
  return { x0: u0, x1: u1, y0: v0, y1: v1 };
}

function cross([a, b]: Step, [c, d]: Step): boolean {
  const side = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** How far a point stands from the nearest edge of some polygons. */
export const clearance = (loops: readonly (readonly Point[])[], point: Point): number =>
  Math.min(...loops.flatMap((loop) => stepsOf(loop).map((step) => distanceToStep(point, step))));
