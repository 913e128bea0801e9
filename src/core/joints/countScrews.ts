import type { Board } from '../hang/board';
import type { HungFace } from '../hang/hangRoom';
import type { Face } from '../house/faces/face';
import type { HangPlan } from '../house/resolveHang';
import { chordsAt } from '../measure/chords';
import { overlaps, type Span } from '../measure/span';
import type { Joint } from './joint';

/** Screws stand this far in from a board's edge; tape and bead flanges hide what is nearer than `HIDDEN_MM` to their
 * joint. Common practice, no source. */
const EDGE_DISTANCE_MM = 10;
const HIDDEN_MM = 26;

export interface ScrewCount {
  /** All that are driven. */
  readonly driven: number;
  /** Those to be spotted: not behind tape, bead, tile, trim or cabinets. */
  readonly spotted: number;
}

/**
 * Screws by spacing: one line of them on every framing member behind a board, on the board's ends, and beside openings.
 * Framing stands upright behind walls and runs across the boards of a ceiling.
 *
 * @param joints all joints of the room, seams and angles
 */
export function countScrews(hungFaces: readonly HungFace[], joints: readonly Joint[], plan: HangPlan): ScrewCount {
  const covers = coversByFace(joints);
  let driven = 0;
  let spotted = 0;
  for (const { face, boards } of hungFaces) {
    const tape = covers.get(face.id) ?? [];
    const spacing = face.kind === 'ceiling' ? plan.screws.ceiling : plan.screws.wall;
    for (const upright of [true, false]) {
      const boardsHere = boards.filter((board) => memberStandsUpright(face, board) === upright);
      if (boardsHere.length === 0) continue;
      const chords = rememberedChords(face, upright);
      for (const board of boardsHere) {
        for (const { member, from, to } of screwLines(board, face, upright, plan.framing, chords)) {
          const { count, first, step } = screwsAlong(from, to, spacing);
          driven += count;
          for (let index = 0; index < count; index += 1) {
            const along = first + index * step;
            const [u, v] = upright ? [member, along] : [along, member];
            if (!isTaped(u, v, tape) && !isBehind(u, v, face.covers)) spotted += 1;
          }
        }
      }
    }
  }
  return { driven, spotted };
}

/** What tape or a flange hides: all that is near a straight line. */
interface Cover {
  readonly u0: number;
  readonly u1: number;
  readonly v0: number;
  readonly v1: number;
  /** For a line that leans: its start, direction and length. */
  readonly leaning: { readonly from: readonly [number, number]; readonly du: number; readonly dv: number } | undefined;
}

function coversByFace(joints: readonly Joint[]): ReadonlyMap<string, readonly Cover[]> {
  const covers = new Map<string, Cover[]>();
  for (const { lines } of joints) {
    for (const { face, from, to } of lines) {
      const [wide, tall] = [to[0] - from[0], to[1] - from[1]];
      const length = Math.hypot(wide, tall);
      const leans = Math.abs(wide) > HIDDEN_MM && Math.abs(tall) > HIDDEN_MM;
      const cover = {
        u0: Math.min(from[0], to[0]) - HIDDEN_MM,
        u1: Math.max(from[0], to[0]) + HIDDEN_MM,
        v0: Math.min(from[1], to[1]) - HIDDEN_MM,
        v1: Math.max(from[1], to[1]) + HIDDEN_MM,
        leaning: leans ? { from, du: wide / length, dv: tall / length } : undefined,
      };
      const onFace = covers.get(face);
      if (onFace) onFace.push(cover);
      else covers.set(face, [cover]);
    }
  }
  return covers;
}

// Plain loops: these run for every screw of a house.
function isTaped(u: number, v: number, covers: readonly Cover[]): boolean {
  for (const { u0, u1, v0, v1, leaning } of covers) {
    if (u < u0 || u > u1 || v < v0 || v > v1) continue;
    if (!leaning) return true;
    if (Math.abs((u - leaning.from[0]) * leaning.dv - (v - leaning.from[1]) * leaning.du) <= HIDDEN_MM) return true;
  }
  return false;
}

function isBehind(u: number, v: number, covers: Face['covers']): boolean {
  for (const { u0, u1, v0, v1 } of covers) {
    if (u >= u0 && u <= u1 && v >= v0 && v <= v1) return true;
  }
  return false;
}

/** Framing stands upright behind walls, and runs across the boards of a ceiling. */
const memberStandsUpright = (face: Face, board: Board): boolean => face.kind !== 'ceiling' || board.long === 'u';

/** Where board lies along a member; boards of one face share their members. */
function rememberedChords(face: Face, upright: boolean): (member: number) => readonly Span[] {
  const known = new Map<number, readonly Span[]>();
  return (member) => {
    let chords = known.get(member);
    if (!chords) {
      chords = chordsAt(face.loops, upright ? 'u' : 'v', member);
      known.set(member, chords);
    }
    return chords;
  };
}

/** The straight lines of screws in a board: on every member behind it, broken by openings and cut by slopes. */
function screwLines(
  board: Board,
  face: Face,
  upright: boolean,
  framing: number,
  chordsOn: (member: number) => readonly Span[],
): readonly (Span & { readonly member: number })[] {
  // Across the members, and along each of them.
  const [across0, across1] = upright ? [board.u0, board.u1] : [board.v0, board.v1];
  const along = upright ? { from: board.v0, to: board.v1 } : { from: board.u0, to: board.u1 };
  const sides = face.holes
    .flatMap(({ u0, u1, v0, v1 }) => (upright ? [u0, u1] : [v0, v1]))
    .flatMap((side, index) => (index % 2 === 0 ? side - EDGE_DISTANCE_MM : side + EDGE_DISTANCE_MM))
    .filter((side) => side > across0 && side < across1);
  const grid = upright && face.mirrored ? face.width % framing : 0;
  return memberLines(across0, across1, framing, grid, sides).flatMap((member) =>
    overlaps(chordsOn(member), [along]).map(({ from, to }) => ({ member, from, to })),
  );
}

/** The board's two ends, the framing between them, and the sides of openings; a member that one of those covers is left out. */
function memberLines(
  from: number,
  to: number,
  framing: number,
  grid: number,
  sides: readonly number[],
): readonly number[] {
  const fixed = [from + EDGE_DISTANCE_MM, to - EDGE_DISTANCE_MM, ...sides];
  const lines = [...fixed];
  for (let member = Math.ceil((from - grid) / framing) * framing + grid; member < to; member += framing) {
    if (fixed.every((line) => Math.abs(line - member) > 2 * HIDDEN_MM)) lines.push(member);
  }
  return lines;
}

/** Even screws along a line, no farther apart than the spacing; a single one where there is no room for two. */
function screwsAlong(from: number, to: number, spacing: number) {
  const run = to - from - 2 * EDGE_DISTANCE_MM;
  if (run <= 0) return { count: 1, first: (from + to) / 2, step: 0 };
  const gaps = Math.max(1, Math.ceil(run / spacing - 1e-9));
  return { count: gaps + 1, first: from + EDGE_DISTANCE_MM, step: run / gaps };
}
