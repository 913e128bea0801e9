import type { Level } from '../house/level';
import type { Room } from '../house/schema';
import type { Tally } from '../joints/tally';
import { mudOf } from '../materials/loadList';
import { roomCoats } from '../method/roomCoats';
import { tasksOf } from '../plan/tasksOf';

/** What a level of finish takes of this house: person-hours, litres of mud and visits to rooms. */
export interface LevelPrice {
  readonly level: Level;
  readonly hours: number;
  readonly litres: number;
  readonly visits: number;
}

/**
 * The price of choosing a level for the house. Rooms that carry a level of their own keep it.
 *
 * @example priceOfLevel(5, rooms).hours - priceOfLevel(4, rooms).hours  // what the skim costs
 */
export function priceOfLevel(
  level: Level,
  rooms: readonly { readonly room: Pick<Room, 'finish'>; readonly tally: Tally }[],
): LevelPrice {
  const each = rooms.map(({ room, tally }) => {
    const coats = roomCoats(tally, { level: room.finish?.level ?? level });
    const tasks = tasksOf(tally, coats);
    return {
      hours: tasks.reduce((sum, task) => sum + task.hours, 0),
      litres: coats.reduce((sum, coat) => sum + mudOf(coat, tally), 0),
      visits: tasks.length,
    };
  });
  const sum = (pick: (room: (typeof each)[number]) => number) => each.reduce((total, room) => total + pick(room), 0);
  return {
    level,
    hours: sum(({ hours }) => hours),
    litres: sum(({ litres }) => litres),
    visits: sum(({ visits }) => visits),
  };
}
