import type { Tally } from '../joints/tally';
import { tapedLength } from '../joints/tally';
import { litresFromGallons, MM_PER_FOOT } from '../measure/unit';
import { COAT_KEYS, type Coat, type CoatKey } from '../method/coat';
import { isAccessory } from '../method/coatKeysFor';
import { GALLONS_PER_100, PACKS, SKIM_GALLONS_PER_1000_FT2 } from './mudTable';

/** One room (or house) to be supplied: its tally and the coats it will get. */
export interface Supplied {
  readonly tally: Tally;
  readonly coats: readonly Coat[];
}

/** An amount to order: what goes on, what is bought for it with waste, and in how many packs. */
export interface Order {
  readonly net: number;
  readonly gross: number;
  readonly packs: number;
}

/** Everything to order; tape and bead in mm, mud in litres, screws and packs by count. */
export interface LoadList {
  readonly tape: Order;
  readonly mud: readonly (Order & { readonly product: Coat['mud'] })[];
  readonly mudByCoat: Readonly<Record<CoatKey, number>>;
  readonly bead: Order;
  readonly screws: Order;
}

/**
 * What a house takes. Packs are counted once for all rooms, never room by room.
 *
 * @example loadList([{ tally, coats }]).tape.packs  // rolls
 */
export function loadList(rooms: readonly Supplied[]): LoadList {
  const tape = rooms.reduce((sum, room) => sum + tapeOf(room), 0);
  const bead = rooms.reduce((sum, { tally }) => sum + tally.classes.bead.length + tally.classes.trim.length, 0);
  const screws = rooms.reduce((sum, { tally }) => sum + tally.screws, 0);
  const coats = rooms.flatMap(({ tally, coats: list }) => list.map((coat) => ({ coat, litres: mudOf(coat, tally) })));
  const sumOf = (pick: (coat: Coat) => boolean) =>
    coats.reduce((sum, { coat, litres }) => (pick(coat) ? sum + litres : sum), 0);
  const products = (['taping', 'all-purpose', 'topping'] as const).filter((product) =>
    coats.some(({ coat }) => coat.mud === product),
  );
  const byCoat = Object.fromEntries(COAT_KEYS.map((key) => [key, sumOf((coat) => coat.key === key)]));
  return {
    tape: order(tape, PACKS.tape.waste, PACKS.tape.feetPerRoll * MM_PER_FOOT),
    mud: products.map((product) => ({
      product,
      ...order(
        sumOf((coat) => coat.mud === product),
        PACKS.mud.waste,
        litresFromGallons(PACKS.mud.gallonsPerPail),
      ),
    })),
    mudByCoat: { tape: byCoat.tape ?? 0, fill: byCoat.fill ?? 0, finish: byCoat.finish ?? 0, skim: byCoat.skim ?? 0 },
    bead: order(bead, PACKS.bead.waste, PACKS.bead.feetPerStick * MM_PER_FOOT),
    screws: order(screws, PACKS.screws.waste, PACKS.screws.perBox),
  };
}

/** The tape that a room takes, without waste; mm. A room at level 0 takes none. */
function tapeOf({ tally, coats }: Supplied): number {
  return coats.some(({ key, class: kind }) => key === 'tape' && !isAccessory(kind)) ? tapedLength(tally) : 0;
}

/** Litres of mud that one coat of a room takes, without waste. */
export function mudOf(coat: Coat, tally: Tally): number {
  if (coat.class === 'surface' || coat.key === 'skim')
    return litresFromGallons((tally.boardArea / MM_PER_FOOT ** 2 / 1000) * SKIM_GALLONS_PER_1000_FT2);
  const amount =
    coat.class === 'fasteners' ? tally.fasteners / 100 : tally.classes[coat.class].length / MM_PER_FOOT / 100;
  return litresFromGallons(amount * GALLONS_PER_100[coat.class][coat.key]);
}

function order(net: number, waste: number, pack: number): Order {
  const gross = net * (1 + waste);
  return { net, gross, packs: Math.ceil(Math.max(0, gross / pack - 1e-9)) };
}
