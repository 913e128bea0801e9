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
import type { Loop, Point } from '../../measure/vector';
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
}

/**
 * The bodies that a room's soffits make. A soffit that reaches an end of its wall runs on to the wall that stands there,
 * however that is turned.
 */
export function soffitBodies(
  { soffits = [] }: Pick<Room, 'soffits'>,
  walls: readonly Wall[],
  slopes: readonly Slope[],
  houseUnit: LengthUnit,
): readonly SoffitBody[] {
  const bodies: SoffitBody[] = [];
  const outline = walls.map(({ from }) => from);
  soffits.forEach((soffit, index) => {
    const wall = walls[soffit.wall];
    if (!wall) return;
    const bottom = undersideOf(soffit, wall, slopes, houseUnit);
    const plan = planOf(soffit, wall, outline, houseUnit);
    const found = bodies.findIndex(
      (body) => Math.abs(body.bottom - bottom) <= TOLERANCE_MM && touches(body.plan, plan),
    );
    const body = bodies[found];
    if (body) bodies[found] = { ...body, plan: united(body.plan, plan, soffit, wall, houseUnit) };
    else bodies.push({ index, bottom, plan });
  });
  return bodies;
}

/** Under the lowest point of the ceiling along the soffit's wall. */
function undersideOf({ from, to, drop }: Soffit, wall: Wall, slopes: readonly Slope[], houseUnit: LengthUnit): number {
  const at = (s: number): Point => [wall.from[0] + wall.along[0] * s, wall.from[1] + wall.along[1] * s];
  const ends = [from, to].map((s) => heightAt(slopes, at(toMm(s, houseUnit))));
  return Math.min(...ends) - toMm(drop, houseUnit);
}

function planesOf({ from, to, depth }: Soffit, wall: Wall, houseUnit: LengthUnit): readonly HalfPlane[] {
  const mm = (length: number) => toMm(length, houseUnit);
  const [ax, ay] = wall.along;
  const [nx, ny] = wall.inward;
  const start = ax * wall.from[0] + ay * wall.from[1];
  const line = nx * wall.from[0] + ny * wall.from[1];
  return [
    { normal: [nx, ny], offset: line },
    { normal: [-nx, -ny], offset: -line - mm(depth) },
    ...(mm(from) <= TOLERANCE_MM ? [] : [{ normal: [ax, ay] as Point, offset: start + mm(from) }]),
    ...(mm(to) >= wall.length - TOLERANCE_MM ? [] : [{ normal: [-ax, -ay] as Point, offset: -start - mm(to) }]),
  ];
}

/** The piece of the room that lies under the soffit and against its wall. */
function planOf(soffit: Soffit, wall: Wall, outline: Loop, houseUnit: LengthUnit): readonly Loop[] {
  const pieces = piecesOf(clipToAll([outline], planesOf(soffit, wall, houseUnit)));
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
  houseUnit: LengthUnit,
): readonly Loop[] {
  const shared = clipToAll(body, planesOf(soffit, wall, houseUnit)).filter((loop) => areaOfLoops([loop]) > 1);
  return tidyLoops([...body, ...cutLoops(plan, shared)]);
}

/** Whether two plans share a point of their rims. */
function touches(a: readonly Loop[], b: readonly Loop[]): boolean {
  const meet = (corners: readonly Loop[], sides: readonly Loop[]) =>
    sides
      .flatMap(stepsOf)
      .some((step) => corners.flat().some((corner) => distanceToStep(corner, step) <= 2 * TOLERANCE_MM));
  return meet(a, b) || meet(b, a);
}

/** The underside of each body, then its upright sides where no wall stands. */
export function soffitFaces(
  bodies: readonly SoffitBody[],
  walls: readonly Wall[],
  slopes: readonly Slope[],
): readonly Face[] {
  return bodies.flatMap(({ index, bottom, plan }) => {
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
    const free = plan.flatMap(stepsOf).flatMap((step) => freeParts(step, walls));
    const sides = free.map(([from, to], side) =>
      // Walked the other way round, the body lies behind the face.
      uprightFace({ id: `${name}.side${side}`, kind: 'soffit', from: to, to: from, bottom, profile: slopes }),
    );
    return [underside, ...sides];
  });
}

/** What of a step stands against no wall. */
function freeParts(step: Step, walls: readonly Wall[]): readonly Step[] {
  const [[ax, ay], [bx, by]] = step;
  const length = Math.hypot(bx - ax, by - ay);
  const [dx, dy] = [(bx - ax) / length, (by - ay) / length];
  const against = walls.flatMap((wall) => {
    if (!liesOn(step, wall)) return [];
    const ends = [wall.from, wall.to].map(([x, y]) => (x - ax) * dx + (y - ay) * dy);
    return [{ from: Math.min(...ends), to: Math.max(...ends) }];
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
