import { beadShares, packCost } from '../../core/cost/materialCost';
import type { Wares } from '../../core/materials/catalogue';
import type { BeadCuts } from '../../core/materials/cut/cutBead';
import { loadList } from '../../core/materials/loadList';
import type { Steps } from '../../core/measure/steps';
import type { LengthUnit } from '../../core/measure/unit';
import type { RoomSnapshot } from '../../core/snapshot/houseSnapshot';
import { inSlices } from '../threads/inSlices';
import { cutAside } from './cutAside';

/** What Load works out room by room. */
export interface LoadFigures {
  readonly bead: readonly BeadCuts[];
  /** What the material of each room costs, by name. */
  readonly costs: readonly { readonly name: string; readonly cost: number }[];
}

/**
 * Works out what Load shows, so that a house of any size keeps nobody waiting who asks for something else.
 *
 * @param rooms those that are chosen
 * @param forCrew whether costs are needed: only the crew sees them
 */
export async function loadFigures(
  rooms: readonly RoomSnapshot[],
  unit: LengthUnit,
  wares: Wares,
  forCrew: boolean,
): Promise<LoadFigures> {
  const pieces = rooms.flatMap(({ room, tally }) => tally.beadPieces.map((piece) => ({ ...piece, room: room.id })));
  const bead = await cutAside({ pieces, unit, wares });
  if (!forCrew) return { bead, costs: [] };
  return { bead, costs: await inSlices(costsByRoom(rooms, bead, unit, wares)) };
}

function* costsByRoom(
  rooms: readonly RoomSnapshot[],
  bead: readonly BeadCuts[],
  unit: LengthUnit,
  wares: Wares,
): Steps<LoadFigures['costs']> {
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
