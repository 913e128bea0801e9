import type { Face } from '../house/faces/face';
import type { HangPlan } from '../house/resolveHang';
import { boxOf } from '../measure/polygon';
import { TOLERANCE_MM } from '../measure/unit';
import { type Board, type JointPrices, usualJointPrices } from './board';
import { compareCosts, type RankedCost } from './cost';
import { courseLayouts } from './courses';
import { layCourses } from './layCourses';
import { stripOf } from './strip';

/** The ways a face may be hung; the cheapest wins, the first named where they cost the same. */
export interface FaceHanging {
  readonly long: readonly ('u' | 'v')[];
  /** Whether the first full board may also lie at the far side. */
  readonly searchStart: boolean;
}

/**
 * Hangs boards on one face so that finishing costs least: every direction, start and row of board widths, and for each
 * the cheapest butts (see `layCourses`). A face narrower than a board takes one strip lengthwise whatever was asked.
 *
 * @returns the boards, course by course
 * @example hangFace(wall20ft, plan, { long: ['u'], searchStart: false })  // two courses with one butt each
 */
export function hangFace(
  face: Face,
  plan: HangPlan,
  hanging: FaceHanging,
  prices: JointPrices = usualJointPrices,
): readonly Board[] {
  if (face.existing || face.loops.length === 0) return [];
  const widest = Math.max(...plan.boards.map(({ width }) => width));
  const box = boxOf(face.loops);
  const narrow = Math.min(box.u1 - box.u0, box.v1 - box.v0) < widest - TOLERANCE_MM;
  const directions: readonly ('u' | 'v')[] = narrow ? [box.u1 - box.u0 >= box.v1 - box.v0 ? 'u' : 'v'] : hanging.long;
  let best: { readonly cost: RankedCost; readonly boards: readonly Board[] } | undefined;
  for (const long of directions) {
    const strip = stripOf(face, long);
    // On a plain rectangle the two starts mirror each other and cost the same.
    const starts = hanging.searchStart && !strip.plain ? [false, true] : [false];
    for (const startHigh of starts) {
      for (const courses of courseLayouts(strip.breadth, plan.boards, startHigh)) {
        const laid = layCourses(strip, courses, plan, prices);
        if (!best || compareCosts(laid.cost, best.cost) < 0) best = laid;
      }
    }
  }
  if (!best) throw new RangeError('a face takes at least one course');
  return face.mirrored ? best.boards.map((board) => mirroredBoard(board, face.width)) : best.boards;
}

/** Back from the mirror image in which the face was hung. */
function mirroredBoard(board: Board, width: number): Board {
  const { u0, u1, long, lowEdge, highEdge } = board;
  const turned = { ...board, u0: width - u1, u1: width - u0 };
  return long === 'u' ? turned : { ...turned, lowEdge: highEdge, highEdge: lowEdge };
}
