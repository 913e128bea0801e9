import type { LengthUnit } from '../measure/unit';
import { MUD_PRODUCTS } from '../method/coat';
import type { LoadList } from './loadList';
import { PACKS, packOf, WASTE } from './packs';

/** What a crew has a store of: mud by product and sealer in litres, tape in mm. */
export const GOODS = [...MUD_PRODUCTS, 'paper', 'mesh', 'sealer'] as const;
export type Good = (typeof GOODS)[number];

/** What is bought of a good at once: litres, of tape mm. */
export function packOfGood(good: Good, unit: LengthUnit): number {
  const packs = PACKS[unit];
  if (good === 'paper') return packs.tapeRoll;
  if (good === 'mesh') return packs.meshRoll;
  return good === 'sealer' ? packs.sealerPail : packOf(good, unit);
}

/** The part of a good that is lost on the way. */
export function wasteOf(good: Good): number {
  if (good === 'paper') return WASTE.tape;
  return good === 'mesh' || good === 'sealer' ? WASTE[good] : WASTE.mud;
}

/** How much of a good goes on in all, and the part that is lost on the way. */
export function neededOf(good: Good, load: LoadList): { readonly net: number; readonly waste: number } {
  const order =
    good === 'paper'
      ? load.tape
      : good === 'mesh' || good === 'sealer'
        ? load[good]
        : load.mud.find(({ product }) => product === good);
  return { net: order?.net ?? 0, waste: wasteOf(good) };
}
