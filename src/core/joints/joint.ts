import type { Point, Vector } from '../measure/vector';

/** Every kind of joint that is finished, in the order in which it is listed. */
export const JOINT_CLASSES = [
  'flat',
  'butt',
  'backedButt',
  'mixed',
  'angle',
  'offAngle',
  'bead',
  'trim',
  'existing',
] as const;
export type JointClass = (typeof JOINT_CLASSES)[number];

/** A straight stretch on one face; mm. */
export interface FaceLine {
  readonly face: string;
  readonly from: Point;
  readonly to: Point;
}

/** One maximal straight run of one class. */
export interface Joint {
  readonly id: string;
  readonly class: JointClass;
  /** mm */
  readonly length: number;
  /** `seam` lies within a face; the others are edges between faces. */
  readonly run: 'seam' | 'level' | 'upright' | 'slope';
  /** Where it is drawn: once for a seam, on both faces for an edge. */
  readonly lines: readonly FaceLine[];
  readonly ends: readonly [Vector, Vector];
  /** Lengths of an inside angle that have a factory taper along one side and along both; mm. */
  readonly factoryEdge: { readonly one: number; readonly both: number };
}
