import { add, type Point, times, type Vector } from '../measure/vector';

/** A rectangular piece cut out of a face for a door or window, in the face's coordinates; mm. */
export interface Hole {
  readonly opening: number;
  readonly kind: 'door' | 'window' | 'opening';
  readonly u0: number;
  readonly u1: number;
  readonly v0: number;
  readonly v1: number;
}

/**
 * A planar piece of the room to be boarded. `u` and `v` are its own coordinates in mm: on walls `u` runs left to right
 * as seen from inside and `v` down from the top; on ceilings `u` runs along wall 0 and `v` away from it.
 */
export interface Face {
  readonly id: string;
  readonly kind: 'wall' | 'ceiling' | 'return';
  readonly width: number;
  readonly height: number;
  readonly holes: readonly Hole[];
  readonly origin: Vector;
  readonly u: Vector;
  readonly v: Vector;
  /** Into the room. */
  readonly normal: Vector;
}

/** Where a point of a face is in the room. */
export const inRoom = (face: Face, [u, v]: Point): Vector => add(face.origin, add(times(face.u, u), times(face.v, v)));

/** The area to be boarded, less openings; mm². */
export const areaOf = (face: Face): number =>
  face.width * face.height - face.holes.reduce((sum, { u0, u1, v0, v1 }) => sum + (u1 - u0) * (v1 - v0), 0);

/** One straight edge of a face: its ends on the face, and the direction on the face that leads onto the board. */
export interface FaceEdge {
  readonly from: Point;
  readonly to: Point;
  readonly inward: Point;
}

/** The edges of a face and of its openings. */
export function edgesOf(face: Face): readonly FaceEdge[] {
  const rim = rectangleEdges(0, face.width, 0, face.height);
  return [...rim, ...face.holes.flatMap(({ u0, u1, v0, v1 }) => rectangleEdges(u0, u1, v0, v1).map(turned))];
}

const turned = ({ from, to, inward: [u, v] }: FaceEdge): FaceEdge => ({ from: to, to: from, inward: [-u, -v] });

function rectangleEdges(u0: number, u1: number, v0: number, v1: number): readonly FaceEdge[] {
  return [
    { from: [u0, v0], to: [u1, v0], inward: [0, 1] },
    { from: [u1, v0], to: [u1, v1], inward: [-1, 0] },
    { from: [u1, v1], to: [u0, v1], inward: [0, -1] },
    { from: [u0, v1], to: [u0, v0], inward: [1, 0] },
  ];
}
