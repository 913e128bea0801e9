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
    const steps = neighbours.flatMap((neighbour) =>
      wallLines(neighbour, axis).flatMap(({ at, side }) =>
        own.flatMap((wall) => {
          const offset = wall.side === side ? 0 : wall.side === 'low' ? PARTITION_MM : -PARTITION_MM;
          return [at + offset - wall.at];
        }),
      ),
    );
    return steps.reduce((best, step) => (Math.abs(step) < Math.abs(best) ? step : best), REACH_MM);
  };
  const rest = (step: number) => (Math.abs(step) < REACH_MM ? step : 0);
  return [rest(stepOn(0)), rest(stepOn(1))];
}

/** Where walls square to an axis stand on it, and whether their room lies beyond them (`low`) or before. */
function wallLines(
  points: readonly Point[],
  axis: 0 | 1,
): readonly { readonly at: number; readonly side: 'low' | 'high' }[] {
  return points.flatMap((point, index) => {
    const next = points[(index + 1) % points.length] ?? point;
    if (Math.abs(point[axis] - next[axis]) >= 1) return [];
    // Outlines run clockwise: the room lies on the right of each wall.
    const along = axis === 0 ? 1 : 0;
    const forward = next[along] > point[along];
    return [{ at: point[axis], side: forward === (axis === 0) ? 'high' : 'low' }];
  });
}
