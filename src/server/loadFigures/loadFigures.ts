import { beadShares, packCost } from '../../core/cost/materialCost';
import type { Wares } from '../../core/materials/catalogue';
import type { BeadCuts } from '../../core/materials/cut/cutBead';
import type { Good } from '../../core/materials/goods';
import { loadList } from '../../core/materials/loadList';
import type { Steps } from '../../core/measure/steps';
import type { LengthUnit } from '../../core/measure/unit';
import type { RoomSnapshot } from '../../core/snapshot/houseSnapshot';
import { batchesFor, type RoundBatches } from '../../core/supply/batchesFor';
import { type MudOfClass, mudByClass, type SmallGoods, smallGoods } from '../../core/supply/smallGoods';
import { stillNeededSteps } from '../../core/supply/stillNeeded';
import { inSlices } from '../threads/inSlices';
import { cutAside } from './cutAside';

/** What Load works out room by room of the rooms that are chosen. */
export interface LoadFigures {
  readonly bead: readonly BeadCuts[];
  readonly small: SmallGoods;
  readonly mud: readonly MudOfClass[];
  /** What only the crew is shown; undefined for others. */
  readonly crew:
    | {
        /** What the material of each room costs, by name. */
        readonly costs: readonly { readonly name: string; readonly cost: number }[];
        readonly batches: readonly RoundBatches[];
        /** What the work takes that is left in the whole house. */
        readonly needed: ReadonlyMap<Good, number>;
      }
    | undefined;
}

/**
 * Works out what Load shows, so that a house of any size keeps nobody waiting who asks for something else.
 *
 * @param rooms those that are chosen
 * @param all every room of the house
 * @param forCrew whether what only the crew sees is needed
 */
export async function loadFigures(
  rooms: readonly RoomSnapshot[],
  all: readonly RoomSnapshot[],
  unit: LengthUnit,
  wares: Wares,
  forCrew: boolean,
): Promise<LoadFigures> {
  const pieces = rooms.flatMap(({ room, tally }) => tally.beadPieces.map((piece) => ({ ...piece, room: room.id })));
  const bead = await cutAside({ pieces, unit, wares });
  return {
    bead,
    small: await inSlices(smallGoods(rooms)),
    mud: await inSlices(mudByClass(rooms, (mud) => wares.of[mud].use)),
    crew: forCrew
      ? {
          costs: await inSlices(costsByRoom(rooms, bead, unit, wares)),
          batches: await inSlices(batchesFor(rooms, wares)),
          needed: await inSlices(stillNeededSteps(all, wares)),
        }
      : undefined,
  };
}

function* costsByRoom(
  rooms: readonly RoomSnapshot[],
  bead: readonly BeadCuts[],
  unit: LengthUnit,
  wares: Wares,
): Steps<readonly { readonly name: string; readonly cost: number }[]> {
  const shares = beadShares(bead, wares);
  const costs: { name: string; cost: number }[] = [];
  for (const own of rooms) {
    costs.push({
      name: own.room.name,
      cost: packCost(loadList([own], unit, wares), wares).sum + (shares.get(own.room.id) ?? 0),
    });
    yield;
  }
  return costs;
}
