import { fromMm, type LengthUnit, TOLERANCE_MM, toMm } from '../measure/unit';
import type { Room } from './schema';
import { wallsOf } from './walls';

/**
 * A rectangle's outline with new sizes, where it stands and as it is turned on the plan: its first corner and the
 * directions of its walls stay. Unchanged sizes leave the outline as it was typed.
 *
 * @param length of wall 0, in the house's unit
 * @param width of wall 1, in the house's unit
 * @example resizeOutline([[5, 5], [9, 5], [9, 8], [5, 8]], 'mm', 6, 3)  // [[5, 5], [11, 5], [11, 8], [5, 8]]
 */
export function resizeOutline(
  outline: Room['outline'],
  unit: LengthUnit,
  length: number,
  width: number,
): Room['outline'] {
  const [first, second] = wallsOf(outline, unit);
  if (!first || !second) return outline;
  const [long, wide] = [toMm(length, unit), toMm(width, unit)];
  if (Math.abs(first.length - long) <= TOLERANCE_MM && Math.abs(second.length - wide) <= TOLERANCE_MM) return outline;
  const corner = (along: number, across: number): [number, number] => [
    fromMm(first.from[0] + first.along[0] * along + first.inward[0] * across, unit),
    fromMm(first.from[1] + first.along[1] * along + first.inward[1] * across, unit),
  ];
  return [corner(0, 0), corner(long, 0), corner(long, wide), corner(0, wide)];
}
