import { isInside } from './chords';
import { tidyLoops } from './tidyLoops';
import { TOLERANCE_MM } from './unit';
import { type Loop, type Point, signedArea } from './vector';

/** A half of the plane: the points with `normal · point ≥ offset`. */
export interface HalfPlane {
  readonly normal: Point;
  readonly offset: number;
}

/** The area inside loops that surround, less what cutting loops take away; mm². */
export const areaOfLoops = (loops: readonly Loop[]): number => loops.reduce((sum, loop) => sum + signedArea(loop), 0);

/** The same loop walked the other way: what surrounded now cuts. */
export const reversed = (loop: Loop): Loop => [...loop].reverse();

/** One straight side of a loop. */
export type Step = readonly [Point, Point];

/** The sides of a loop in order. */
export const stepsOf = (loop: Loop): readonly Step[] =>
  loop.map((point, index): Step => [point, loop[(index + 1) % loop.length] ?? point]);

/** How far a point stands from a side; mm. */
export function distanceToStep([x, y]: Point, [[ax, ay], [bx, by]]: Step): number {
  const [dx, dy] = [bx - ax, by - ay];
  const part = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(x - ax - dx * part, y - ay - dy * part);
}

/** Whether loops are nothing but one upright rectangle. */
export function isUprightBox(loops: readonly Loop[]): boolean {
  const [loop] = loops;
  const { u0, u1, v0, v1 } = boxOf(loops);
  return (
    loops.length === 1 &&
    loop?.length === 4 &&
    loop.every(([u, v]) => (isSame(u, u0) || isSame(u, u1)) && (isSame(v, v0) || isSame(v, v1)))
  );
}

/** The same but for the noise of turning a room on its plan. */
const isSame = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;

/** The box around loops. */
export function boxOf(loops: readonly Loop[]): {
  readonly u0: number;
  readonly u1: number;
  readonly v0: number;
  readonly v1: number;
} {
  let u0 = Infinity;
  let u1 = -Infinity;
  let v0 = Infinity;
  let v1 = -Infinity;
  for (const loop of loops) {
    for (const point of loop) {
      if (point[0] < u0) u0 = point[0];
      if (point[0] > u1) u1 = point[0];
      if (point[1] < v0) v0 = point[1];
      if (point[1] > v1) v1 = point[1];
    }
  }
  return { u0, u1, v0, v1 };
}

export const rectangle = (u0: number, u1: number, v0: number, v1: number): Loop => [
  [u0, v0],
  [u1, v0],
  [u1, v1],
  [u0, v1],
];

/** What of the loops lies in a half-plane. */
export function clipLoops(loops: readonly Loop[], { normal, offset }: HalfPlane): readonly Loop[] {
  const depth = ([x, y]: Point) => {
    const value = normal[0] * x + normal[1] * y - offset;
    return Math.abs(value) <= TOLERANCE_MM ? 0 : value;
  };
  if (loops.every((loop) => loop.every((point) => depth(point) >= 0))) return loops;
  const clipped = loops.map((loop) =>
    loop.flatMap((point, index): Point[] => {
      const next = loop[(index + 1) % loop.length] ?? point;
      const [here, there] = [depth(point), depth(next)];
      const kept = here >= 0 ? [point] : [];
      if ((here > 0 && there < 0) || (here < 0 && there > 0)) {
        const part = here / (here - there);
        kept.push([point[0] + (next[0] - point[0]) * part, point[1] + (next[1] - point[1]) * part]);
      }
      return kept;
    }),
  );
  return tidyLoops(clipped.filter((loop) => loop.length > 2));
}

/** What of the loops lies in all half-planes. */
export const clipToAll = (loops: readonly Loop[], planes: readonly HalfPlane[]): readonly Loop[] =>
  planes.reduce(clipLoops, loops);

/** Loops less other loops that lie inside them (they may touch the rim). */
export function cutLoops(loops: readonly Loop[], cuts: readonly Loop[]): readonly Loop[] {
  if (cuts.length === 0) return loops;
  const all = [...loops, ...cuts.map(reversed)];
  return lieFree(loops, cuts) ? all : tidyLoops(all);
}

/** Whether cuts touch neither the rim of a plain rectangle nor each other, so that nothing is left to tidy. */
function lieFree(loops: readonly Loop[], cuts: readonly Loop[]): boolean {
  if (!isUprightBox(loops)) return false;
  const rim = boxOf(loops);
  const boxes = cuts.map((cut) => boxOf([cut]));
  return boxes.every(
    (box, index) =>
      Math.min(box.u0 - rim.u0, rim.u1 - box.u1, box.v0 - rim.v0, rim.v1 - box.v1) > 2 * TOLERANCE_MM &&
      boxes.every(
        (other, at) =>
          at <= index ||
          Math.max(other.u0 - box.u1, box.u0 - other.u1, other.v0 - box.v1, box.v0 - other.v1) > 2 * TOLERANCE_MM,
      ),
  );
}

/** The pieces of an area that hang together: each surrounding loop with the cuts inside it. */
export function piecesOf(loops: readonly Loop[]): readonly (readonly Loop[])[] {
  const around = loops.filter((loop) => signedArea(loop) > 0);
  if (around.length <= 1) return around.length === 0 ? [] : [loops];
  const cuts = loops.filter((loop) => signedArea(loop) <= 0);
  return around.map((loop) => [loop, ...cuts.filter(([point]) => point && isInside(point, [loop]))]);
}
