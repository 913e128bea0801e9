import { overlapOf, type Span } from '../../measure/span';
import { TOLERANCE_MM } from '../../measure/unit';
import { dot, minus, type Point, times, unit, type Vector } from '../../measure/vector';
import { edgesOf, type Face, type SpaceEdge } from './face';

/** Within this of straight there is no joint; within `NEAR_SQUARE` of 90° it is an angle. House file, convention 3. */
const NEAR_STRAIGHT = (1 * Math.PI) / 180;
const NEAR_SQUARE = (3 * Math.PI) / 180;
/** Edges this near to one line, and this little turned from it, lie in it. */
export const LINE_DISTANCE_MM = 0.5;
const LINE_TURN = 1e-4;

/** An edge of a face on its line through the room. */
export interface RoomEdge extends Span {
  readonly face: Face;
  readonly edge: SpaceEdge;
  /** The line: a unit direction (pointing the same way for all edges of one line) and its point nearest the origin. */
  readonly direction: Vector;
  readonly foot: Vector;
}

/** A stretch along which two faces meet. */
export interface Corner {
  readonly edges: readonly [RoomEdge, RoomEdge];
  readonly shared: Span;
  readonly inside: boolean;
  /** Near enough to 90° for a bead that is bent square, and for tape that is creased so. */
  readonly square: boolean;
}

/**
 * Where the faces of a room meet, from the angle between them and nothing else. Edges in one line of the room are swept
 * together, so that half an edge can meet.
 */
export function cornersOf(faces: readonly Face[]): readonly Corner[] {
  const corners: Corner[] = [];
  for (const edges of edgesByLine(faces)) {
    for (const [index, a] of edges.entries()) {
      for (let later = index + 1; later < edges.length; later += 1) {
        const b = edges[later];
        if (!b || a.face === b.face) continue;
        const shared = overlapOf(a, b);
        const angle = shared && angleBetween(a, b);
        if (shared && angle) corners.push({ edges: [a, b], shared, ...angle });
      }
    }
  }
  return corners;
}

/** Groups by nearness, not by rounding: two edges of one line may fall on either side of any rounding. */
function edgesByLine(faces: readonly Face[]): readonly (readonly RoomEdge[])[] {
  const lines: RoomEdge[][] = [];
  for (const face of faces) {
    for (const edge of straightEdges(face)) {
      const roomEdge = edgeInRoom(face, edge);
      const line = lines.find((edges) => edges[0] && inOneLine(edges[0], roomEdge));
      if (line) line.push(roomEdge);
      else lines.push([roomEdge]);
    }
  }
  return lines;
}

/** The steps that stand for an arch meet nothing but its lining, which is bent along with them. */
function straightEdges(face: Face): readonly SpaceEdge[] {
  const curves = face.holes.flatMap(({ arch }) => (arch ? [arch.curve] : []));
  if (curves.length === 0) return edgesOf(face);
  const on = (point: Point, curve: readonly Point[]) =>
    curve.some(([u, v]) => Math.abs(u - point[0]) <= TOLERANCE_MM && Math.abs(v - point[1]) <= TOLERANCE_MM);
  return edgesOf(face).filter(({ from, to }) => !curves.some((curve) => on(from, curve) && on(to, curve)));
}

const inOneLine = (a: RoomEdge, b: RoomEdge): boolean =>
  isNear(a.foot, b.foot, LINE_DISTANCE_MM) && isNear(a.direction, b.direction, LINE_TURN);

/** Whether two points lie within a distance of each other along every axis; mm. */
export function isNear(a: Vector, b: Vector, distance: number): boolean {
  return Math.abs(a[0] - b[0]) <= distance && Math.abs(a[1] - b[1]) <= distance && Math.abs(a[2] - b[2]) <= distance;
}

function edgeInRoom(face: Face, edge: SpaceEdge): RoomEdge {
  const [start, end] = edge.ends;
  const direction = pointingForward(unit(minus(end, start)));
  const [one, other] = [dot(start, direction), dot(end, direction)];
  return {
    face,
    edge,
    direction,
    foot: minus(start, times(direction, one)),
    from: Math.min(one, other),
    to: Math.max(one, other),
  };
}

function pointingForward(direction: Vector): Vector {
  const first = direction.find((part) => Math.abs(part) > 1e-6) ?? 1;
  return first > 0 ? direction : times(direction, -1);
}

/** Inside when board a leaves the edge toward the room side of board b. */
function angleBetween(a: RoomEdge, b: RoomEdge): Pick<Corner, 'inside' | 'square'> | undefined {
  const between = Math.acos(Math.max(-1, Math.min(1, dot(a.edge.inward, b.edge.inward))));
  if (Math.PI - between < NEAR_STRAIGHT) return undefined;
  const square = Math.abs(between - Math.PI / 2) <= NEAR_SQUARE;
  // Boards back to back, with no more than a fin between them: the fin's end is an outside corner.
  if (between < NEAR_STRAIGHT) return { inside: false, square };
  return { inside: dot(a.edge.inward, b.edge.normal) >= 0, square };
}
