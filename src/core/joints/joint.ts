import type { Point, Vector } from '../measure/vector';
import { type EdgeProfile, JOINT_CLASSES } from '../room/kinds';

export { JOINT_CLASSES };
export type JointClass = (typeof JOINT_CLASSES)[number];

/** A straight stretch on one face; mm. */
export interface FaceLine {
  readonly face: string;
  readonly from: Point;
  readonly to: Point;
}

/** Whether a point of a face lies on a straight line of it, or so near; mm. */
export function isOnLine([u, v]: Point, { from, to }: FaceLine, within: number): boolean {
  // Most lines are nowhere near.
  if (u < Math.min(from[0], to[0]) - within || u > Math.max(from[0], to[0]) + within) return false;
  if (v < Math.min(from[1], to[1]) - within || v > Math.max(from[1], to[1]) + within) return false;
  const [du, dv] = [to[0] - from[0], to[1] - from[1]];
  const square = du * du + dv * dv;
  const along = square > 0 ? Math.max(0, Math.min(1, ((u - from[0]) * du + (v - from[1]) * dv) / square)) : 0;
  const [x, y] = [u - from[0] - along * du, v - from[1] - along * dv];
  return x * x + y * y <= within * within;
}

/** One maximal run of one class, straight but for the bead round an arch. */
export interface Joint {
  readonly id: string;
  /** The edge of the room that it runs along: `w0~w1` between two faces, `w0.o1.head` along a free edge. */
  readonly edge: string | undefined;
  readonly class: JointClass;
  /** mm */
  readonly length: number;
  /** `seam` lies within a face; the others are edges between faces. */
  readonly run: 'seam' | 'level' | 'upright' | 'slope' | 'arch';
  /** Two faces meet here toward the room: three such ends in one point are a three-way. */
  readonly inside: boolean;
  /** What stands on a bead or a trim; undefined for everything that is taped. */
  readonly profile: EdgeProfile | undefined;
  /** A butt whose paper edges were cut back to a channel: flatter, and no furred paper. */
  readonly bevelled?: true;
  /** Behind cabinets: taped, never coated again, and counted apart. */
  readonly tapedOnly: boolean;
  /** Where it is drawn: once for a seam, on both faces for an edge. */
  readonly lines: readonly FaceLine[];
  readonly ends: readonly [Vector, Vector];
  /** Lengths of an inside angle that have a factory taper along one side and along both; mm. */
  readonly factoryEdge: { readonly one: number; readonly both: number };
}

export const NO_FACTORY_EDGE = { one: 0, both: 0 } as const;
