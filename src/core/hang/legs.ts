import { isInside } from '../measure/chords';
import { TOLERANCE_MM } from '../measure/unit';
import type { Loop, Point } from '../measure/vector';
import type { Face } from '../room/faces/face';
import type { HangPlan } from '../room/resolveHang';
import type { EdgeKind, JointPrices } from './board';
import { addParts, type CostParts, compareCosts, NO_COST, RANKINGS, rankedCost, SPLIT_RANKINGS } from './cost';
import { boardsOf, courseChoices } from './courseChoices';
import type { Course } from './courses';
import type { Hanging } from './layCourses';
import { nothingKnown, type Strip } from './strip';

/** A rectangle of the grid that the corners of a face draw. */
interface Cell {
  readonly column: number;
  readonly row: number;
  /** The ways a strip of board narrow enough for one sheet may run through it. */
  readonly ways: readonly ('u' | 'v')[];
}

/** A face that turns more corners than this is hung as a whole. */
const MOST_CORNERS = 6;

/**
 * Hangs a face that runs round corners, such as the underside of a soffit, leg by leg: each leg is one strip lengthwise,
 * and where two meet one of them runs through. Undefined where some part is too broad for one board.
 */
export function hangLegs(face: Face, plan: HangPlan, prices: JointPrices): Hanging | undefined {
  const grid = gridOf(face.loops);
  const cells = grid && cellsOf(face.loops, grid, plan);
  if (!grid || !cells) return undefined;
  const corners = cells.filter(({ ways }) => ways.length > 1);
  if (corners.length === 0 || corners.length > MOST_CORNERS) return undefined;
  let best: Hanging | undefined;
  for (let choice = 0; choice < 2 ** corners.length; choice += 1) {
    const wayOf = (cell: Cell): 'u' | 'v' => {
      const corner = corners.indexOf(cell);
      return corner < 0 ? (cell.ways[0] ?? 'u') : choice & (1 << corner) ? 'v' : 'u';
    };
    const hanging = hangStrips(stripsOf(cells, wayOf, grid), plan, prices);
    if (!best || compareCosts(hanging.cost, best.cost) < 0) best = hanging;
  }
  return best;
}

interface Grid {
  readonly us: readonly number[];
  readonly vs: readonly number[];
}

/** The lines through the corners of a face whose sides all run with its axes. */
function gridOf(loops: readonly Loop[]): Grid | undefined {
  const square = loops.every((loop) =>
    loop.every((point, index) => {
      const next = loop[(index + 1) % loop.length] ?? point;
      return Math.min(Math.abs(next[0] - point[0]), Math.abs(next[1] - point[1])) <= TOLERANCE_MM;
    }),
  );
  if (!square) return undefined;
  const lines = (axis: 0 | 1) =>
    loops
      .flat()
      .map((point) => point[axis])
      .sort((a, b) => a - b)
      .filter((value, index, all) => value - (all[index - 1] ?? -Infinity) > TOLERANCE_MM);
  return { us: lines(0), vs: lines(1) };
}

function cellsOf(loops: readonly Loop[], { us, vs }: Grid, { boards }: HangPlan): readonly Cell[] | undefined {
  const widest = Math.max(...boards.map(({ width }) => width));
  const middle = (column: number, row: number): Point => [
    ((us[column] ?? 0) + (us[column + 1] ?? 0)) / 2,
    ((vs[row] ?? 0) + (vs[row + 1] ?? 0)) / 2,
  ];
  const inside = (column: number, row: number) =>
    column >= 0 && row >= 0 && column < us.length - 1 && row < vs.length - 1 && isInside(middle(column, row), loops);
  /** How far the face reaches through a cell. */
  const reach = (column: number, row: number, lines: readonly number[], along: 'u' | 'v'): number => {
    const at = (index: number) => (along === 'u' ? inside(index, row) : inside(column, index));
    const own = along === 'u' ? column : row;
    let [low, high] = [own, own];
    while (at(low - 1)) low -= 1;
    while (at(high + 1)) high += 1;
    return (lines[high + 1] ?? 0) - (lines[low] ?? 0);
  };
  const cells: Cell[] = [];
  for (let row = 0; row < vs.length - 1; row += 1) {
    for (let column = 0; column < us.length - 1; column += 1) {
      if (!inside(column, row)) continue;
      const [wide, tall] = [reach(column, row, us, 'u'), reach(column, row, vs, 'v')];
      const [runsWide, runsTall] = [wide > widest + TOLERANCE_MM, tall > widest + TOLERANCE_MM];
      const breadth = { u: (vs[row + 1] ?? 0) - (vs[row] ?? 0), v: (us[column + 1] ?? 0) - (us[column] ?? 0) };
      // Broad both ways with room around it: no leg, but part of a field of boards.
      if (runsWide && runsTall && Math.max(breadth.u, breadth.v) > widest + TOLERANCE_MM) return undefined;
      const ways = runsWide && runsTall ? (['u', 'v'] as const) : wide >= tall ? (['u'] as const) : (['v'] as const);
      cells.push({ column, row, ways });
    }
  }
  return cells;
}

interface LegStrip {
  readonly long: 'u' | 'v';
  readonly from: Point;
  readonly to: Point;
}

/** Cells of one way that lie behind each other, made one strip; strips that lie side by side and begin and end alike too. */
function stripsOf(cells: readonly Cell[], wayOf: (cell: Cell) => 'u' | 'v', { us, vs }: Grid): readonly LegStrip[] {
  return (['u', 'v'] as const).flatMap((long) => {
    const own = cells.filter((cell) => wayOf(cell) === long);
    const [along, across] = long === 'u' ? (['column', 'row'] as const) : (['row', 'column'] as const);
    const runs: { from: number; to: number; low: number; high: number }[] = [];
    for (const cell of [...own].sort((a, b) => a[across] - b[across] || a[along] - b[along])) {
      const last = runs.at(-1);
      if (last && last.high === cell[across] && last.to === cell[along]) last.to += 1;
      else runs.push({ from: cell[along], to: cell[along] + 1, low: cell[across], high: cell[across] });
    }
    const merged: typeof runs = [];
    for (const run of runs) {
      const beside = merged.find(({ from, to, high }) => from === run.from && to === run.to && high + 1 === run.low);
      if (beside) beside.high = run.high;
      else merged.push({ ...run });
    }
    return merged.map(({ from, to, low, high }): LegStrip => {
      const [alongLines, acrossLines] = long === 'u' ? [us, vs] : [vs, us];
      const [s0, s1, t0, t1] = [
        alongLines[from] ?? 0,
        alongLines[to] ?? 0,
        acrossLines[low] ?? 0,
        acrossLines[high + 1] ?? 0,
      ];
      return long === 'u' ? { long, from: [s0, t0], to: [s1, t1] } : { long, from: [t0, s0], to: [t1, s1] };
    });
  });
}

/** The boards of strips, each with its taper toward the longest joint on its long edges, and what their joints cost. */
function hangStrips(strips: readonly LegStrip[], plan: HangPlan, prices: JointPrices): Hanging {
  const narrowestFirst = [...plan.boards].sort((a, b) => a.width - b.width);
  let parts: CostParts = NO_COST;
  const boards = strips.flatMap((leg, index) => {
    const [s0, s1, t0, t1] =
      leg.long === 'u'
        ? [leg.from[0], leg.to[0], leg.from[1], leg.to[1]]
        : [leg.from[1], leg.to[1], leg.from[0], leg.to[0]];
    const stock = narrowestFirst.find(({ width }) => width >= t1 - t0 - TOLERANCE_MM) ?? narrowestFirst.at(-1);
    if (!stock) return [];
    const full = Math.abs(stock.width - (t1 - t0)) <= TOLERANCE_MM;
    const [low, high] = [meetingAt(leg, t0, strips), meetingAt(leg, t1, strips)];
    // A rip has one taper; a strip that meets nothing along its edges shows none to a seam.
    const tapered = full ? [true, true] : low >= high ? [low > 0, false] : [false, true];
    const [lowEdge = 'square', highEdge = 'square'] = tapered.map((edge): EdgeKind => (edge ? 'tapered' : 'square'));
    const course: Course = { t0, t1, lowEdge, highEdge, stock };
    const priceOf = (kind: EdgeKind) => (kind === 'tapered' ? prices.mixed : prices.butt);
    parts = addParts(parts, { ...NO_COST, work: low * priceOf(course.lowEdge) + high * priceOf(course.highEdge) });
    const strip: Strip = {
      long: leg.long,
      loops: [
        [
          [s0, t0],
          [s1, t0],
          [s1, t1],
          [s0, t1],
        ],
      ],
      breadth: { from: t0, to: t1 },
      length: { from: s0, to: s1 },
      plain: true,
      holes: [],
      hidden: undefined,
      known: nothingKnown(),
    };
    const { choices, partsOf } = courseChoices(strip, course, plan, prices, SPLIT_RANKINGS[plan.aim]);
    const choice = choices.reduce((best, other) => (other.after < best.after ? other : best));
    parts = addParts(parts, partsOf(choice));
    return boardsOf(choice.pieces, strip, course, index, () => plan.backed);
  });
  return { cost: rankedCost(RANKINGS[plan.aim], parts), boards: () => boards };
}

/** How much of a long edge of a leg other legs end at; mm. */
function meetingAt(leg: LegStrip, line: number, strips: readonly LegStrip[]): number {
  const [along, across] = leg.long === 'u' ? ([0, 1] as const) : ([1, 0] as const);
  return strips.reduce((sum, other) => {
    if (other === leg) return sum;
    const touches = [other.from[across], other.to[across]].some((end) => Math.abs(end - line) <= TOLERANCE_MM);
    const shared = Math.min(other.to[along], leg.to[along]) - Math.max(other.from[along], leg.from[along]);
    return touches && shared > TOLERANCE_MM ? sum + shared : sum;
  }, 0);
}
