import type { Point } from '@/core/measure/vector';

/** A step that brings walls into line, at most this far; mm. */
const REACH_MM = 300;
/** Between the board faces of two rooms stands a wall: 2x4 framing and a board on either side. Common practice, no source. */
export const PARTITION_MM = 4.5 * 25.4;

/**
 * Where a dragged room comes to rest: its upright and level walls snap to those of its neighbours, back to back with
 * a partition between them, or in one line.
 *
 * @param room its corners where it was dropped; mm
 * @returns the step from there
 */
export function snapStep(room: readonly Point[], neighbours: readonly (readonly Point[])[]): Point {
  const stepOn = (axis: 0 | 1): number => {
    const own = wallLines(room, axis);
    let best = 0;
    let least = REACH_MM;
    for (const neighbour of neighbours) {
      for (const line of wallLines(neighbour, axis)) {
        for (const wall of own) {
          for (const target of [line, line + PARTITION_MM, line - PARTITION_MM]) {
            const step = target - wall;
            if (Math.abs(step) < least) {
              best = step;
              least = Math.abs(step);
            }
          }
        }
      }
    }
    return best;
  };
  return [stepOn(0), stepOn(1)];
}

/** Where walls square to an axis stand on it. */
function wallLines(points: readonly Point[], axis: 0 | 1): readonly number[] {
  return points.flatMap((point, index) => {
    const next = points[(index + 1) % points.length] ?? point;
    return Math.abs(point[axis] - next[axis]) < 1 ? [point[axis]] : [];
  });
}
