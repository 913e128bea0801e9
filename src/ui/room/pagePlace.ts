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
    shrunkA.some((point) => contains(shrunkB, point)) ||
    shrunkB.some((point) => contains(shrunkA, point))
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
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
}

type Step = readonly [Point, Point];
const stepsOf = (points: readonly Point[]): readonly Step[] =>
  points.map((point, index): Step => [point, points[(index + 1) % points.length] ?? point]);

function cross([a, b]: Step, [c, d]: Step): boolean {
  const side = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** Whether a point lies inside a polygon. */
export function contains(points: readonly Point[], [x, y]: Point): boolean {
  return stepsOf(points).reduce(
    (inside, [[ax, ay], [bx, by]]) =>
      ay > y !== by > y && x < ax + ((bx - ax) * (y - ay)) / (by - ay) ? !inside : inside,
    false,
  );
}

/** How far a point stands from the nearest edge of some polygons. */
export function clearance(loops: readonly (readonly Point[])[], [x, y]: Point): number {
  let least = Infinity;
  for (const loop of loops) {
    for (const [[ax, ay], [bx, by]] of stepsOf(loop)) {
      const [dx, dy] = [bx - ax, by - ay];
      const part = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
      least = Math.min(least, Math.hypot(x - ax - dx * part, y - ay - dy * part));
    }
  }
  return least;
}
