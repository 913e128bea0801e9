import type { Wares } from '../materials/catalogue';
import type { Good } from '../materials/goods';
import { allSteps, type Steps } from '../measure/steps';
import { prefillDone } from '../readiness/prefillOf';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { sealedShare } from '../standing/sealed';
import { asUsed, DONE_WITH_COATS, type GoodsTaken, goodsOfCoat, sealerOf } from './goodsTaken';

/**
 * Returns what the work that is left in some rooms takes of each good, without waste; litres, of tape mm. Once every coat is on
 * nothing is left of the small work either.
 *
 * @param wares how much of each good the crew really uses
 */
export const stillNeeded = (
  rooms: readonly RoomSnapshot[],
  wares: Pick<Wares, 'of' | 'coverage'>,
): ReadonlyMap<Good, number> => allSteps(stillNeededSteps(rooms, wares));

/** Works out the same room by room. */
export function* stillNeededSteps(
  rooms: readonly RoomSnapshot[],
  wares: Pick<Wares, 'of' | 'coverage'>,
): Steps<ReadonlyMap<Good, number>> {
  const needed = new Map<Good, number>();
  for (const room of rooms) {
    yield;
    for (const [good, amount] of asUsed(leftIn(room, wares), wares))
      if (amount > 1e-9) needed.set(good, (needed.get(good) ?? 0) + amount);
  }
  return needed;
}

function leftIn(room: RoomSnapshot, wares: Pick<Wares, 'coverage'>): GoodsTaken {
  const { coats, applied, tasks, standing } = room;
  if (standing.now.kind === 'done') return [];
  const gaps = tasks.flatMap((task) => task.small).filter(({ kind }) => kind === 'prefill');
  return [
    ...coats.flatMap((coat) => goodsOfCoat(coat, 1 - (applied.coats.get(coat.id)?.share ?? 0), room, DONE_WITH_COATS)),
    ...gaps.map(({ mud, litres }) => [mud, litres * (1 - prefillDone(room))] as const),
    ...(room.sealed.whole
      ? []
      : [['sealer', sealerOf(room, wares) * (1 - sealedShare(room.sealed, room.pieces))] as const]),
  ];
}
