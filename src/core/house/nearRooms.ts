import { boxOf } from '../measure/polygon';
import { type LengthUnit, toMm } from '../measure/unit';
import type { Room } from '../room/schema';

/** A room with how far its box lies from another one's, mm; Infinity where one of them has no place on the plan. */
export interface NearRoom {
  readonly id: string;
  readonly gap: number;
}

/** Rooms so near to each other share a wall; mm. Common practice, no source. */
export const SHARED_WALL_MM = 400;

/**
 * The other rooms of a room's floor, nearest first; rooms as near as each other in the order of the house.
 *
 * @example nearRooms(rooms, 'in')('pantry')  // [{ id: 'galley', gap: 127 }, …]
 */
export function nearRooms(
  rooms: readonly Pick<Room, 'id' | 'floor' | 'outline' | 'at'>[],
  unit: LengthUnit,
): (id: string) => readonly NearRoom[] {
  const placed = rooms.map(({ id, floor, outline, at }) => {
    const box = boxOf([outline.map(([x, y]) => [toMm(x, unit), toMm(y, unit)] as const)]);
    return { id, floor, box, shift: at && ([toMm(at[0], unit), toMm(at[1], unit)] as const) };
  });
  type Placed = (typeof placed)[number];
  const gapBetween = (a: Placed, b: Placed): number => {
    if (!a.shift || !b.shift) return Number.POSITIVE_INFINITY;
    const across = apart([a.box.u0, a.box.u1], [b.box.u0, b.box.u1], b.shift[0] - a.shift[0]);
    const along = apart([a.box.v0, a.box.v1], [b.box.v0, b.box.v1], b.shift[1] - a.shift[1]);
    return Math.hypot(across, along);
  };
  return (id) => {
    const room = placed.find((candidate) => candidate.id === id);
    if (!room) return [];
    return placed
      .filter((other) => other !== room && other.floor === room.floor)
      .map((other) => ({ id: other.id, gap: gapBetween(room, other) }))
      .sort((a, b) => (a.gap === b.gap ? 0 : a.gap - b.gap));
  };
}

/** How far two stretches lie apart when the second is moved; 0 where they overlap. */
const apart = ([a0, a1]: readonly [number, number], [b0, b1]: readonly [number, number], shift: number): number =>
  Math.max(0, b0 + shift - a1, a0 - (b1 + shift));
