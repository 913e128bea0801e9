import { MM_PER_INCH } from '../measure/unit';
import type { CoatedClass } from '../method/coat';

/** What a joint is like before anything is put on it, as usual or as found; mm. */
export interface JointFound {
  /** How deep the factory's taper lies below the board's face at its edge. */
  readonly taper: number;
  readonly taperWidth: number;
  /** How far cut ends stand proud of the boards. */
  readonly hump: number;
  readonly humpWidth: number;
  /** How deep the paper edges of cut ends were cut back to a channel. */
  readonly bevel: number;
  readonly gap: number;
  /** How far a bead's nose stands above the boards. */
  readonly nose: number;
  /** How deep the head of a screw lies. */
  readonly dimple: number;
  /** Inside angles: how many of the two boards bring a tapered edge into the corner. */
  readonly factoryEdges: 0 | 1 | 2;
}

/**
 * Joints as they usually are. The depth of a taper lies between 0.020 and 0.090 in and its width between 2 and 2 1/2 in
 * (source: ASTM C1396, from memory); the rest is common practice, no source.
 */
export const USUAL_JOINT: JointFound = {
  taper: 0.05 * MM_PER_INCH,
  taperWidth: 2.25 * MM_PER_INCH,
  hump: 1,
  humpWidth: 6 * MM_PER_INCH,
  bevel: 0,
  gap: 1.5,
  nose: 1.35,
  dimple: 0.6,
  factoryEdges: 0,
};

/** source: ASTM C1396 (from memory) */
export const LEAST_TAPER_MM = 0.02 * MM_PER_INCH;
export const MOST_TAPER_MM = 0.09 * MM_PER_INCH;

/** A backer draws the ends of boards in by this much over this width; an old wall stands off by a little. Common
 * practice, no source. */
const RECESS_MM = 1.4;
const RECESS_WIDTH_MM = 2.5 * MM_PER_INCH;
const OFFSET_OF_OLD_WALL_MM = 0.3;

/** Cut back, ends carry no furred paper and stand less proud, and a narrow channel takes mud under the tape. Common
 * practice, no source. */
const BEVEL_WIDTH_MM = 14;
const BEVELLED_PART = 0.6;
export const USUAL_BEVEL_MM = 1.5;

/**
 * The height of the boards at a distance from the joint's line, over the plane of the boards; mm. On a side of a corner
 * or nose the distance is never negative.
 *
 * @param side 0 the left or first side, 1 the other one
 * @example boardHeight('flat', USUAL_JOINT, 0, 0)  // −1.27, the bottom of the valley
 */
export function boardHeight(kind: CoatedClass, found: JointFound, x: number, side: 0 | 1): number {
  const away = Math.abs(x);
  switch (kind) {
    case 'flat':
      return -ramp(away, found.taper, found.taperWidth);
    case 'butt':
      return (
        ramp(away, found.hump * (found.bevel > 0 ? BEVELLED_PART : 1), found.humpWidth) -
        ramp(away, found.bevel, BEVEL_WIDTH_MM)
      );
    case 'backedButt':
      return -ramp(away, RECESS_MM, RECESS_WIDTH_MM);
    case 'mixed':
      return x < 0 ? -ramp(away, found.taper, found.taperWidth) : 0;
    case 'existing':
      return x < 0 ? 0 : ramp(away, OFFSET_OF_OLD_WALL_MM, found.humpWidth);
    case 'angle':
    case 'offAngle':
      return side < found.factoryEdges ? -ramp(away, found.taper, found.taperWidth) : 0;
    case 'bead':
    case 'trim':
      return 0;
    case 'fasteners':
      return away <= SCREW_HEAD_MM / 2 ? -found.dimple : 0;
    case 'surface':
      return 0;
  }
}

const SCREW_HEAD_MM = 8;

/** Full at the line, nothing at `width`. */
const ramp = (away: number, height: number, width: number): number => (away >= width ? 0 : height * (1 - away / width));
