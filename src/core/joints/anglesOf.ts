import type { HungFace } from '../hang/hangRoom';
import { edgesOf, type Face, type SpaceEdge } from '../house/faces/face';
import type { Room } from '../house/schema';
import { overlapOf, type Span } from '../measure/span';
import { TOLERANCE_MM } from '../measure/unit';
import { add, dot, minus, type Point, times, unit, type Vector } from '../measure/vector';
import { type Hidden, hiddenOn, hiddenOnBoth, piecesBeside } from './covered';
import { profileOfEdge } from './edgeProfiles';
import { factoryEdge, taperedSpans } from './factoryEdge';
import { type Joint, type JointClass, NO_FACTORY_EDGE } from './joint';
import type { RoomEdge } from './roomEdge';

/** Within this of straight there is no joint; within `NEAR_SQUARE` of 90° it is an angle. House file, convention 3. */
const NEAR_STRAIGHT = (1 * Math.PI) / 180;
const NEAR_SQUARE = (3 * Math.PI) / 180;
/** Edges this near to one line, and this little turned from it, lie in it. */
const LINE_DISTANCE_MM = 0.5;
const LINE_TURN = 1e-4;

/**
 * The joints along which faces meet: inside angles, off-angles and outside corners, from the angle between the two
 * faces and nothing else. Edges in one line of the room are swept together, so that half an edge can meet. Against an
 * old wall an inside corner is a joint to existing; between two old walls there is nothing to finish.
 */
export function anglesOf(hungFaces: readonly HungFace[], beads: Room['beads']): readonly Joint[] {
  const joints: Joint[] = [];
  for (const edges of edgesByLine(hungFaces)) {
    for (const [index, a] of edges.entries()) {
      for (const b of edges.slice(index + 1)) {
        if (a.hung === b.hung || (a.hung.face.existing && b.hung.face.existing)) continue;
        const shared = overlapOf(a, b);
        const corner = shared && cornerBetween(a, b);
        if (shared && corner) joints.push(...jointsBetween(a, b, shared, corner, beads));
      }
    }
  }
  return joints;
}

/** Groups by nearness, not by rounding: two edges of one line may fall on either side of any rounding. */
function edgesByLine(hungFaces: readonly HungFace[]): readonly (readonly RoomEdge[])[] {
  const lines: RoomEdge[][] = [];
  for (const hung of hungFaces) {
    for (const edge of straightEdges(hung.face)) {
      const roomEdge = edgeInRoom(hung, edge);
      const line = lines.find(([first]) => first && inOneLine(first, roomEdge));
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

function isNear(a: Vector, b: Vector, distance: number): boolean {
  return Math.abs(a[0] - b[0]) <= distance && Math.abs(a[1] - b[1]) <= distance && Math.abs(a[2] - b[2]) <= distance;
}

function edgeInRoom(hung: HungFace, edge: SpaceEdge): RoomEdge {
  const [start, end] = edge.ends;
  const direction = pointingForward(unit(minus(end, start)));
  const stops = [dot(start, direction), dot(end, direction)];
  return {
    hung,
    edge,
    direction,
    foot: minus(start, times(direction, dot(start, direction))),
    from: Math.min(...stops),
    to: Math.max(...stops),
  };
}

function pointingForward(direction: Vector): Vector {
  const first = direction.find((part) => Math.abs(part) > 1e-6) ?? 1;
  return first > 0 ? direction : times(direction, -1);
}

interface Corner {
  readonly class: JointClass;
  readonly inside: boolean;
  /** Near enough to 90° for a bead that is bent square. */
  readonly square: boolean;
}

/** Inside when board a leaves the edge toward the room side of board b. */
function cornerBetween(a: RoomEdge, b: RoomEdge): Corner | undefined {
  const between = Math.acos(Math.max(-1, Math.min(1, dot(a.edge.inward, b.edge.inward))));
  if (Math.PI - between < NEAR_STRAIGHT) return undefined;
  const square = Math.abs(between - Math.PI / 2) <= NEAR_SQUARE;
  // Boards back to back, with no more than a fin between them: the fin's end is an outside corner.
  if (between < NEAR_STRAIGHT) return { class: 'bead', inside: false, square };
  if (dot(a.edge.inward, b.edge.normal) < 0) return { class: 'bead', inside: false, square };
  if (a.hung.face.existing || b.hung.face.existing) return { class: 'existing', inside: true, square };
  return { class: square ? 'angle' : 'offAngle', inside: true, square };
}

function jointsBetween(a: RoomEdge, b: RoomEdge, shared: Span, corner: Corner, beads: Room['beads']): readonly Joint[] {
  const [one, other] = [a.hung.face, b.hung.face];
  const edge = `${one.id}~${other.id}`;
  const profile = corner.inside ? undefined : profileOfEdge(beads, [edge, other.id, one.id], corner.square);
  if (profile === 'none') return [];
  const kind = profile === 'L' || profile === 'J' ? 'trim' : corner.class;
  const rise = Math.abs(a.direction[2]);
  const at = (along: number) => add(a.foot, times(a.direction, along));
  const hidden = hiddenOnBoth(hiddenAlong(a, shared), hiddenAlong(b, shared));
  return piecesBeside(shared, hidden).map((span): Joint => {
    const ends: readonly [Vector, Vector] = [at(span.from), at(span.to)];
    return {
      id: `${edge}.${kind}.${Math.round(span.from)}`,
      edge,
      class: kind,
      length: span.to - span.from,
      run: rise < 1e-3 ? 'level' : rise > 1 - 1e-3 ? 'upright' : 'slope',
      inside: corner.inside,
      profile,
      tapedOnly: span.tapedOnly,
      lines: [a, b].map((side) => ({
        face: side.hung.face.id,
        from: onFace(side, ends[0]),
        to: onFace(side, ends[1]),
      })),
      ends,
      factoryEdge: corner.inside ? factoryEdge(taperedSpans(a), taperedSpans(b), span) : NO_FACTORY_EDGE,
    };
  });
}

/** What is hidden of a stretch of an edge, measured like the stretch. */
function hiddenAlong(edge: RoomEdge, shared: Span): Hidden {
  const { face } = edge.hung;
  if (face.covers.length === 0) return { all: [], taped: [] };
  const [from, to] = [shared.from, shared.to].map((along) =>
    onFace(edge, add(edge.foot, times(edge.direction, along))),
  );
  if (!from || !to) return { all: [], taped: [] };
  const { all, taped } = hiddenOn(face, from, to);
  const moved = (spans: readonly Span[]) =>
    spans.map((span) => ({ from: span.from + shared.from, to: span.to + shared.from }));
  return { all: moved(all), taped: moved(taped) };
}

/** A point of an edge on its face; on a bent face, measured along the edge as it lies flat. */
function onFace({ hung: { face }, edge }: RoomEdge, point: Vector): Point {
  if (face.bent) {
    const part = Math.hypot(...minus(point, edge.ends[0])) / Math.hypot(...minus(edge.ends[1], edge.ends[0]));
    return [edge.from[0] + (edge.to[0] - edge.from[0]) * part, edge.from[1] + (edge.to[1] - edge.from[1]) * part];
  }
  const offset = minus(point, face.origin);
  return [dot(offset, face.u), dot(offset, face.v)];
}

/** How many points of the room are the end of three or more inside angles. */
export function countThreeWays(joints: readonly Joint[]): number {
  const points: { readonly at: Vector; ends: number }[] = [];
  for (const joint of joints) {
    if (!joint.inside) continue;
    for (const end of joint.ends) {
      const point = points.find(({ at }) => isNear(at, end, 2 * LINE_DISTANCE_MM));
      if (point) point.ends += 1;
      else points.push({ at: end, ends: 1 });
    }
  }
  return points.filter(({ ends }) => ends >= 3).length;
}
