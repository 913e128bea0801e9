import type { Coat } from '../method/coat';
import { whatNow } from '../readiness/whatNow';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

/** What can be done in a room at an instant to come, if nothing happens until then. */
export interface Arrival {
  /** Coats that can go on, on all of their class or a part of it. */
  readonly coats: readonly Coat[];
  /** Every coat is on and dry: it can be sanded. */
  readonly sand: boolean;
  /** When the last of its mud that is wet then is ready; undefined where none is. */
  readonly wetUntil: number | undefined;
}

/**
 * Returns what can be done in a room when the crew arrives, by the same rules by which the board says what can be done now.
 *
 * @param at ms since 1970, not before the snapshot
 */
export function arrivalIn(room: RoomSnapshot, at: number): Arrival {
  if (room.tooLarge) return { coats: [], sand: false, wetUntil: undefined };
  const { classes, now, wetUntil } = whatNow(room, room.clock, at);
  const coats = classes.flatMap((kind) => (kind.now.kind === 'go' ? kind.now.ready.map(({ coat }) => coat) : []));
  return { coats: now.kind === 'go' ? coats : [], sand: now.kind === 'sand', wetUntil };
}
