import type { Tally } from '../joints/tally';
import { tapedLength } from '../joints/tally';
import { litresFromGallons, MM_PER_FOOT } from '../measure/unit';
import { type CoatKey, coatId, MUD_PRODUCTS, type MudProduct } from '../method/coat';
import { isAccessory } from '../method/coatKeysFor';
import type { Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import { litresPer, sectionFor } from '../section/sectionFor';
import { PACKS, SEALER_MM2_PER_LITRE } from './packs';

/** One room (or house) to be supplied: its tally, the coats it will get, and how they are put on. */
export interface Supplied {
  readonly tally: Tally;
  readonly coats: readonly RoomCoat[];
  readonly method: Method;
}

/** An amount to order: what goes on, what is bought for it with waste, and in how many packs. */
export interface Order {
  readonly net: number;
  readonly gross: number;
  readonly packs: number;
}

/** Everything to order; tape and bead in mm, mud and sealer in litres, screws and packs by count. */
export interface LoadList {
  readonly tape: Order;
  readonly mesh: Order;
  readonly mud: readonly (Order & { readonly product: MudProduct })[];
  readonly mudByCoat: Readonly<Record<CoatKey, number>>;
  readonly bead: Order;
  readonly screws: Order;
  readonly sealer: Order;
}

/**
 * What a house takes. Packs are counted once for all rooms, never room by room.
 *
 * @example loadList([{ tally, coats, method }]).tape.packs  // rolls
 */
export function loadList(rooms: readonly Supplied[]): LoadList {
  const byProduct = new Map<MudProduct, number>();
  const byCoat = { tape: 0, fill: 0, finish: 0, extra: 0, sides: 0, skim: 0 };
  let [tape, mesh, bead, screws, sealer] = [0, 0, 0, 0, 0];
  for (const { tally, coats, method } of rooms) {
    const meshed = meshOf(coats);
    mesh += meshed;
    tape += coats.some(({ key, class: kind }) => key === 'tape' && !isAccessory(kind))
      ? tapedLength(tally) - meshed
      : 0;
    bead += tally.classes.bead.length + tally.classes.trim.length;
    screws += tally.screws;
    sealer += sealerLitres(tally, coats, method);
    for (const coat of coats) {
      const litres = mudOf(coat, method);
      byProduct.set(coat.mud, (byProduct.get(coat.mud) ?? 0) + litres);
      byCoat[coat.key] += litres;
    }
  }
  return {
    tape: order(tape, PACKS.tape.waste, PACKS.tape.feetPerRoll * MM_PER_FOOT),
    mesh: order(mesh, PACKS.mesh.waste, PACKS.mesh.feetPerRoll * MM_PER_FOOT),
    mud: MUD_PRODUCTS.filter((product) => byProduct.has(product)).map((product) => ({
      product,
      ...order(byProduct.get(product) ?? 0, PACKS.mud.waste, litresFromGallons(packOf(product))),
    })),
    mudByCoat: byCoat,
    bead: order(bead, PACKS.bead.waste, PACKS.bead.feetPerStick * MM_PER_FOOT),
    screws: order(screws, PACKS.screws.waste, PACKS.screws.perBox),
    sealer: order(sealer, PACKS.sealer.waste, litresFromGallons(PACKS.sealer.gallonsPerPail)),
  };
}

/** What a pail of ready-mixed or a bag of setting mud makes; gallons. */
export const packOf = (product: MudProduct): number =>
  product === 'setting' ? PACKS.settingMud.gallonsPerBag : PACKS.mud.gallonsPerPail;

const meshOf = (coats: readonly RoomCoat[]): number =>
  coats.reduce((sum, { tape, amount }) => (tape === 'mesh' ? sum + amount : sum), 0);

/** Litres of mud that one coat of a room takes, without waste: its amount by what the joint's section takes of it. */
export function mudOf(coat: RoomCoat, method: Method): number {
  const per = litresPer(coatId(coat), sectionFor(coat.class, method));
  if (coat.class === 'fasteners') return per * coat.amount;
  return coat.class === 'surface' ? (per * coat.amount) / 1e6 : (per * coat.amount) / 1000;
}

/** The surface that is sealed: what is boarded, from level 3 on, where the method says so and no skim does it; mm². */
export function sealedArea(tally: Tally, coats: readonly RoomCoat[], { level, all }: Method): number {
  if (all.last !== 'seal' || level < 3) return 0;
  const skimmed = coats.reduce((sum, { key, amount }) => (key === 'skim' ? sum + amount : sum), 0);
  return Math.max(0, tally.paintedArea - skimmed);
}

/** Litres of sealer for a room, without waste. */
const sealerLitres = (tally: Tally, coats: readonly RoomCoat[], method: Method): number =>
  sealedArea(tally, coats, method) / SEALER_MM2_PER_LITRE;

function order(net: number, waste: number, pack: number): Order {
  const gross = net * (1 + waste);
  return { net, gross, packs: Math.ceil(Math.max(0, gross / pack - 1e-9)) };
}
