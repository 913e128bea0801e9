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

/** How much of a good goes on in all, and the part that is lost on the way. */
export function neededOf(good: Good, load: LoadList): { readonly net: number; readonly waste: number } {
  if (good === 'paper') return { net: load.tape.net, waste: WASTE.tape };
  if (good === 'mesh') return { net: load.mesh.net, waste: WASTE.mesh };
  if (good === 'sealer') return { net: load.sealer.net, waste: WASTE.sealer };
  return { net: load.mud.find(({ product }) => product === good)?.net ?? 0, waste: WASTE.mud };
}
