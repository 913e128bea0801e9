import type { LengthUnit } from '../measure/unit';
import { withIds, withoutIds } from './ids';
import { mirrorRoom } from './mirrorRoom';
import type { Room } from './schema';

/** Which copies are mirror images: none, all, or every other one, as flats along a corridor are. */
export const MIRRORINGS = ['none', 'all', 'alternate'] as const;
export type Mirroring = (typeof MIRRORINGS)[number];

/**
 * Copies of a room with names of their own, not yet placed on the plan.
 *
 * @param names the names that are taken
 * @example copiesOf(room, ['Flat 1'], 2, 'none', 'in').map(({ name }) => name)  // ['Flat 2', 'Flat 3']
 */
export function copiesOf(
  room: Room,
  names: readonly string[],
  times: number,
  mirroring: Mirroring,
  unit: LengthUnit,
): readonly Omit<Room, 'id'>[] {
  const taken = new Set(names);
  const [, stem = room.name, number] = /^(.*?)\s*(\d+)?$/.exec(room.name) ?? [];
  let next = number === undefined ? 2 : Number(number) + 1;
  return Array.from({ length: times }, (_, index) => {
    while (taken.has(`${stem} ${next}`)) next += 1;
    const name = `${stem} ${next}`;
    taken.add(name);
    const turned = mirroring === 'all' || (mirroring === 'alternate' && index % 2 === 0);
    const { id: _id, at: _at, ...copy } = turned ? mirrorRoom(room, unit) : room;
    // A copy is another room: nothing of the record is about its parts.
    return withIds(withoutIds({ ...copy, name }), unit);
  });
}
