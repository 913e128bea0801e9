import { boxOf } from '../measure/polygon';
import { MM_PER_INCH, TOLERANCE_MM } from '../measure/unit';
import type { Face } from '../room/faces/face';
import type { HangPlan } from '../room/resolveHang';
import { type Board, type JointPrices, usualJointPrices } from './board';
import { compareCosts, RANKINGS } from './cost';
import { type CourseNet, courseNet, turnedNet } from './courses';
import { type Hanging, layCourses } from './layCourses';
import { hangLegs } from './legs';
import { finishedAlong, type Strip, stripOf } from './strip';

/** The ways a face may be hung; the cheapest wins, the first named where they cost the same. */
export interface FaceHanging {
  readonly long: readonly ('u' | 'v')[];
  /** Whether the first full board may also lie at the far side, or after a rip. */
  readonly searchStart: boolean;
  /** Whether a face that runs round corners may be hung leg by leg. */
  readonly byLegs: boolean;
}

/** Nobody starts with a rip narrower than this. Common practice, no source. */
const NARROWEST_RIP_MM = 6 * MM_PER_INCH;
/** More starts than these are not compared. */
const MOST_STARTS = 12;
/** In a hall of more courses than this one start is as good as another. */
const MOST_LINES_SEARCHED = 20;

/**
 * Hangs boards on one face so that finishing costs least: every direction, start and row of board widths, and for each
 * the cheapest butts (see `layCourses`). A face narrower than a board takes one strip lengthwise whatever was asked.
 *
 * @returns the boards, course by course
 * @example hangFace(wall20ft, plan, { long: ['u'], searchStart: false, byLegs: false })  // two courses with one butt each
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
  const best = cheapestOf(
    directions.flatMap((long) => {
      const strip = stripOf(face, long);
      return netsOf(strip, plan, hanging.searchStart).map((net) => ({ strip, net }));
    }),
    plan,
    prices,
  );
  if (hanging.byLegs && !narrow) {
    const legs = hangLegs(face, plan, prices);
    if (legs && compareCosts(legs.cost, best.cost) < 0) return legs.boards();
  }
  const boards = best.boards();
  return face.mirrored ? boards.map((board) => mirroredBoard(board, face.width)) : boards;
}

/** One way to lay courses over a face. */
interface Way {
  readonly strip: Strip;
  readonly net: CourseNet;
}

/** Returns the cheapest way, the first one where costs are equal. A way whose lower bound is above the best cost is not laid. */
function cheapestOf(ways: readonly Way[], plan: HangPlan, prices: JointPrices): Hanging {
  const [only] = ways;
  if (only && ways.length === 1) return layCourses(only.strip, only.net, plan, prices);
  const least = ways.map((way) => (RANKINGS[plan.aim][0] === 'work' ? leastWork(way, prices) : 0));
  const cheapestFirst = ways.map((_, index) => index).sort((a, b) => (least[a] ?? 0) - (least[b] ?? 0));
  let best: { readonly laid: Hanging; readonly index: number } | undefined;
  for (const index of cheapestFirst) {
    const way = ways[index];
    if (!way || (best && (least[index] ?? 0) > (best.laid.cost[0] ?? 0) + 1)) break;
    const laid = layCourses(way.strip, way.net, plan, prices);
    if (!best || (compareCosts(laid.cost, best.laid.cost) || index - best.index) < 0) best = { laid, index };
  }
  if (!best) throw new RangeError('a face takes at least one course');
  return best.laid;
}

/** The ways to lay courses over a strip: from its start; where it may be searched also from its end, and after rips. */
function netsOf(strip: Strip, plan: HangPlan, searchStart: boolean): readonly CourseNet[] {
  const plain = courseNet(strip.breadth, plan.boards);
  // On a plain rectangle all starts cost the same.
  if (!searchStart || strip.plain) return [plain];
  if (plain.lines.length > MOST_LINES_SEARCHED) return [plain];
  return [
    plain,
    turnedNet(plain, strip.breadth),
    ...firstRips(strip, plan).map((rip) => courseNet(strip.breadth, plan.boards, rip)),
  ];
}

/** Rips to start with that bring a seam in line with a corner of the face, where seams get shorter. */
function firstRips({ loops, breadth }: Strip, { boards }: HangPlan): readonly number[] {
  const corners = [...new Set(loops.flat().map(([, t]) => t))];
  const rips = boards.flatMap(({ width }) =>
    corners.flatMap((t) => {
      const rip = (t - breadth.from) % width;
      const most = Math.min(width, breadth.to - breadth.from) - TOLERANCE_MM;
      return rip >= NARROWEST_RIP_MM && rip < most ? [rip] : [];
    }),
  );
  return rips
    .sort((a, b) => a - b)
    .filter((rip, index) => index === 0 || rip - (rips[index - 1] ?? 0) > 1)
    .slice(0, MOST_STARTS);
}

/** Returns a lower bound of the joint cost of a net: all of its seams and, on a plain rectangle, the fewest butts that its longest boards allow. */
function leastWork({ strip, net }: Way, prices: JointPrices): number {
  if (net.from.some((courses) => courses.length > 1)) return 0;
  const seams = net.lines.slice(1, -1).reduce((sum, line) => sum + prices.flat * finishedAlong(strip, line), 0);
  if (!strip.plain) return seams;
  const length = strip.length.to - strip.length.from - TOLERANCE_MM;
  return net.from.reduce((sum, courses) => {
    const [laid] = courses;
    if (!laid) return sum;
    const { t0, t1, stock } = laid.course;
    return sum + prices.butt * (t1 - t0) * (Math.ceil(length / Math.max(...stock.lengths)) - 1);
  }, seams);
}

/** Back from the mirror image in which the face was hung. */
function mirroredBoard(board: Board, width: number): Board {
  const { u0, u1, long, lowEdge, highEdge } = board;
  const turned = { ...board, u0: width - u1, u1: width - u0 };
  return long === 'u' ? turned : { ...turned, lowEdge: highEdge, highEdge: lowEdge };
}
