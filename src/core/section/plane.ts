import type { Layout } from '../joints/classTraits';
import type { Coat, CoatedClass, CoatId } from '../method/coat';
import { boardHeight, type JointFound } from './joint';

/** One surface of a joint: the whole of it, or one side of a corner or nose. Heights in mm over the boards' plane. */
export interface Plane {
  /** The place of the first height, mm from the joint's line, and the distance between two. */
  readonly from: number;
  readonly step: number;
  readonly board: readonly number[];
  readonly layers: readonly Layer[];
  /** What is there at the end. */
  readonly top: readonly number[];
}

/** What one coat adds to a plane. */
export interface Layer {
  readonly coat: CoatId;
  /** The tape between bed and cover, in the tape coat. */
  readonly tape: { readonly bottom: readonly number[]; readonly top: readonly number[] } | undefined;
  readonly below: readonly number[];
  readonly wet: readonly number[];
  readonly dry: readonly number[];
  readonly sanded: readonly number[];
}

/** What one coat takes: litres per metre of joint, per fastener, or per square metre of surface. */
export interface CoatVolume {
  readonly coat: Coat;
  readonly wet: number;
  readonly shrunk: number;
  readonly sanded: number;
  readonly left: number;
  /** The wet mud where it lies thickest, and where the blade left least over what it covers; mm. */
  readonly thickest: number;
  readonly thinnest: number;
}

export const STEP_MM = 2;
export const HALF_MM = 640;

/** The boards of a joint before anything is put on, with a bead or trim that stands on them. */
export function barePlanes(kind: CoatedClass, layout: Layout, found: JointFound): readonly Plane[] {
  const whole = layout === 'across' || layout === 'round' || layout === 'even';
  const from = whole ? -HALF_MM : 0;
  const count = Math.round((HALF_MM - from) / STEP_MM) + 1;
  const sides: readonly (0 | 1)[] = layout === 'corner' || layout === 'nose' ? [0, 1] : [0];
  return sides.map((side) => {
    const board = Array.from({ length: count }, (_, index) => boardHeight(kind, found, from + index * STEP_MM, side));
    const standing = layout === 'nose' || layout === 'edge' ? withNose(board, found.nose) : board;
    return { from, step: STEP_MM, board: standing, layers: [], top: standing };
  });
}

/** The bead itself: its nose, and the flange that slopes from it. */
const FLANGE_MM = 28;
const FLANGE_THICK_MM = 0.4;
const withNose = (board: readonly number[], nose: number): readonly number[] =>
  board.map((height, index) => {
    const away = index * STEP_MM;
    return away > FLANGE_MM ? height : Math.max(nose * (1 - away / 6), FLANGE_THICK_MM);
  });
