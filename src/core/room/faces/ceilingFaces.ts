import { isInside } from '../../measure/chords';
import { boxOf, clipToAll, cutLoops, type HalfPlane, piecesOf } from '../../measure/polygon';
import { type LengthUnit, toMm } from '../../measure/unit';
import { add, cross, dot, type Loop, type Point, times, unit, type Vector } from '../../measure/vector';
import type { Room } from '../schema';
import type { Wall } from '../walls';
import type { Face } from './face';
import { plainFace, uprightFace } from './makeFace';
import { heightOn, type Slope, slopesOf } from './roof';

/**
 * The ceiling's faces: one for every plane and every piece of it that hangs together, then a tray's inner ceiling and
 * its upright sides.
 *
 * @param cuts what stands under the ceiling and hides it: soffits and columns, clockwise on the plan; mm
 */
export function ceilingFaces(
  room: Room,
  walls: readonly Wall[],
  cuts: readonly Loop[],
  houseUnit: LengthUnit,
): readonly Face[] {
  const [first] = walls;
  if (room.ceiling.shape === 'open' || !first) return [];
  const outline = walls.map(({ from }) => from);
  if (room.ceiling.shape === 'tray')
    return trayFaces(room.ceiling, toMm(room.height, houseUnit), walls, cuts, houseUnit);
  const slopes = slopesOf(room, walls, houseUnit);
  const covered = cutLoops([outline], cuts);
  let index = 0;
  return slopes.flatMap((slope, own) => {
    const lowest = slopes.flatMap((other, at) => (at === own ? [] : [whereLower(slope, other)]));
    if (lowest.includes('nowhere')) return [];
    const planes = lowest.filter((plane): plane is HalfPlane => typeof plane !== 'string');
    return piecesOf(clipToAll(covered, planes)).map((piece) =>
      slopingFace(`c${index++}`, slope, piece, first, outline),
    );
  });
}

/** Where one plane lies below another. */
function whereLower(slope: Slope, other: Slope): HalfPlane | 'nowhere' | 'everywhere' {
  const [x, y] = [other.x - slope.x, other.y - slope.y];
  const length = Math.hypot(x, y);
  if (length < 1e-12) return other.level < slope.level ? 'nowhere' : 'everywhere';
  return { normal: [x / length, y / length], offset: (slope.level - other.level) / length };
}

/** A piece of ceiling in its own plane; its `u` runs along wall 0 as near as it can. */
function slopingFace(id: string, slope: Slope, plan: readonly Loop[], first: Wall, outline: Loop): Face {
  const steep = Math.hypot(slope.x, slope.y);
  const { along } = first;
  const uphill: Vector = steep < 1e-9 ? first.inward : [slope.x / steep, slope.y / steep, 0];
  const level: Vector = [uphill[1], -uphill[0], 0];
  // The one of the two natural directions that is nearer to wall 0, pointing the same way.
  const onPlan = Math.abs(dot(level, along)) >= Math.abs(dot(uphill, along)) ? level : uphill;
  const u2 = times(onPlan, dot(onPlan, along) < 0 ? -1 : 1);
  const v2: Vector = [-u2[1], u2[0], 0];
  const rise = (direction: Vector): Vector =>
    unit([direction[0], direction[1], slope.x * direction[0] + slope.y * direction[1]]);
  const [u, v] = [rise(u2), rise(v2)];
  const up = cross(u, v);
  // Horizontal distances are shorter than those on the slope.
  const [du, dv] = [1 / dot(u, u2), 1 / dot(v, v2)];
  const place = ([x, y]: Point): Point => [(x * u2[0] + y * u2[1]) * du, (x * v2[0] + y * v2[1]) * dv];
  // Every piece counts its framing from the edge of the whole room.
  const { u0, u1, v0, v1 } = boxOf([outline.map(place)]);
  const start = add(times(u2, u0 / du), times(v2, v0 / dv));
  return plainFace({
    id,
    kind: 'ceiling',
    width: u1 - u0,
    height: v1 - v0,
    loops: plan.map((loop) => loop.map((point): Point => [place(point)[0] - u0, place(point)[1] - v0])),
    origin: [start[0], start[1], heightOn(slope, [start[0], start[1]])],
    u,
    v,
    normal: times(up, up[2] > 0 ? -1 : 1),
  });
}

/** The rim at the room's height, the inner ceiling above it, and the sides between the two. */
function trayFaces(
  { inset, rise }: { readonly inset: number; readonly rise: number },
  height: number,
  walls: readonly Wall[],
  cuts: readonly Loop[],
  houseUnit: LengthUnit,
): readonly Face[] {
  const [first] = walls;
  if (!first) return [];
  const outline = walls.map(({ from }) => from);
  const inner = insetLoop(walls, toMm(inset, houseUnit));
  const top = height + toMm(rise, houseUnit);
  const level = (z: number): Slope => ({ x: 0, y: 0, level: z });
  const inside = (loop: Loop) => isInside(middleOf(loop), [inner]);
  const rim = piecesOf(cutLoops([outline], [inner, ...cuts.filter((cut) => !inside(cut))]));
  const faces = [
    ...rim.map((piece) => [level(height), piece] as const),
    ...piecesOf(cutLoops([inner], cuts.filter(inside))).map((piece) => [level(top), piece] as const),
  ].map(([slope, piece], index) => slopingFace(`c${index}`, slope, piece, first, outline));
  const sides = inner.map((from, index) =>
    uprightFace({
      id: `c${faces.length + index}`,
      kind: 'ceiling',
      from,
      to: inner[(index + 1) % inner.length] ?? from,
      bottom: height,
      profile: undefined,
      top,
    }),
  );
  return [...faces, ...sides];
}

const middleOf = (loop: Loop): Point => [
  loop.reduce((sum, [x]) => sum + x, 0) / loop.length,
  loop.reduce((sum, [, y]) => sum + y, 0) / loop.length,
];

/** The outline of a room drawn in by so much from every wall; mm. */
export function insetLoop(walls: readonly Wall[], inset: number): Loop {
  return walls.map((wall, index): Point => {
    const before = walls[(index + walls.length - 1) % walls.length] ?? wall;
    // The point that stands `inset` from both walls that meet at this corner.
    const [a, b] = [before.inward, wall.inward];
    const det = a[0] * b[1] - a[1] * b[0];
    return [wall.from[0] + (inset * (b[1] - a[1])) / det, wall.from[1] + (inset * (a[0] - b[0])) / det];
  });
}
