import type { Box } from '../../measure/boxes';
import { areaOfLoops } from '../../measure/polygon';
import { add, type Loop, type Point, times, unit, type Vector } from '../../measure/vector';
import type { Zone } from '../schema';

export type FaceKind = 'wall' | 'ceiling' | 'soffit' | 'niche' | 'return' | 'column';

/** What is cut out of a wall for a door, window or opening, in the face's coordinates; mm. */
export interface Hole {
  /** Of the opening. */
  readonly id: string;
  readonly opening: number;
  readonly kind: 'door' | 'window' | 'opening';
  /** The box around it, arch included. */
  readonly u0: number;
  readonly u1: number;
  readonly v0: number;
  readonly v1: number;
  readonly loop: Loop;
  readonly arch: Arch | undefined;
}

/** The curved head of an opening, as it stands in the wall. */
export interface Arch {
  /** From springing to springing along the curve; mm. */
  readonly length: number;
  /** Half the angle that the arc spans: how far its tangent at the springing leans from level; radians. */
  readonly spread: number;
  /** The curve as short straight steps, for drawing. */
  readonly curve: readonly Point[];
  /** What the steps leave of the opening's area; mm². */
  readonly slivers: number;
  /** The name of the boarded return under it, when there is one. */
  readonly lining: string | undefined;
}

/** A stretch of the face behind which nothing is finished. */
export interface Cover extends Box {
  readonly cover: Zone['cover'];
}

/**
 * A planar piece of the room to be boarded. `u` and `v` are its own coordinates in mm: on walls `u` runs left to right
 * as seen from inside and `v` down from the highest point; on ceilings `u` runs along wall 0, as near as it can, and
 * `v` away from it.
 */
export interface Face {
  readonly id: string;
  /** What it is called by the numbers of its walls and parts, as they are counted: `w1.o0.head`. */
  readonly place: string;
  readonly kind: FaceKind;
  /** The extent of the coordinates. */
  readonly width: number;
  readonly height: number;
  /** What is boarded: loops that surround it and loops that cut it; openings are cut already. */
  readonly loops: readonly Loop[];
  readonly holes: readonly Hole[];
  readonly covers: readonly Cover[];
  /** Where there is no board of this face: openings below their springing, niches, soffits against it. */
  readonly gaps: readonly Box[];
  /** An old wall: nothing new is hung on it. */
  readonly existing: boolean;
  /** The framing is counted from the far end of `u`. */
  readonly mirrored: boolean;
  readonly origin: Vector;
  readonly u: Vector;
  readonly v: Vector;
  /** Into the room. */
  readonly normal: Vector;
  /** The straight edges of a face that is bent round an arch and only lies flat on paper; else its loops say them. */
  readonly bent: readonly SpaceEdge[] | undefined;
}

/** A straight edge in the room: its ends, the way onto the board, and the board's normal there. */
export interface SpaceEdge {
  readonly ends: readonly [Vector, Vector];
  readonly inward: Vector;
  readonly normal: Vector;
  /** The same edge on the face. */
  readonly from: Point;
  readonly to: Point;
}

/** Where a point of a face is in the room. */
export const inRoom = ({ origin, u, v }: Pick<Face, 'origin' | 'u' | 'v'>, [across, down]: Point): Vector => [
  origin[0] + u[0] * across + v[0] * down,
  origin[1] + u[1] * across + v[1] * down,
  origin[2] + u[2] * across + v[2] * down,
];

/** The area to be boarded, less openings; mm². */
export const areaOf = (face: Face): number =>
  areaOfLoops(face.loops) + face.holes.reduce((sum, { arch }) => sum - (arch?.slivers ?? 0), 0);

/** The straight edges of a face and of what is cut out of it. */
export function edgesOf(face: Face): readonly SpaceEdge[] {
  if (face.bent) return face.bent;
  const edges: SpaceEdge[] = [];
  for (const loop of face.loops) {
    const corners = loop.map((point) => inRoom(face, point));
    for (const [index, from] of loop.entries()) {
      const next = (index + 1) % loop.length;
      const [to, start, end] = [loop[next], corners[index], corners[next]];
      if (!to || !start || !end) continue;
      // Loops keep the board on their right.
      const inward = unit(add(times(face.u, from[1] - to[1]), times(face.v, to[0] - from[0])));
      edges.push({ ends: [start, end], inward, normal: face.normal, from, to });
    }
  }
  return edges;
}
