import type { Wares } from '../materials/catalogue';
import type { Good } from '../materials/goods';
import { mudOf, sealedArea } from '../materials/loadList';
import type { RoomCoat } from '../method/roomCoats';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';

/** What some work takes of each good: litres, of tape mm, without waste. */
export type GoodsTaken = readonly (readonly [good: Good, amount: number])[];

/** What a part of a coat, 0–1, takes: mud by the section of its joint, and tape by its length. */
export function goodsOfCoat(
  coat: RoomCoat,
  part: number,
  { method }: Pick<RoomSnapshot, 'method'>,
  { of }: Pick<Wares, 'of'>,
): GoodsTaken {
  return [
    [coat.mud, mudOf(coat, method) * part * of[coat.mud].use],
    ...(coat.tape ? [[coat.tape, coat.amount * part * of[coat.tape].use] as const] : []),
  ];
}

/** The sealer that a room takes, litres. */
export const sealerOf = (
  { tally, coats, method }: Pick<RoomSnapshot, 'tally' | 'coats' | 'method'>,
  { of, coverage }: Pick<Wares, 'of' | 'coverage'>,
): number => (sealedArea(tally, coats, method) / coverage) * of.sealer.use;
