import type { HungFace } from '../hang/hangRoom';
import type { Span } from '../measure/span';
import { add, dot, minus, type Point, times, type Vector } from '../measure/vector';
import { type Corner, cornersOf, isNear, LINE_DISTANCE_MM, type RoomEdge } from '../room/faces/corners';
import { type Hidden, hiddenOn, hiddenOnBoth, piecesBeside } from '../room/faces/covered';
import type { Room } from '../room/schema';
import { profileOfEdge } from './edgeProfiles';
import { factoryEdge, taperedSpans } from './factoryEdge';
import { type Joint, type JointClass, NO_FACTORY_EDGE } from './joint';
import { edgeId } from './jointId';

/**
 * The joints along which faces meet: inside angles, off-angles and outside corners, from the angle between the two
 * faces and nothing else. Against an old wall an inside corner is a joint to existing; between two old walls there is
 * nothing to finish.
 */
export function anglesOf(hungFaces: readonly HungFace[], beads: Room['beads']): readonly Joint[] {
  const boards = new Map(hungFaces.map((hung) => [hung.face.id, hung.boards]));
  return cornersOf(hungFaces.map(({ face }) => face)).flatMap((corner) => {
    const [a, b] = corner.edges;
    if (a.face.existing && b.face.existing) return [];
    const tapered = (edge: RoomEdge) => taperedSpans(edge, boards.get(edge.face.id) ?? []);
    return jointsAt(corner, beads, tapered);
  });
}

function classOf({ edges: [a, b], inside, square }: Corner): JointClass {
  if (!inside) return 'bead';
  if (a.face.existing || b.face.existing) return 'existing';
  return square ? 'angle' : 'offAngle';
}

function jointsAt(
  corner: Corner,
  beads: Room['beads'],
  tapered: (edge: RoomEdge) => readonly Span[],
): readonly Joint[] {
  const { edges, shared, inside, square } = corner;
  const [a, b] = edges;
  const edge = `${a.face.id}~${b.face.id}`;
  const names = () => [edge, `${b.face.id}~${a.face.id}`, b.face.id, a.face.id];
  const profile = inside ? undefined : profileOfEdge(beads, names(), square);
  if (profile === 'none') return [];
  const kind = profile === 'L' || profile === 'J' ? 'trim' : classOf(corner);
  const rise = Math.abs(a.direction[2]);
  const at = (along: number) => add(a.foot, times(a.direction, along));
  const hidden = hiddenOnBoth(hiddenAlong(a, shared), hiddenAlong(b, shared));
  return piecesBeside(shared, hidden).map((span): Joint => {
    const ends: readonly [Vector, Vector] = [at(span.from), at(span.to)];
    return {
      id: edgeId(a.face.id, b.face.id, placeOn(edges, ends)),
      edge,
      class: kind,
      length: span.to - span.from,
      run: rise < 1e-3 ? 'level' : rise > 1 - 1e-3 ? 'upright' : 'slope',
      inside,
      profile,
      tapedOnly: span.tapedOnly,
      lines: edges.map((side) => ({ face: side.face.id, from: onFace(side, ends[0]), to: onFace(side, ends[1]) })),
      ends,
      factoryEdge: inside ? factoryEdge(tapered(a), tapered(b), span) : NO_FACTORY_EDGE,
    };
  });
}

/** What is hidden of a stretch of an edge, measured like the stretch. */
function hiddenAlong(edge: RoomEdge, shared: Span): Hidden {
  if (edge.face.covers.length === 0) return { all: [], taped: [] };
  const [from, to] = [shared.from, shared.to].map((along) =>
    onFace(edge, add(edge.foot, times(edge.direction, along))),
  );
  if (!from || !to) return { all: [], taped: [] };
  const { all, taped } = hiddenOn(edge.face, from, to);
  const moved = (spans: readonly Span[]) =>
    spans.map((span) => ({ from: span.from + shared.from, to: span.to + shared.from }));
  return { all: moved(all), taped: moved(taped) };
}

/**
 * Where a joint lies on one of its faces: how far along the line that two flat faces have in common, so that a wall that becomes
 * longer at the other end changes nothing. Ceilings move with every wall, and are measured on last.
 */
function placeOn([a, b]: readonly [RoomEdge, RoomEdge], ends: readonly [Vector, Vector]): number | Point {
  const onCeiling = [a, b].map(({ face }) => face.kind === 'ceiling');
  const before = onCeiling[0] === onCeiling[1] ? a.face.id < b.face.id : onCeiling[1];
  const [[u, v], [toU, toV]] = ends.map((end) => onFace(before ? a : b, end)) as [Point, Point];
  if (a.face.bent || b.face.bent) return [u, v];
  return Math.abs(toU - u) >= Math.abs(toV - v) ? Math.min(u, toU) : Math.min(v, toV);
}

/** A point of an edge on its face; on a bent face, measured along the edge as it lies flat. */
function onFace({ face, edge }: RoomEdge, point: Vector): Point {
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
