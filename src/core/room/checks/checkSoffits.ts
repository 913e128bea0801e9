import { formatLength } from '../../measure/formatLength';
import { areaOfLoops } from '../../measure/polygon';
import { overlapOf } from '../../measure/span';
import { type LengthUnit, TOLERANCE_MM, toMm } from '../../measure/unit';
import { dot } from '../../measure/vector';
import { distanceFrom, heightAt, type Slope } from '../faces/roof';
import { meetOnPlan, type SoffitBody } from '../faces/soffits';
import type { Problem } from '../problem';
import type { Room, Soffit } from '../schema';
import type { Wall } from '../walls';
import { noSuchWall } from './checkCeiling';
import { wallName } from './checkOutline';

/** Walls face each other when they are turned against each other by more than 120°. */
const FACING = 0.5;

/** Whether soffits fit their walls, the ceiling and each other. */
export function checkSoffits(
  room: Room,
  walls: readonly Wall[],
  slopes: readonly Slope[],
  bodies: readonly SoffitBody[],
  unit: LengthUnit,
): readonly Problem[] {
  const mm = (length: number) => toMm(length, unit);
  const soffits = room.soffits ?? [];
  const found = soffits.flatMap((soffit, at): readonly Problem[] => {
    const { wall: index, from, to, depth } = soffit;
    const path = `soffits[${at}]`;
    const wall = walls[index];
    if (!wall) return [{ path: `${path}.wall`, reason: noSuchWall(walls) }];
    if (to <= from) return [{ path: `${path}.to`, reason: 'must lie right of where the soffit starts' }];
    if (mm(to) > wall.length + TOLERANCE_MM) {
      const over = formatLength(mm(to) - wall.length, unit);
      return [{ path: `${path}.to`, reason: `the soffit runs ${over} past the right end of ${wallName(wall)}` }];
    }
    if (room.ceiling.shape === 'tray' && depth > room.ceiling.inset)
      return [{ path: `${path}.depth`, reason: 'the soffit reaches in under the tray' }];
    return checkDepth(soffit, path, walls, unit);
  });
  if (found.length > 0) return found;
  const whole = areaOfLoops([walls.map(({ from }) => from)]);
  for (const { index, bottom, plan } of bodies) {
    const path = `soffits[${index}]`;
    const lowest = Math.min(...plan.flat().map((point) => heightAt(slopes, point)));
    if (lowest <= bottom + TOLERANCE_MM)
      return [{ path: `${path}.drop`, reason: 'the ceiling comes down to the underside of the soffit there' }];
    if (bottom <= TOLERANCE_MM) return [{ path: `${path}.drop`, reason: 'the soffit hangs down to the floor' }];
    if (areaOfLoops(plan) >= whole - 1)
      return [{ path: `${path}.depth`, reason: 'the soffit fills the whole ceiling: give the room a lower height' }];
  }
  return checkApart(bodies);
}

/** Bodies at different heights that share ground or a side would need a step between them. */
function checkApart(bodies: readonly SoffitBody[]): readonly Problem[] {
  for (const [index, body] of bodies.entries()) {
    const other = bodies.slice(0, index).find(({ plan }) => meetOnPlan(body.plan, plan));
    if (other)
      return [
        {
          path: `soffits[${body.index}].drop`,
          reason: `the soffit meets soffit ${other.index + 1}, which hangs at another height`,
        },
      ];
  }
  return [];
}

/** A soffit that no longer has its depth before a wall that faces its own is deeper than the room is there. */
function checkDepth(soffit: Soffit, path: string, walls: readonly Wall[], unit: LengthUnit): readonly Problem[] {
  const wall = walls[soffit.wall];
  if (!wall) return [];
  const depth = toMm(soffit.depth, unit);
  const facing = walls.filter(({ inward }) => dot(inward, wall.inward) < -FACING);
  const before = facing.flatMap((other) => {
    const ends = [other.from, other.to].map(
      ([x, y]) => (x - wall.from[0]) * wall.along[0] + (y - wall.from[1]) * wall.along[1],
    );
    const beside = overlapOf(
      { from: Math.min(...ends), to: Math.max(...ends) },
      { from: toMm(soffit.from, unit), to: toMm(soffit.to, unit) },
    );
    const away = Math.min(distanceFrom(wall, other.from), distanceFrom(wall, other.to));
    return beside && away > TOLERANCE_MM && away < depth - TOLERANCE_MM ? [away] : [];
  });
  return before.length > 0
    ? [
        {
          path: `${path}.depth`,
          reason: `the soffit is deeper than the room is there (${formatLength(Math.min(...before), unit)})`,
        },
      ]
    : [];
}
