import { areaOfLoops } from '../measure/polygon';
import { type LengthUnit, MM_PER_FOOT, toMm } from '../measure/unit';
import type { Room } from '../room/schema';

/** Floor that one job takes: 120 ft². Common practice, no source. */
const MM2_PER_JOB = 120 * MM_PER_FOOT ** 2;
const MOST_JOBS = 4;

/**
 * How many jobs a room has space for at once: nobody works beside a pair in a closet.
 *
 * @example spaceOf({ outline: [[0, 0], [144, 0], [144, 120], [0, 120]] }, 'in')  // 1
 */
export function spaceOf({ outline }: Pick<Room, 'outline'>, unit: LengthUnit): number {
  const area = Math.abs(areaOfLoops([outline.map(([x, y]) => [toMm(x, unit), toMm(y, unit)] as const)]));
  return Math.min(MOST_JOBS, Math.max(1, Math.floor(area / MM2_PER_JOB)));
}
