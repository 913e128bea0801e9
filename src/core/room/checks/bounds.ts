import { formatLength } from '../../measure/formatLength';
import { type LengthUnit, MM_PER_FOOT, MM_PER_INCH, toMm } from '../../measure/unit';

/** Least and most of a length, mm. */
interface Bound {
  readonly least: number;
  readonly most: number;
}

const FOOT = MM_PER_FOOT;

/**
 * What lengths a building has. They are wide: a hall of 200 ft and a shaft of 50 ft are rooms, a wall of a mile is a slip
 * of the key. Common practice, no source.
 */
export const BOUNDS = {
  /** A place on the plan, either way from its origin. */
  plan: { least: -3300 * FOOT, most: 3300 * FOOT },
  /** Along a wall or up it. */
  place: { least: 0, most: 200 * FOOT },
  size: { least: 1, most: 200 * FOOT },
  height: { least: 2 * MM_PER_INCH, most: 50 * FOOT },
  rise: { least: 1, most: 50 * FOOT },
  /** How deep a niche or a return goes into a wall. */
  depth: { least: 1, most: 10 * FOOT },
  boardWidth: { least: 4 * MM_PER_INCH, most: 10 * FOOT },
  boardLength: { least: 12 * MM_PER_INCH, most: 40 * FOOT },
  boardThickness: { least: 3, most: 4 * MM_PER_INCH },
  framing: { least: 4 * MM_PER_INCH, most: 10 * FOOT },
  screws: { least: 1 * MM_PER_INCH, most: 4 * FOOT },
} as const satisfies Readonly<Record<string, Bound>>;

/** How much one room, and one house, may be made of: what a machine works out while somebody waits. */
export const MOST_IN_ROOM = { boards: 1500, screws: 200_000, niches: 120, arches: 30, columnCorners: 160 } as const;
export const MOST_IN_HOUSE = { boards: 150_000, screws: 10_000_000 } as const;
/** Working a room out takes longer than its boards grow: the sum of their squares over the rooms of a house. */
export const MOST_WORK_IN_HOUSE = 6_000_000;

/** Why a length of the house's unit is none of its kind, or undefined; the length itself may be too wild to be printed. */
export function whyOutOfBounds(length: number, kind: keyof typeof BOUNDS, unit: LengthUnit): string | undefined {
  const { least, most } = BOUNDS[kind];
  const mm = toMm(length, unit);
  if (mm >= least - 1e-6 && mm <= most + 1e-6) return undefined;
  if (kind === 'plan') return `must lie within ${formatLength(most, unit)} of the plan's origin`;
  return mm < least
    ? `must be at least ${formatLength(Math.max(least, LEAST_PRINTED_MM), unit)}`
    : `must be at most ${formatLength(most, unit)}`;
}

/** A tape shows nothing smaller. */
const LEAST_PRINTED_MM = MM_PER_INCH / 16;
