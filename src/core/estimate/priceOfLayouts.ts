import type { HouseHead } from '../house/schema';
import { takeOff } from '../joints/takeOff';
import { addTallies, type Tally } from '../joints/tally';
import { resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { AIMS } from '../room/kinds';
import type { HangPlan } from '../room/resolveHang';
import type { Room } from '../room/schema';
import { tasksOf } from '../work/tasksOf';

/** What one way of hanging makes of rooms: joints, sheets, and the finishers' hours at the usual rates. */
export interface LayoutPrice {
  readonly aim: HangPlan['aim'];
  readonly tally: Tally;
  readonly sheets: number;
  /** The part of the sheets bought that is not on the walls, 0–1. */
  readonly waste: number;
  /** Person-hours of finishing, sanding included. */
  readonly hours: number;
}

/** One room hung for one aim. */
export function layoutOfRoom(
  room: Room,
  house: HouseHead,
  aim: HangPlan['aim'],
): { readonly tally: Tally; readonly hours: number } {
  const { tally } = takeOff({ ...room, hang: { ...room.hang, aim } }, house);
  const method = resolveMethod(house, room);
  const tasks = tasksOf(tally, roomCoats(tally, method, room.finish), method, room.finish);
  const hours = tasks.reduce((sum, task) => sum + task.hours, 0);
  return { tally, hours };
}

/**
 * The price of hanging rooms for each aim, so that a lead sees what a layout costs the finishers.
 *
 * @param onRoom called after every room and aim, with the part that is done, 0–1
 */
export function priceOfLayouts(
  rooms: readonly Room[],
  house: HouseHead,
  onRoom: (done: number) => void = () => {},
): readonly LayoutPrice[] {
  return AIMS.map((aim, index) => {
    const parts = rooms.map((room, at) => {
      const part = layoutOfRoom(room, house, aim);
      onRoom((index * rooms.length + at + 1) / (AIMS.length * rooms.length));
      return part;
    });
    const tally = addTallies(parts.map((part) => part.tally));
    const bought = tally.boards.reduce((sum, { width, length, count }) => sum + width * length * count, 0);
    return {
      aim,
      tally,
      sheets: tally.boards.reduce((sum, { count }) => sum + count, 0),
      waste: bought === 0 ? 0 : 1 - tally.boardArea / bought,
      hours: parts.reduce((sum, part) => sum + part.hours, 0),
    };
  });
}
