import type { Board, EdgeKind } from '../hang/board';
import type { HungFace } from '../hang/hangRoom';
import { type Axis, chordsAt } from '../measure/chords';
import { groupBy } from '../measure/groupBy';
import { overlaps, type Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import type { Point } from '../measure/vector';
import { hiddenOn, piecesBeside } from '../room/faces/covered';
import { inRoom } from '../room/faces/face';
import { type Joint, type JointClass, NO_FACTORY_EDGE } from './joint';
import { seamId } from './jointId';

interface BoardSide extends Span {
  readonly across: Axis;
  readonly at: number;
  /** Whether the board lies before the line (its high side) or after it. */
  readonly before: boolean;
  readonly edge: EdgeKind;
  readonly board: Board;
}

/**
 * The joints within one face. Boards meet in T's, so corners are never matched: the sides that lie in one line are swept
 * together, each stretch takes its class from the two edges that meet there, openings are cut out, and what is one
 * class in one line becomes one joint (a butt: one per course).
 */
export function seamsOf({ face, boards }: HungFace): readonly Joint[] {
  const joints: Joint[] = [];
  if (boards.length < 2) return joints;
  for (const sides of sidesByLine(boards)) {
    const [first] = sides;
    if (!first) continue;
    const { across, at } = first;
    const runs = mergedRuns(sides);
    if (runs.length === 0) continue;
    const boarded = chordsAt(face.loops, across, at);
    const point = (along: number): Point => (across === 'v' ? [along, at] : [at, along]);
    for (const run of runs) {
      for (const whole of overlaps([run], boarded)) {
        const hidden = hiddenOn(face, point(whole.from), point(whole.to));
        const pieces = piecesBeside({ from: 0, to: whole.to - whole.from }, hidden);
        for (const piece of pieces) {
          const [from, to] = [point(whole.from + piece.from), point(whole.from + piece.to)];
          const joint: Joint = {
            id: seamId(face.id, across, at, whole.from + piece.from),
            edge: undefined,
            class: run.class,
            length: piece.to - piece.from,
            run: 'seam',
            inside: false,
            profile: undefined,
            tapedOnly: piece.tapedOnly,
            lines: [{ face: face.id, from, to }],
            ends: [inRoom(face, from), inRoom(face, to)],
            factoryEdge: NO_FACTORY_EDGE,
          };
          joints.push(run.bevelled ? { ...joint, bevelled: true } : joint);
        }
      }
    }
  }
  return joints;
}

function sidesByLine(boards: readonly Board[]): Iterable<readonly BoardSide[]> {
  // Lines that stand at even numbers, lines that lie at odd ones.
  const lineOf = ({ across, at }: BoardSide) => 2 * Math.round(at / TOLERANCE_MM / 2) + (across === 'u' ? 0 : 1);
  return groupBy(boards.flatMap(sidesOf), lineOf).values();
}

function sidesOf(board: Board): readonly BoardSide[] {
  const { u0, u1, v0, v1, long } = board;
  const end: EdgeKind = 'square';
  const [low, high] = [board.lowEdge, board.highEdge];
  return [
    { across: 'v', at: v0, from: u0, to: u1, before: false, edge: long === 'u' ? low : end, board },
    { across: 'v', at: v1, from: u0, to: u1, before: true, edge: long === 'u' ? high : end, board },
    { across: 'u', at: u0, from: v0, to: v1, before: false, edge: long === 'v' ? low : end, board },
    { across: 'u', at: u1, from: v0, to: v1, before: true, edge: long === 'v' ? high : end, board },
  ];
}

interface Run extends Span {
  readonly class: JointClass;
  /** Butts of different courses stay apart even in one line. */
  readonly course: number | undefined;
  readonly bevelled: boolean;
}

function mergedRuns(sides: readonly BoardSide[]): readonly Run[] {
  // Along the rim of a face boards lie on one side only.
  if (sides.every(({ before }) => before === sides[0]?.before)) return [];
  const runs: Run[] = [];
  let from = -Infinity;
  for (const to of stopsOf(sides)) {
    const run = to - from > TOLERANCE_MM && from > -Infinity ? runBetween(sides, from, to) : undefined;
    const last = runs.at(-1);
    if (
      run &&
      last &&
      last.class === run.class &&
      last.course === run.course &&
      last.bevelled === run.bevelled &&
      from - last.to <= TOLERANCE_MM
    )
      runs[runs.length - 1] = { ...last, to };
    else if (run) runs.push(run);
    from = to;
  }
  return runs;
}

/** Where sides begin and end, in order. */
function stopsOf(sides: readonly Span[]): readonly number[] {
  const stops: number[] = [];
  for (const { from, to } of sides) stops.push(from, to);
  return stops.sort((a, b) => a - b);
}

/** The joint where boards lie on both sides of a line all the way between two stops. */
function runBetween(sides: readonly BoardSide[], from: number, to: number): Run | undefined {
  const middle = (from + to) / 2;
  const covers = (side: BoardSide) => side.from < middle && side.to > middle;
  const before = sides.find((side) => side.before && covers(side));
  const after = sides.find((side) => !side.before && covers(side));
  if (!before || !after) return undefined;
  const isEnd = (before.board.long === 'u') === (before.across === 'u');
  const plain = classOf(before.edge, after.edge);
  const kind = plain === 'butt' && isEnd && before.board.backed ? 'backedButt' : plain;
  const butts = plain === 'butt' && isEnd;
  return {
    from,
    to,
    class: kind,
    course: butts ? before.board.course : undefined,
    bevelled: kind === 'butt' && butts && before.board.bevelled === true,
  };
}

function classOf(a: EdgeKind, b: EdgeKind): JointClass {
  if (a === 'tapered' && b === 'tapered') return 'flat';
  return a === 'tapered' || b === 'tapered' ? 'mixed' : 'butt';
}
