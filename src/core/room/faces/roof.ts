import { type LengthUnit, TOLERANCE_MM, toMm } from '../../measure/unit';
import type { Point } from '../../measure/vector';
import type { Room } from '../schema';
import type { Wall } from '../walls';

/** A plane over the plan: its height at a point is `x · px + y · py + level`; mm. */
export interface Slope {
  readonly x: number;
  readonly y: number;
  readonly level: number;
}

/** How far a point stands from a wall's line into the room; mm, negative behind it. */
export const distanceFrom = ({ from, inward }: Wall, [x, y]: Point): number =>
  (x - from[0]) * inward[0] + (y - from[1]) * inward[1];

/**
 * The planes whose lowest at each point is the underside of the roof. A tray's inner ceiling is not among them: beside
 * its walls it is a flat ceiling.
 */
export function slopesOf(
  { ceiling, height, outline }: Room,
  walls: readonly Wall[],
  houseUnit: LengthUnit,
): readonly Slope[] {
  const mm = (length: number) => toMm(length, houseUnit);
  const flat: Slope = { x: 0, y: 0, level: mm(height) };
  const from = (index: number, base: number, steepness: number): readonly Slope[] => {
    const wall = walls[index];
    return wall ? [slopeFrom(wall, base, steepness)] : [];
  };
  switch (ceiling.shape) {
    case 'flat':
    case 'open':
    case 'tray':
      return [flat];
    case 'shed': {
      const low = walls[ceiling.low];
      const depth = low ? Math.max(...outline.map(([x, y]) => distanceFrom(low, [mm(x), mm(y)]))) : 1;
      return from(ceiling.low, mm(height), mm(ceiling.rise) / depth);
    }
    case 'gable': {
      const [one, other] = ceiling.eaves;
      const [a, b] = [walls[one], walls[other]];
      const breadth = a && b ? distanceFrom(a, b.from) : 1;
      const steepness = (2 * mm(ceiling.rise)) / breadth;
      return [...from(one, mm(height), steepness), ...from(other, mm(height), steepness)];
    }
    case 'knee': {
      const steepness = (mm(height) - mm(ceiling.knee)) / mm(ceiling.run);
      return [flat, ...ceiling.eaves.flatMap((eave) => from(eave, mm(ceiling.knee), steepness))];
    }
  }
}

function slopeFrom({ from, inward }: Wall, base: number, steepness: number): Slope {
  const [x, y] = [inward[0] * steepness, inward[1] * steepness];
  return { x, y, level: base - x * from[0] - y * from[1] };
}

export const heightOn = (slope: Slope, [x, y]: Point): number => slope.x * x + slope.y * y + slope.level;

/** The height of the ceiling over a point of the plan; mm. */
export const heightAt = (slopes: readonly Slope[], point: Point): number =>
  Math.min(...slopes.map((slope) => heightOn(slope, point)));

/**
 * The line along which the ceiling meets an upright face: distances from `from` with the height there; mm.
 *
 * @example profileAlong(gable, [0, 0], [3000, 0])  // [{ s: 0, z: 2400 }, { s: 1500, z: 3900 }, { s: 3000, z: 2400 }]
 */
export function profileAlong(
  slopes: readonly Slope[],
  from: Point,
  to: Point,
): readonly { readonly s: number; readonly z: number }[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const ends = slopes.map((slope) => [heightOn(slope, from), heightOn(slope, to)] as const);
  const stops = [0, length];
  ends.forEach(([a0, a1], index) => {
    for (const [b0, b1] of ends.slice(index + 1)) {
      const turn = a0 - b0 - (a1 - b1);
      const s = Math.abs(turn) < 1e-9 ? -1 : ((a0 - b0) / turn) * length;
      if (s > TOLERANCE_MM && s < length - TOLERANCE_MM) stops.push(s);
    }
  });
  const points = stops
    .sort((a, b) => a - b)
    .map((s) => ({ s, z: Math.min(...ends.map(([start, end]) => start + ((end - start) * s) / length)) }));
  return points.filter((point, index) => {
    const [before, after] = [points[index - 1], points[index + 1]];
    if (!before || !after) return true;
    const straight = before.z + ((after.z - before.z) * (point.s - before.s)) / (after.s - before.s);
    return Math.abs(straight - point.z) > TOLERANCE_MM;
  });
}
