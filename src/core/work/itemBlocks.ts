import type { RoomCoat } from '../method/roomCoats';
import { BLOCKS, type Block } from './block';
import type { Group } from './coatGroups';
import type { OfBlock, WorkItem } from './workItem';
import type { WorkRoom } from './workRoom';

/** Person-hours that a whole coat takes, and what of it comes before it. */
export interface HoursOf {
  readonly all: (coat: RoomCoat) => number;
  readonly before: (coat: RoomCoat) => number;
}

/** What of an item lies on the walls and what on the ceiling: both, or on which of them all of it lies. */
export function inBlocks(
  left: readonly RoomCoat[],
  group: Group,
  hoursOf: HoursOf,
  room: WorkRoom,
): Pick<WorkItem, 'block' | 'blocks'> {
  const of = (block: Block): OfBlock => {
    const own = left.flatMap((coat) => {
      const known = room.left(coat).blocks?.[block];
      return known && known.part > 0 ? [{ coat, from: fromOf(coat, room, block), part: known.share * known.part }] : [];
    });
    return {
      part: own.reduce((sum, { part }) => sum + part, 0) / group.coats.length,
      hours: own.reduce((sum, { coat, part }) => sum + hoursOf.all(coat) * part, 0),
      between: own.reduce((sum, { coat, part }) => sum + hoursOf.before(coat) * part, 0),
      from: latest(own.map(({ from }) => from)),
    };
  };
  const [walls, ceiling] = [of('walls'), of('ceiling')];
  if (walls.hours === 0 || ceiling.hours === 0) {
    const block = BLOCKS.find((_, index) => ([walls, ceiling][index]?.hours ?? 0) > 0);
    return { block, blocks: undefined };
  }
  return { block: undefined, blocks: { walls, ceiling } };
}

/** Tape waits for what was filled before it, a skim for everything that lies on the wall. */
export function fromOf(coat: RoomCoat, room: WorkRoom, block?: Block): number | undefined {
  const left = room.left(coat);
  const own = block === undefined ? left.from : left.blocks?.[block].from;
  if (coat.key === 'tape') return latest([own, room.prefillFirmAt]);
  if (coat.class !== 'surface') return own;
  return latest([own, ...room.coats.map((other) => room.left(other).sandAt)]);
}

/** The last of some instants, as far as there are any. */
export function latest(instants: readonly (number | undefined)[]): number | undefined {
  const known = instants.filter((at) => at !== undefined);
  return known.length > 0 ? Math.max(...known) : undefined;
}
