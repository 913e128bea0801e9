import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { dateFor, type PaintersDates } from '../work/painters';

/** A house with its rooms, of which some have work left. */
interface HouseOfRooms {
  readonly snapshot: { readonly rooms: readonly RoomSnapshot[] };
  readonly dates: PaintersDates;
}

/** Returns whether there is work left in a room. */
export const isOpen = ({ standing }: RoomSnapshot): boolean => standing.now.kind !== 'done';

/** Returns the number of jobs in a room: one for each coat that isn't finished, and one for sanding and what follows. */
export const jobsIn = (room: RoomSnapshot): number =>
  isOpen(room) ? 1 + room.coats.filter(({ id }) => (room.applied.coats.get(id)?.share ?? 0) < 1).length : 0;

/**
 * Returns the rooms to plan, by house, until the plan is full. Houses come in the given order; of the house that fills the plan, the rooms with
 * the earliest painters' dates come first. Houses after it are left out.
 *
 * @param most jobs in all houses together
 */
export function roomsToPlan<House extends HouseOfRooms>(
  houses: readonly House[],
  most: number,
): ReadonlyMap<House, readonly RoomSnapshot[]> {
  const planned = new Map<House, readonly RoomSnapshot[]>();
  let places = most;
  for (const house of houses) {
    const { rooms } = house.snapshot;
    const jobs = rooms.reduce((sum, room) => sum + jobsIn(room), 0);
    const own = jobs <= places ? rooms : firstDue(rooms, house.dates, places);
    if (own.length > 0) planned.set(house, own);
    if (own !== rooms) break;
    places -= jobs;
  }
  return planned;
}

/** Returns the open rooms with the earliest painters' dates that fit, in the order of the house. */
function firstDue(rooms: readonly RoomSnapshot[], dates: PaintersDates, most: number): readonly RoomSnapshot[] {
  const due = ({ room }: RoomSnapshot) => dateFor(dates, room.id) ?? '9';
  let places = most;
  const first = new Set<RoomSnapshot>();
  for (const room of rooms.filter(isOpen).toSorted((a, b) => due(a).localeCompare(due(b)))) {
    places -= jobsIn(room);
    if (places < 0) break;
    first.add(room);
  }
  return rooms.filter((room) => first.has(room));
}
