import type { Board } from '../hang/board';
import type { HungFace } from '../hang/hangRoom';
import { edgesOf, type Face, type FaceEdge, inRoom } from '../house/face';
import { overlapOf, type Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import { add, dot, minus, type Point, times, unit, type Vector } from '../measure/vector';
import type { Joint, JointClass } from './joint';

interface RoomEdge extends Span {
  readonly hung: HungFace;
  readonly edge: FaceEdge;
  /** The line: a unit direction (pointing the same way for all edges of one line) and its point nearest the origin. */
  readonly direction: Vector;
  readonly foot: Vector;
  /** On the face, away from the edge, onto the board. */
  readonly inward: Vector;
}

/** Within this of straight there is no joint; within `NEAR_SQUARE` of 90° it is an angle. House file, convention 3. */
const NEAR_STRAIGHT = (1 * Math.PI) / 180;
const NEAR_SQUARE = (3 * Math.PI) / 180;
/** Edges this near to one line, and this little turned from it, lie in it. */
const LINE_DISTANCE_MM = 0.5;
const LINE_TURN = 1e-4;

/**
 * The joints along which faces meet: inside angles, off-angles and outside corners, from the angle between the two
 * faces and nothing else. Edges in one line of the room are swept together, so that half an edge can meet.
 */
export function anglesOf(hungFaces: readonly HungFace[]): readonly Joint[] {
  const joints: Joint[] = [];
  for (const edges of edgesByLine(hungFaces)) {
    edges.forEach((a, index) => {
      for (const b of edges.slice(index + 1)) {
        if (a.hung === b.hung) continue;
        const shared = overlapOf(a, b);
        const kind = shared && classBetween(a, b);
        if (shared && kind) joints.push(jointBetween(a, b, shared, kind));
      }
    });
  }
  return joints;
}

/** Groups by nearness, not by rounding: two edges of one line may fall on either side of any rounding. */
function edgesByLine(hungFaces: readonly HungFace[]): readonly (readonly RoomEdge[])[] {
  const lines: RoomEdge[][] = [];
  for (const hung of hungFaces) {
    for (const edge of edgesOf(hung.face)) {
      const roomEdge = edgeInRoom(hung, edge);
      const line = lines.find(([first]) => first && inOneLine(first, roomEdge));
      if (line) line.push(roomEdge);
      else lines.push([roomEdge]);
    }
  }
  return lines;
}

const inOneLine = (a: RoomEdge, b: RoomEdge): boolean =>
  isNear(a.foot, b.foot, LINE_DISTANCE_MM) && isNear(a.direction, b.direction, LINE_TURN);

function isNear(a: Vector, b: Vector, distance: number): boolean {
  return Math.abs(a[0] - b[0]) <= distance && Math.abs(a[1] - b[1]) <= distance && Math.abs(a[2] - b[2]) <= distance;
}

function edgeInRoom(hung: HungFace, edge: FaceEdge): RoomEdge {
  const { face } = hung;
  const start = inRoom(face, edge.from);
  const end = inRoom(face, edge.to);
  const direction = pointingForward(unit(minus(end, start)));
  const stops = [dot(start, direction), dot(end, direction)];
  return {
    hung,
    edge,
    direction,
    foot: minus(start, times(direction, dot(start, direction))),
    inward: onFace(face, edge.inward),
    from: Math.min(...stops),
    to: Math.max(...stops),
  };
}

const onFace = (face: Face, [u, v]: Point): Vector => add(times(face.u, u), times(face.v, v));

function pointingForward(direction: Vector): Vector {
  const first = direction.find((part) => Math.abs(part) > 1e-6) ?? 1;
  return first > 0 ? direction : times(direction, -1);
}

/** Inside when board a leaves the edge toward the room side of board b. */
function classBetween(a: RoomEdge, b: RoomEdge): JointClass | undefined {
  const between = Math.acos(Math.max(-1, Math.min(1, dot(a.inward, b.inward))));
  if (Math.PI - between < NEAR_STRAIGHT) return undefined;
  if (dot(a.inward, b.hung.face.normal) < 0) return 'bead';
  return Math.abs(between - Math.PI / 2) <= NEAR_SQUARE ? 'angle' : 'offAngle';
}

function jointBetween(a: RoomEdge, b: RoomEdge, shared: Span, kind: JointClass): Joint {
  const ends: readonly [Vector, Vector] = [
    add(a.foot, times(a.direction, shared.from)),
    add(a.foot, times(a.direction, shared.to)),
  ];
  const rise = Math.abs(a.direction[2]);
  return {
    id: `${a.hung.face.id}~${b.hung.face.id}.${kind}.${Math.round(shared.from)}`,
    class: kind,
    length: shared.to - shared.from,
    run: rise < 1e-3 ? 'level' : rise > 1 - 1e-3 ? 'upright' : 'slope',
    lines: [a, b].map(({ hung }) => ({
      face: hung.face.id,
      from: toFace(hung.face, ends[0]),
      to: toFace(hung.face, ends[1]),
    })),
    ends,
    factoryEdge: kind === 'bead' ? { one: 0, both: 0 } : factoryEdge(taperedSpans(a), taperedSpans(b), shared),
  };
}

const toFace = (face: Face, point: Vector): Point => {
  const offset = minus(point, face.origin);
  return [dot(offset, face.u), dot(offset, face.v)];
};

/** The stretches of an edge where a board's tapered edge lies along it. */
function taperedSpans({ hung, edge, direction }: RoomEdge): readonly Span[] {
  const { face, boards } = hung;
  const [axis, at] = edge.from[1] === edge.to[1] ? (['v', edge.from[1]] as const) : (['u', edge.from[0]] as const);
  return boards.flatMap((board) => {
    const along = taperedAt(board, axis, at);
    if (!along) return [];
    const stops = [along.from, along.to].map((stop) =>
      dot(inRoom(face, axis === 'v' ? [stop, at] : [at, stop]), direction),
    );
    return [{ from: Math.min(...stops), to: Math.max(...stops) }];
  });
}

function taperedAt(board: Board, axis: 'u' | 'v', at: number): Span | undefined {
  if ((axis === 'v') !== (board.long === 'u')) return undefined;
  const [low, high] = axis === 'v' ? [board.v0, board.v1] : [board.u0, board.u1];
  const here =
    (Math.abs(low - at) <= TOLERANCE_MM && board.lowEdge === 'tapered') ||
    (Math.abs(high - at) <= TOLERANCE_MM && board.highEdge === 'tapered');
  if (!here) return undefined;
  return axis === 'v' ? { from: board.u0, to: board.u1 } : { from: board.v0, to: board.v1 };
}

function factoryEdge(
  a: readonly Span[],
  b: readonly Span[],
  shared: Span,
): { readonly one: number; readonly both: number } {
  const within = (spans: readonly Span[], limit: Span) => spans.flatMap((span) => overlapOf(span, limit) ?? []);
  const length = (spans: readonly Span[]) => spans.reduce((sum, { from, to }) => sum + to - from, 0);
  const onA = within(a, shared);
  const onB = within(b, shared);
  const both = length(onA.flatMap((span) => within(onB, span)));
  return { one: length(onA) + length(onB) - 2 * both, both };
}

/** How many points of the room are the end of three or more inside angles. */
export function countThreeWays(joints: readonly Joint[]): number {
  const points: { readonly at: Vector; ends: number }[] = [];
  for (const joint of joints) {
    if (joint.class !== 'angle' && joint.class !== 'offAngle') continue;
    for (const end of joint.ends) {
      const point = points.find(({ at }) => isNear(at, end, 2 * LINE_DISTANCE_MM));
      if (point) point.ends += 1;
      else points.push({ at: end, ends: 1 });
    }
  }
  return points.filter(({ ends }) => ends >= 3).length;
}
