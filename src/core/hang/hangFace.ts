import type { Face } from '../house/face';
import type { HangPlan } from '../house/resolveHang';
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
  const widest = Math.max(...plan.boards.map(({ width }) => width));
  const narrow = Math.min(face.width, face.height) < widest - TOLERANCE_MM;
  const directions: readonly ('u' | 'v')[] = narrow ? [face.width >= face.height ? 'u' : 'v'] : hanging.long;
  let best: { readonly cost: RankedCost; readonly boards: readonly Board[] } | undefined;
  // Without openings the two starts mirror each other and cost the same.
  const starts = hanging.searchStart && face.holes.length > 0 ? [false, true] : [false];
  for (const long of directions) {
    const strip = stripOf(face, long);
    for (const startHigh of starts) {
      for (const courses of courseLayouts(long === 'u' ? face.height : face.width, plan.boards, startHigh)) {
        const laid = layCourses(strip, courses, plan, prices);
        if (!best || compareCosts(laid.cost, best.cost) < 0) best = laid;
      }
    }
  }
  if (!best) throw new RangeError('a face takes at least one course');
  return best.boards;
}
