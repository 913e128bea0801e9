import type { SourcedAir } from '../core/air/roomAir';
import type { HouseHead } from '../core/house/schema';
import type { TakenOff } from '../core/joints/takeOff';
import type { Entry } from '../core/log/entry';
import type { Person, Role } from '../core/log/person';
import type { Room } from '../core/room/schema';

/** A house as a device keeps it, to be worked out there without a server. */
export interface AwayHouse {
  readonly id: string;
  /** The server's time when this was read, ms since 1970. */
  readonly made: number;
  readonly timeZone: string;
  /** Who it was read for. */
  readonly me: { readonly id: string; readonly name: string; readonly role: Role };
  readonly people: readonly Person[];
  readonly head: HouseHead;
  readonly rooms: readonly Room[];
  /**
   * What is kept of the take-off of each room, but of those that are too large to be worked out; undefined in a house that a
   * device keeps since before they were sent along.
   */
  readonly takeOffs?: Readonly<Record<string, TakenOff>>;
  /** What of the log still counts, in the order of recording. */
  readonly entries: readonly Entry[];
  /** The air of rooms, and which of them is whose. */
  readonly airs: readonly (readonly SourcedAir[])[];
  readonly airOf: Readonly<Record<string, number>>;
  /** Whether this person has an address for their calendar. */
  readonly hasCalendar: boolean;
}
