import { WARES, type WareName, type Wares } from '../materials/catalogue';
import type { BeadCuts } from '../materials/cut/cutBead';
import type { LoadList, Order } from '../materials/loadList';
import { MUD_PRODUCTS } from '../method/coat';

/** Material cost, as far as its prices are known, in the money of the firm. */
export interface MaterialCost {
  readonly sum: number;
  /** What is taken and has no price. */
  readonly unpriced: readonly (WareName | 'bead')[];
}

/** What goes on of everything that is bought in packs, with waste, by what a pack costs: of an opened pack only what is used. */
export function packCost(load: LoadList, { of }: Pick<Wares, 'of'>): MaterialCost {
  let sum = 0;
  const unpriced: WareName[] = [];
  for (const name of WARES) {
    const taken = orderOf(name, load);
    if (!taken || taken.net <= 0) continue;
    const { price, pack } = of[name];
    if (price === undefined) unpriced.push(name);
    else sum += (taken.gross / pack) * price;
  }
  return { sum, unpriced };
}

/** What the sticks of a cutting list cost; those that lay there cost nothing. */
export function beadCost(bead: readonly BeadCuts[], { sticks }: Pick<Wares, 'sticks'>): MaterialCost {
  const bought = bead.flatMap(({ list }) => list.sticks.filter(({ isOffcut }) => !isOffcut));
  const prices = bought.map(({ length }) => sticks.find((one) => one.length === length)?.price);
  return {
    sum: prices.reduce<number>((sum, price) => sum + (price ?? 0), 0),
    unpriced: prices.includes(undefined) ? ['bead'] : [],
  };
}

function orderOf(name: WareName, load: LoadList): Order | undefined {
  if (name === 'paper') return load.tape;
  if (name === 'mesh' || name === 'sealer' || name === 'screws') return load[name];
  const product = MUD_PRODUCTS.find((own) => own === name);
  return load.mud.find((own) => own.product === product);
}

/** Packs and sticks together. */
export const withBead = (packs: MaterialCost, bead: MaterialCost): MaterialCost => ({
  sum: packs.sum + bead.sum,
  unpriced: [...packs.unpriced, ...bead.unpriced],
});

/** Tells what of the cost of the sticks falls to each room: by the length of its pieces. */
export function beadShares(bead: readonly BeadCuts[], wares: Pick<Wares, 'sticks'>): ReadonlyMap<string, number> {
  const shares = new Map<string, number>();
  for (const cuts of bead) {
    const whole = cuts.pieces.reduce((all, { length }) => all + length, 0);
    if (whole <= 0) continue;
    const { sum } = beadCost([cuts], wares);
    for (const { room, length } of cuts.pieces) shares.set(room, (shares.get(room) ?? 0) + (sum * length) / whole);
  }
  return shares;
}
