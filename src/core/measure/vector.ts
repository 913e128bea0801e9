/** A point on a face or on the plan, in mm. */
export type Point = readonly [number, number];
/** A closed polygon: clockwise on a page whose y points down when it surrounds something, the other way when it cuts. */
export type Loop = readonly Point[];
/** A point or direction in the room: x right and y down the plan, z up; mm. */
export type Vector = readonly [number, number, number];

export const add = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const times = (a: Vector, factor: number): Vector => [a[0] * factor, a[1] * factor, a[2] * factor];
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const lengthOf = (a: Vector): number => Math.sqrt(dot(a, a));
export const unit = (a: Vector): Vector => times(a, 1 / lengthOf(a));

/** The area of a polygon from its corners; positive when it runs clockwise on a page whose y points down. */
export function signedArea(points: Loop): number {
  let twice = 0;
  let last = points[points.length - 1];
  for (const point of points) {
    if (last) twice += last[0] * point[1] - point[0] * last[1];
    last = point;
  }
  return twice / 2;
}
