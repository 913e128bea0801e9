import { memoizeLast } from '../measure/memoizeLast';
import type { LengthUnit } from '../measure/unit';
import { MUD_PRODUCTS } from '../method/coat';
import type { Shrinkage } from '../method/resolveMethod';
import type { Catalogue } from './catalogueSchema';
import { GOODS, type Good } from './goods';
import { PACKS, packOf, SEALER_MM2_PER_LITRE, WASTE } from './packs';

/** What is bought in packs. */
export const WARES = [...GOODS, 'screws'] as const;
export type WareName = (typeof WARES)[number];

/** How one thing is bought, with nothing left open but its price. */
export interface Ware {
  readonly called: string | undefined;
  readonly pack: number;
  readonly price: number | undefined;
  readonly leadDays: number;
  readonly waste: number;
  readonly use: number;
  /** On the bag of setting mud that is bought; undefined where nobody says. */
  readonly minutes: number | undefined;
}

/** How everything is bought; see `catalogueSchema`. */
export interface Wares {
  readonly of: Readonly<Record<WareName, Ware>>;
  /** mm² that a litre of sealer covers. */
  readonly coverage: number;
  readonly sticks: readonly { readonly length: number; readonly price?: number }[];
  readonly splice: number | undefined;
  readonly offcuts: Catalogue['offcuts'];
}

/** Nothing is said: all is as usual. */
export const NO_CATALOGUE: Catalogue = { products: {}, offcuts: [] };
/** Common practice, no source: a supply house sends the next day. */
const USUAL_LEAD_DAYS = 1;

/**
 * How everything is bought: as a firm says, else as usual where people measure so.
 *
 * @example waresOf(NO_CATALOGUE, 'in').of.paper.pack  // 152,400: a roll of 500 ft
 */
export const waresOf = memoizeLast((catalogue: Catalogue, unit: LengthUnit): Wares => {
  const ware = (name: WareName): Ware => {
    const { called, pack, price: paid, leadDays, waste, use, minutes } = catalogue.products[name] ?? {};
    return {
      called,
      pack: pack ?? usualPack(name, unit),
      price: paid,
      leadDays: leadDays ?? USUAL_LEAD_DAYS,
      waste: waste ?? usualWaste(name),
      use: use ?? 1,
      minutes,
    };
  };
  return {
    of: Object.fromEntries(WARES.map((name) => [name, ware(name)])) as Record<WareName, Ware>,
    coverage: catalogue.coverage ?? SEALER_MM2_PER_LITRE,
    sticks: sticksOf(catalogue) ?? PACKS[unit].beadSticks.map((length) => ({ length })),
    splice: catalogue.splice,
    offcuts: catalogue.offcuts,
  };
});

/** How much the muds that a firm buys shrink, where it is another part than usual; undefined where it says nothing of it. */
export const shrinkageOf = memoizeLast((catalogue: Catalogue): Shrinkage | undefined => {
  const said = MUD_PRODUCTS.flatMap((mud) => {
    const part = catalogue.products[mud]?.shrinkage;
    return part === undefined ? [] : [[mud, part] as const];
  });
  return said.length > 0 ? Object.fromEntries(said) : undefined;
});

/** Sticks are weighed by their prices where all have one, else by their lengths. */
function sticksOf({ sticks }: Catalogue): Wares['sticks'] | undefined {
  const isPriced = sticks?.every((one) => one.price !== undefined);
  return sticks?.map(({ length, price }) => ({ length, ...(isPriced && price !== undefined ? { price } : {}) }));
}

/** What is bought of a thing at once where nobody says otherwise: litres, of tape mm, screws by count. */
export function usualPack(name: WareName, unit: LengthUnit): number {
  const packs = PACKS[unit];
  switch (name) {
    case 'paper':
      return packs.tapeRoll;
    case 'mesh':
      return packs.meshRoll;
    case 'sealer':
      return packs.sealerPail;
    case 'screws':
      return packs.screwBox;
    default:
      return packOf(name, unit);
  }
}

function usualWaste(name: WareName): number {
  if (name === 'paper') return WASTE.tape;
  return name === 'mesh' || name === 'sealer' || name === 'screws' ? WASTE[name] : WASTE.mud;
}

/** Whether a good is bought by its length. */
export const isTape = (good: Good): boolean => good === 'paper' || good === 'mesh';
