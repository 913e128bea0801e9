import type { Board } from '../hang/board';
import type { HungFace } from '../hang/hangRoom';
import { chordsAt } from '../measure/chords';
import type { Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { Face } from '../room/faces/face';
import type { HangPlan } from '../room/resolveHang';
import type { FaceLine, Joint } from './joint';

/** Screws stand this far in from a board's edge; tape and bead flanges hide what is nearer than `HIDDEN_MM` to their
 * joint. Common practice, no source. */
const EDGE_DISTANCE_MM = 10;
const HIDDEN_MM = 26;

export interface ScrewCount {
  /** All that are driven. */
  readonly driven: number;
  /** Those to be spotted: not behind tape, bead, tile, trim or cabinets. */
  readonly spotted: number;
  /** The same by face. */
  readonly spottedOn: ReadonlyMap<string, number>;
}

/**
 * Screws by spacing: one line of them on every framing member behind a board, on the board's ends, and beside openings.
 * Framing stands upright behind walls and runs across the boards of a ceiling.
 *
 * @param joints all joints of the room, seams and angles
 */
export function countScrews(hungFaces: readonly HungFace[], joints: readonly Joint[], plan: HangPlan): ScrewCount {
  const covers = coversByFace(joints);
  const spottedOn = new Map<string, number>();
  let driven = 0;
  let all = 0;
  for (const { face, boards } of hungFaces) {
    let spotted = 0;
    const spacing = face.kind === 'ceiling' ? plan.screws.ceiling : plan.screws.wall;
    const members = {
      true: membersOf(face, true, covers.get(face.id)),
      false: membersOf(face, false, covers.get(face.id)),
    };
    for (const board of boards) {
      const upright = memberStandsUpright(face, board);
      const { at, sides } = members[`${upright}`];
      const [across0, across1] = upright ? [board.u0, board.u1] : [board.v0, board.v1];
      const [along0, along1] = upright ? [board.v0, board.v1] : [board.u0, board.u1];
      const grid = upright && face.mirrored ? face.width % plan.framing : 0;
      for (const line of memberLines(across0, across1, plan.framing, grid, sides)) {
        const { boarded, hidden } = at(line);
        for (const span of boarded) {
          const [from, to] = [Math.max(span.from, along0), Math.min(span.to, along1)];
          if (to - from <= TOLERANCE_MM) continue;
          const { count, first, step } = screwsAlong(from, to, spacing);
          driven += count;
          if (hidden.length === 0) spotted += count;
          else for (let index = 0; index < count; index += 1) if (!isWithin(first + index * step, hidden)) spotted += 1;
        }
      }
    }
    all += spotted;
    spottedOn.set(face.id, spotted);
  }
  return { driven, spotted: all, spottedOn };
}

/** A line of framing behind a face. */
interface Member {
  /** Where board lies on it, and where screws in it are hidden. */
  readonly boarded: readonly Span[];
  readonly hidden: readonly Span[];
}

/** The framing behind a face that runs one way: boards of one face share their members. */
interface Members {
  readonly at: (line: number) => Member;
  /** Where screws stand beside openings. */
  readonly sides: readonly number[];
}

function membersOf(face: Face, upright: boolean, tape: readonly FaceLine[] = []): Members {
  const known = new Map<number, Member>();
  const sides = face.holes.flatMap(({ u0, u1, v0, v1 }) =>
    upright ? [u0 - EDGE_DISTANCE_MM, u1 + EDGE_DISTANCE_MM] : [v0 - EDGE_DISTANCE_MM, v1 + EDGE_DISTANCE_MM],
  );
  const at = (line: number): Member => {
    let member = known.get(line);
    if (!member) {
      member = {
        boarded: chordsAt(face.loops, upright ? 'u' : 'v', line),
        hidden: hiddenAt(line, upright ? 0 : 1, tape, face.covers),
      };
      known.set(line, member);
    }
    return member;
  };
  return { at, sides };
}

function coversByFace(joints: readonly Joint[]): ReadonlyMap<string, readonly FaceLine[]> {
  const covers = new Map<string, FaceLine[]>();
  for (const { lines } of joints) {
    for (const line of lines) {
      const onFace = covers.get(line.face);
      if (onFace) onFace.push(line);
      else covers.set(line.face, [line]);
    }
  }
  return covers;
}

/** What tape, flanges and zones hide of a member; `across` is the coordinate that the member keeps. */
function hiddenAt(line: number, across: 0 | 1, tape: readonly FaceLine[], zones: Face['covers']): readonly Span[] {
  const hidden: Span[] = [];
  for (const joint of tape) {
    const a = joint.from[across] - line;
    const b = joint.to[across] - line;
    if ((a > HIDDEN_MM && b > HIDDEN_MM) || (a < -HIDDEN_MM && b < -HIDDEN_MM)) continue;
    hidden.push(hiddenByTape(line, across, joint));
  }
  for (const { u0, u1, v0, v1 } of zones) {
    const [low, high, from, to] = across === 0 ? [u0, u1, v0, v1] : [v0, v1, u0, u1];
    if (line >= low - TOLERANCE_MM && line <= high + TOLERANCE_MM)
      hidden.push({ from: from - TOLERANCE_MM, to: to + TOLERANCE_MM });
  }
  return hidden;
}

/** The stretch of a member that is near a joint's line. */
function hiddenByTape(line: number, across: 0 | 1, { from, to }: FaceLine): Span {
  const along = across === 0 ? 1 : 0;
  const whole = {
    from: Math.min(from[along], to[along]) - HIDDEN_MM,
    to: Math.max(from[along], to[along]) + HIDDEN_MM,
  };
  const [breadth, rise] = [to[across] - from[across], to[along] - from[along]];
  if (Math.abs(breadth) <= HIDDEN_MM || Math.abs(rise) <= HIDDEN_MM) return whole;
  // A line that leans hides what is near it, not the box around it.
  const middle = from[along] + ((line - from[across]) / breadth) * rise;
  const half = (HIDDEN_MM * Math.hypot(breadth, rise)) / Math.abs(breadth);
  return { from: Math.max(whole.from, middle - half), to: Math.min(whole.to, middle + half) };
}

// Plain loops: these run for every screw of a house.
function isWithin(at: number, spans: readonly Span[]): boolean {
  for (const { from, to } of spans) if (at >= from && at <= to) return true;
  return false;
}

/** Framing stands upright behind walls, and runs across the boards of a ceiling. */
const memberStandsUpright = (face: Face, board: Board): boolean => face.kind !== 'ceiling' || board.long === 'u';

/** The board's two ends, the framing between them, and the sides of openings; a member that one of those covers is left out. */
function memberLines(
  from: number,
  to: number,
  framing: number,
  grid: number,
  sides: readonly number[],
): readonly number[] {
  const lines = [from + EDGE_DISTANCE_MM, to - EDGE_DISTANCE_MM];
  for (const side of sides) if (side > from && side < to) lines.push(side);
  const fixed = lines.length;
  for (let member = Math.ceil((from - grid) / framing) * framing + grid; member < to; member += framing) {
    let free = true;
    for (let index = 0; index < fixed; index += 1)
      if (Math.abs((lines[index] ?? 0) - member) <= 2 * HIDDEN_MM) free = false;
    if (free) lines.push(member);
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
