import { isInside } from '../../measure/chords';
import {
  areaOfLoops,
  clipToAll,
  cutLoops,
  distanceToStep,
  type HalfPlane,
  piecesOf,
  type Step,
  stepsOf,
} from '../../measure/polygon';
import { subtractSpans } from '../../measure/span';
import { tidyLoops } from '../../measure/tidyLoops';
import { type LengthUnit, TOLERANCE_MM, toMm } from '../../measure/unit';
import { cross, type Loop, type Point } from '../../measure/vector';
import type { Room, Soffit } from '../schema';
import type { Wall } from '../walls';
import type { Face } from './face';
import { DOWN, plainFace, uprightFace } from './makeFace';
import { distanceFrom, heightAt, type Slope } from './roof';

/** One or more soffits that hang at one height and touch: a single boxed-in body under the ceiling. */
export interface SoffitBody {
  /** The number of its first soffit. */
  readonly index: number;
  /** The height of its underside above the floor; mm. */
  readonly bottom: number;
  /** What it covers of the plan, loop by loop clockwise; mm. */
  readonly plan: readonly Loop[];
  /** Its ends at outside corners, flush with the next wall: they are not boarded. House file, convention 2. */
  readonly flush: readonly Step[];
}

/**
 * The bodies that a room's soffits make. A soffit that reaches an end of its wall runs on to the wall that stands there,
 * however that is turned; at an outside corner it ends with its wall.
 */
export function soffitBodies(
  { soffits = [] }: Pick<Room, 'soffits'>,
  walls: readonly Wall[],
  slopes: readonly Slope[],
  houseUnit: LengthUnit,
): readonly SoffitBody[] {
  const bodies: SoffitBody[] = [];
  soffits.forEach((soffit, index) => {
    const wall = walls[soffit.wall];
    if (!wall) return;
    const bottom = undersideOf(soffit, wall, slopes, houseUnit);
    const plan = planOf(soffit, wall, walls, houseUnit);
    const found = bodies.findIndex(
      (body) => Math.abs(body.bottom - bottom) <= TOLERANCE_MM && meetOnPlan(body.plan, plan),
    );
    const body = bodies[found];
    const flush = flushEnds(soffit, wall, walls, houseUnit);
    if (body)
      bodies[found] = {
        ...body,
        plan: united(body.plan, plan, soffit, wall, walls, houseUnit),
        flush: [...body.flush, ...flush],
      };
    else bodies.push({ index, bottom, plan, flush });
  });
  return bodies;
}

/** Under the lowest point of the ceiling along the soffit's wall. */
function undersideOf({ from, to, drop }: Soffit, wall: Wall, slopes: readonly Slope[], houseUnit: LengthUnit): number {
  const at = (s: number): Point => [wall.from[0] + wall.along[0] * s, wall.from[1] + wall.along[1] * s];
  const ends = [from, to].map((s) => heightAt(slopes, at(toMm(s, houseUnit))));
  return Math.min(...ends) - toMm(drop, houseUnit);
}

/** The half-planes around a soffit: its wall, its depth, and the ends at which it does not run on to another wall. */
export function planesOf(
  { from, to, depth }: Soffit,
  wall: Wall,
  walls: readonly Wall[],
  houseUnit: LengthUnit,
): readonly HalfPlane[] {
  const mm = (length: number) => toMm(length, houseUnit);
  const [ax, ay] = wall.along;
  const [nx, ny] = wall.inward;
  const start = ax * wall.from[0] + ay * wall.from[1];
  const line = nx * wall.from[0] + ny * wall.from[1];
  const before = walls[(wall.index + walls.length - 1) % walls.length];
  const after = walls[(wall.index + 1) % walls.length];
  const runsOnAtStart = mm(from) <= TOLERANCE_MM && isInsideCorner(before, wall);
  const runsOnAtEnd = mm(to) >= wall.length - TOLERANCE_MM && isInsideCorner(wall, after);
  return [
    { normal: [nx, ny], offset: line },
    { normal: [-nx, -ny], offset: -line - mm(depth) },
    ...(runsOnAtStart ? [] : [{ normal: [ax, ay] as Point, offset: start + mm(from) }]),
    ...(runsOnAtEnd ? [] : [{ normal: [-ax, -ay] as Point, offset: -start - mm(to) }]),
  ];
}

/** The ends of a soffit that reach an end of its wall at an outside corner. */
function flushEnds(
  { from, to, depth }: Soffit,
  wall: Wall,
  walls: readonly Wall[],
  houseUnit: LengthUnit,
): readonly Step[] {
  const mm = (length: number) => toMm(length, houseUnit);
  const before = walls[(wall.index + walls.length - 1) % walls.length];
  const after = walls[(wall.index + 1) % walls.length];
  const across = ([x, y]: Point): Step => [
    [x, y],
    [x + wall.inward[0] * mm(depth), y + wall.inward[1] * mm(depth)],
  ];
  return [
    ...(mm(from) <= TOLERANCE_MM && !isInsideCorner(before, wall) ? [across(wall.from)] : []),
    ...(mm(to) >= wall.length - TOLERANCE_MM && !isInsideCorner(wall, after) ? [across(wall.to)] : []),
  ];
}

/** Whether the room turns inward where one wall follows another, as in a plain room it does at every corner. */
const isInsideCorner = (wall: Wall | undefined, next: Wall | undefined): boolean =>
  wall !== undefined && next !== undefined && cross(wall.along, next.along)[2] > 0;

/** The piece of the room that lies under the soffit and against its wall. */
function planOf(soffit: Soffit, wall: Wall, walls: readonly Wall[], houseUnit: LengthUnit): readonly Loop[] {
  const outline = walls.map(({ from }) => from);
  const pieces = piecesOf(clipToAll([outline], planesOf(soffit, wall, walls, houseUnit)));
  const middle = (toMm(soffit.from, houseUnit) + toMm(soffit.to, houseUnit)) / 2;
  const onWall: Point = [wall.from[0] + wall.along[0] * middle, wall.from[1] + wall.along[1] * middle];
  return (
    pieces.find((piece) => piece.some((loop) => stepsOf(loop).some((step) => distanceToStep(onWall, step) < 1))) ?? []
  );
}

/** The new soffit is added without what the body covers already. */
function united(
  body: readonly Loop[],
  plan: readonly Loop[],
  soffit: Soffit,
  wall: Wall,
  walls: readonly Wall[],
  houseUnit: LengthUnit,
): readonly Loop[] {
  const shared = clipToAll(body, planesOf(soffit, wall, walls, houseUnit)).filter((loop) => areaOfLoops([loop]) > 1);
  return tidyLoops([...body, ...cutLoops(plan, shared)]);
}

/** Whether two plans share ground or a stretch of their rims; a point is not enough. */
export function meetOnPlan(a: readonly Loop[], b: readonly Loop[]): boolean {
  const [own, others] = [a.flatMap(stepsOf), b.flatMap(stepsOf)];
  if (own.some((one) => others.some((other) => crossOrShare(one, other)))) return true;
  const lies = (loops: readonly Loop[], within: readonly Loop[], rim: readonly Step[]) =>
    loops
      .flat()
      .some((point) => rim.every((step) => distanceToStep(point, step) > TOLERANCE_MM) && isInside(point, within));
  return lies(a, b, others) || lies(b, a, own);
}

/** Whether two steps cross within both, or run along each other for more than a hair. */
function crossOrShare([a0, a1]: Step, [b0, b1]: Step): boolean {
  const side = ([px, py]: Point, [qx, qy]: Point, [x, y]: Point) => {
    const away = ((qx - px) * (y - py) - (qy - py) * (x - px)) / (Math.hypot(qx - px, qy - py) || 1);
    return Math.abs(away) <= 2 * TOLERANCE_MM ? 0 : Math.sign(away);
  };
  const [one, other, three, four] = [side(a0, a1, b0), side(a0, a1, b1), side(b0, b1, a0), side(b0, b1, a1)];
  if (one === 0 && other === 0) {
    const length = Math.hypot(a1[0] - a0[0], a1[1] - a0[1]) || 1;
    const along = ([x, y]: Point) => ((x - a0[0]) * (a1[0] - a0[0]) + (y - a0[1]) * (a1[1] - a0[1])) / length;
    const [from, to] = [along(b0), along(b1)];
    return Math.min(length, Math.max(from, to)) - Math.max(0, Math.min(from, to)) > 1;
  }
  return one * other < 0 && three * four < 0;
}

/** The underside of each body, then its upright sides where no wall stands. */
export function soffitFaces(
  bodies: readonly SoffitBody[],
  walls: readonly Wall[],
  slopes: readonly Slope[],
): readonly Face[] {
  return bodies.flatMap(({ index, bottom, plan, flush }) => {
    const name = `s${index}`;
    const main = walls[0];
    if (!main) return [];
    const { along, inward } = main;
    const place = ([x, y]: Point): Point => [x * along[0] + y * along[1], x * inward[0] + y * inward[1]];
    const placed = plan.map((loop) => loop.map(place));
    const [u0, v0] = [Math.min(...placed.flat().map(([u]) => u)), Math.min(...placed.flat().map(([, v]) => v))];
    const underside = plainFace({
      id: `${name}.bottom`,
      kind: 'soffit',
      loops: placed.map((loop) => loop.map(([u, v]): Point => [u - u0, v - v0])),
      origin: [u0 * along[0] + v0 * inward[0], u0 * along[1] + v0 * inward[1], bottom],
      u: along,
      v: inward,
      normal: DOWN,
    });
    const free = plan.flatMap(stepsOf).flatMap((step) => freeParts(step, walls, flush));
    const sides = free.map(([from, to], side) =>
      // Walked the other way round, the body lies behind the face.
      uprightFace({ id: `${name}.side${side}`, kind: 'soffit', from: to, to: from, bottom, profile: slopes }),
    );
    return [underside, ...sides];
  });
}

/** What of a step stands against no wall and is no flush end. */
function freeParts(step: Step, walls: readonly Wall[], flush: readonly Step[]): readonly Step[] {
  const [[ax, ay], [bx, by]] = step;
  const length = Math.hypot(bx - ax, by - ay);
  const [dx, dy] = [(bx - ax) / length, (by - ay) / length];
  const besideStep = ([x, y]: Point) => Math.abs((x - ax) * dy - (y - ay) * dx) <= 1;
  const against = [
    ...walls.filter((wall) => liesOn(step, wall)).map(({ from, to }): Step => [from, to]),
    ...flush.filter((end) => end.every(besideStep)),
  ].map((other) => {
    const ends = other.map(([x, y]) => (x - ax) * dx + (y - ay) * dy);
    return { from: Math.min(...ends), to: Math.max(...ends) };
  });
  const at = (s: number): Point => [ax + dx * s, ay + dy * s];
  return subtractSpans({ from: 0, to: length }, against, 1).map(({ from, to }): Step => [at(from), at(to)]);
}

const liesOn = (step: Step, wall: Wall): boolean => step.every((point) => Math.abs(distanceFrom(wall, point)) <= 1);

/** What the bodies hide of a wall, in the wall's coordinates with `v` down from `top`; mm. */
export function hiddenBySoffits(
  wall: Wall,
  loops: readonly Loop[],
  top: number,
  bodies: readonly SoffitBody[],
): readonly Loop[] {
  return bodies.flatMap(({ bottom, plan }) =>
    plan.flatMap(stepsOf).flatMap((step) => {
      if (!liesOn(step, wall)) return [];
      const along = step.map(([x, y]) => (x - wall.from[0]) * wall.along[0] + (y - wall.from[1]) * wall.along[1]);
      const [s0, s1] = [Math.max(0, Math.min(...along)), Math.min(wall.length, Math.max(...along))];
      if (s1 - s0 <= TOLERANCE_MM) return [];
      return clipToAll(loops, [
        { normal: [1, 0], offset: s0 },
        { normal: [-1, 0], offset: -s1 },
        { normal: [0, -1], offset: -(top - bottom) },
      ]);
    }),
  );
}
