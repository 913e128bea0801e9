import type { Wares } from '../materials/catalogue';
import type { Good } from '../materials/goods';
import { mudOf, sealedArea, tapeLaid } from '../materials/loadList';
import type { RoomCoat } from '../method/roomCoats';
import { type SmallWorkKind, shareOfSmall } from '../method/smallWork';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

/** What some work takes of each good: litres, of tape mm, without waste. */
export type GoodsTaken = readonly (readonly [good: Good, amount: number])[];

/**
 * Returns what a part of a coat, 0–1, takes: mud by the section of its joint, tape by its length and what is laid behind cabinets, and
 * the mud of the small work that is done with it.
 *
 * @param beside the kinds of small work that count with the coat
 */
export function goodsOfCoat(
  coat: RoomCoat,
  part: number,
  { method, coats, tasks }: Pick<RoomSnapshot, 'method' | 'coats' | 'tasks'>,
  beside: readonly SmallWorkKind[],
): GoodsTaken {
  const small = tasks.flatMap((task) => task.small).filter(({ kind }) => beside.includes(kind));
  return [
    [coat.mud, mudOf(coat, method) * part],
    ...(coat.tape ? [[coat.tape, tapeLaid(coat) * part] as const] : []),
    ...small.flatMap((work): GoodsTaken => {
      const share = shareOfSmall(work, coat, coats);
      return share > 0 ? [[work.mud, work.litres * share * part]] : [];
    }),
  ];
}

/** Small work that nobody is sent to do by itself. */
export const WITH_ITS_COAT: readonly SmallWorkKind[] = ['factoryEdge'];
/** Small work that is done by when its coats are on. */
export const DONE_WITH_COATS: readonly SmallWorkKind[] = ['factoryEdge', 'threeWay', 'centring'];

/** Returns what is taken by how much of it the crew really uses. */
export const asUsed = (goods: GoodsTaken, { of }: Pick<Wares, 'of'>): GoodsTaken =>
  goods.map(([good, amount]) => [good, amount * of[good].use] as const);

/** The sealer that a room takes, litres. */
export const sealerOf = (
  { tally, coats, method }: Pick<RoomSnapshot, 'tally' | 'coats' | 'method'>,
  { coverage }: Pick<Wares, 'coverage'>,
): number => sealedArea(tally, coats, method) / coverage;
