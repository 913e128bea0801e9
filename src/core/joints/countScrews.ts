import type { Board } from '../hang/board';
import type { HungFace } from '../hang/hangRoom';
import type { HangPlan } from '../house/resolveHang';
import { subtractSpans } from '../measure/span';
import type { Joint } from './joint';

/** Screws stand this far in from a board's edge; tape and bead flanges hide what is nearer than `HIDDEN_MM` to their
 * joint. Common practice, no source. */
const EDGE_DISTANCE_MM = 10;
const HIDDEN_MM = 26;

export interface ScrewCount {
  /** All that are driven. */
  readonly driven: number;
  /** Those to be spotted: not behind tape or bead. */
  readonly spotted: number;
}

/**
 * Screws by spacing: one line of them on every framing member behind a board, on the board's ends, and beside openings.
 * Framing stands upright behind walls and runs across the boards of a ceiling.
 *
 * @param joints all joints of the room, seams and angles
 */
export function countScrews(hungFaces: readonly HungFace[], joints: readonly Joint[], plan: HangPlan): ScrewCount {
  let driven = 0;
  let spotted = 0;
  for (const hung of hungFaces) {
    const lines = joints.flatMap((joint) => joint.lines.filter(({ face }) => face === hung.face.id));
    const spacing = hung.face.kind === 'ceiling' ? plan.screws.ceiling : plan.screws.wall;
    for (const board of hung.boards) {
      for (const [u, v] of screwsIn(board, hung, plan.framing, spacing)) {
        driven += 1;
        if (!lines.some(({ from, to }) => distanceToBox(u, v, from, to) <= HIDDEN_MM)) spotted += 1;
      }
    }
  }
  return { driven, spotted };
}

function screwsIn(
  board: Board,
  { face }: HungFace,
  framing: number,
  spacing: number,
): readonly (readonly [number, number])[] {
  // Members run down walls and across the boards of ceilings: `m` counts along the row of members, `r` runs with each.
  const upright = face.kind !== 'ceiling' || board.long === 'u';
  const box = { u: [board.u0, board.u1], v: [board.v0, board.v1] } as const;
  const [m0, m1] = upright ? box.u : box.v;
  const [r0, r1] = upright ? box.v : box.u;
  const holes = face.holes.map(({ u0, u1, v0, v1 }) => {
    const u = { from: u0, to: u1 };
    const v = { from: v0, to: v1 };
    return upright ? { m: u, r: v } : { m: v, r: u };
  });
  const sides = holes
    .flatMap(({ m }) => [m.from - EDGE_DISTANCE_MM, m.to + EDGE_DISTANCE_MM])
    .filter((m) => m > m0 && m < m1);
  const members = memberLines(m0, m1, framing, sides);
  return members.flatMap((m) => {
    const cuts = holes.filter((hole) => m > hole.m.from && m < hole.m.to).map(({ r }) => r);
    return subtractSpans({ from: r0, to: r1 }, cuts).flatMap(({ from, to }) =>
      spaced(from, to, spacing).map((r) => (upright ? ([m, r] as const) : ([r, m] as const))),
    );
  });
}

/** The board's two ends, the framing between them, and the sides of openings; a member that one of those covers is left out. */
function memberLines(from: number, to: number, framing: number, sides: readonly number[]): readonly number[] {
  const fixed = [from + EDGE_DISTANCE_MM, to - EDGE_DISTANCE_MM, ...sides];
  const lines = [...fixed];
  for (let member = Math.ceil(from / framing) * framing; member < to; member += framing) {
    if (fixed.every((line) => Math.abs(line - member) > 2 * HIDDEN_MM)) lines.push(member);
  }
  return lines;
}

function spaced(from: number, to: number, spacing: number): readonly number[] {
  const run = to - from - 2 * EDGE_DISTANCE_MM;
  if (run <= 0) return [(from + to) / 2];
  const gaps = Math.max(1, Math.ceil(run / spacing - 1e-9));
  return Array.from({ length: gaps + 1 }, (_, index) => from + EDGE_DISTANCE_MM + (run * index) / gaps);
}

function distanceToBox(
  u: number,
  v: number,
  [fromU, fromV]: readonly [number, number],
  [toU, toV]: readonly [number, number],
): number {
  const beyond = (value: number, a: number, b: number) => Math.max(Math.min(a, b) - value, 0, value - Math.max(a, b));
  return Math.hypot(beyond(u, fromU, toU), beyond(v, fromV, toV));
}
