import { fromMm, type LengthUnit, toMm } from '../measure/unit';
import type { Room } from '../room/schema';
import { isRectangle, wallsOf } from '../room/walls';

type PlanPoint = readonly [number, number];

/** The room's own coordinates on its plan, in the house's unit: what its quick line measures columns in. */
export interface RoomFrame {
  readonly toLine: (point: PlanPoint) => [number, number];
  readonly toPlan: (point: PlanPoint) => [number, number];
}

/** From the first corner: along wall 0 and away from it in a rectangle, right and down the plan in any other shape. */
export function frameOf(outline: Room['outline'], unit: LengthUnit): RoomFrame {
  const walls = wallsOf(outline, unit);
  const [first] = walls;
  if (!first) throw new RangeError('a room has walls');
  const turned = isRectangle(walls);
  const [ax, ay] = turned ? first.along : [1, 0];
  const [nx, ny] = turned ? first.inward : [0, 1];
  const [ox, oy] = first.from;
  return {
    toLine: ([x, y]) => {
      const [dx, dy] = [toMm(x, unit) - ox, toMm(y, unit) - oy];
      return [fromMm(dx * ax + dy * ay, unit), fromMm(dx * nx + dy * ny, unit)];
    },
    toPlan: ([along, away]) => {
      const [a, b] = [toMm(along, unit), toMm(away, unit)];
      return [fromMm(ox + ax * a + nx * b, unit), fromMm(oy + ay * a + ny * b, unit)];
    },
  };
}
