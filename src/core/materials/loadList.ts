import type { Tally } from '../joints/tally';
import { type LengthUnit, MM_PER_FOOT } from '../measure/unit';
import { COATED_CLASSES, type CoatedClass, type CoatKey, MUD_PRODUCTS, type MudProduct } from '../method/coat';
import { choicesFor, type Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import { SMALL_WORK, type SmallWork, type SmallWorkKind, smallWorkOf } from '../method/smallWork';
import type { EdgeProfile } from '../room/kinds';
import { bevelledMethod, litresPer, sectionFor } from '../section/sectionFor';
import { NO_CATALOGUE, type Ware, waresOf } from './catalogue';

/** One room (or house) to be supplied: its tally, the coats it will get, and how they are put on. */
export interface Supplied {
  readonly tally: Tally;
  readonly coats: readonly RoomCoat[];
  readonly method: Method;
  /** What was found to pre-fill, mm, and its mud; a part of the joints that gape most where nobody looked. */
  readonly prefill?: { readonly found: number | undefined; readonly litres: number | undefined };
}

/** An amount to order: what goes on, what is bought for it with waste, in how many packs of what size. */
export interface Order {
  readonly net: number;
  readonly gross: number;
  readonly packs: number;
  readonly pack: number;
}

/** Bead or trim of one profile: what goes on; mm. Which sticks it is cut from, see `cutBead`. */
export interface BeadTotal {
  readonly profile: EdgeProfile;
  readonly net: number;
}

/** Small work of one kind in all rooms: mm, three-ways by count; mud in litres. */
export type SmallTotal = Pick<SmallWork, 'kind' | 'amount' | 'litres'>;

/** Everything to order; tape and bead in mm, mud and sealer in litres, screws and packs by count. */
export interface LoadList {
  readonly tape: Order;
  readonly mesh: Order;
  readonly mud: readonly (Order & { readonly product: MudProduct })[];
  readonly mudByCoat: Readonly<Record<CoatKey, number>>;
  /** The small work that is in the mud above. */
  readonly small: readonly SmallTotal[];
  readonly bead: readonly BeadTotal[];
  readonly screws: Order;
  readonly sealer: Order;
  readonly cover: Cover;
}

/** What goes over joints and beads instead of mud, or under it. */
export interface Cover {
  /** Paper over the flanges of beads, mm. */
  readonly strip: number;
  /** Joints that are covered with trim after their tape coat, mm of joint. */
  readonly joints: readonly { readonly class: CoatedClass; readonly length: number }[];
  /** Trim to buy, mm, with what its cuts waste. */
  readonly trim: number;
  /** Tubes of caulk for both edges of it. */
  readonly caulk: number;
}

/** Trim is cut piece by piece. Common practice, no source. */
const TRIM_WASTE = 0.1;
/** A tube of caulk seals so much edge. Common practice, no source. */
const MM_PER_TUBE = 30 * MM_PER_FOOT;

/**
 * What a house takes. Packs are counted once for all rooms, never room by room.
 *
 * @param unit that of the house: packs are metric in a metric one
 * @param wares how everything is bought; as usual where it does not say
 * @example loadList([{ tally, coats, method }], 'in').tape.packs  // rolls
 */
export function loadList(rooms: readonly Supplied[], unit: LengthUnit, wares = waresOf(NO_CATALOGUE, unit)): LoadList {
  const byProduct = new Map<MudProduct, number>();
  const byCoat = { tape: 0, fill: 0, finish: 0, extra: 0, sides: 0, skim: 0 };
  const small: (readonly SmallWork[])[] = [];
  let [tape, mesh, screws, sealer] = [0, 0, 0, 0];
  for (const { tally, coats, method, prefill } of rooms) {
    mesh += tapeOf('mesh', coats);
    tape += tapeOf('paper', coats);
    screws += tally.screws;
    sealer += sealedArea(tally, coats, method) / wares.coverage;
    const smallHere = smallWorkOf(tally, coats, method, prefill?.found, prefill?.litres);
    small.push(smallHere);
    const used = [
      ...coats.map((coat) => ({ mud: coat.mud, key: coat.key, litres: mudOf(coat, method) })),
      ...smallHere.map(({ mud, round, litres }) => ({ mud, key: round, litres })),
    ];
    for (const { mud, key, litres: said } of used) {
      const litres = said * wares.of[mud].use;
      byProduct.set(mud, (byProduct.get(mud) ?? 0) + litres);
      byCoat[key] += litres;
    }
  }
  return {
    tape: order(tape * wares.of.paper.use, wares.of.paper),
    mesh: order(mesh * wares.of.mesh.use, wares.of.mesh),
    mud: MUD_PRODUCTS.filter((product) => byProduct.has(product)).map((product) => ({
      product,
      ...order(byProduct.get(product) ?? 0, wares.of[product]),
    })),
    mudByCoat: byCoat,
    small: SMALL_WORK.map((kind) => smallTotal(kind, small)).filter(({ amount }) => amount > 0),
    bead: beadTotals(rooms),
    screws: order(screws, wares.of.screws),
    sealer: order(sealer * wares.of.sealer.use, wares.of.sealer),
    cover: coverOf(rooms),
  };
}

/** Returns the paper strip, trim and caulk of some rooms; tubes are rounded up once for all of them. */
function coverOf(rooms: readonly Supplied[]): Cover {
  const joints = new Map<CoatedClass, number>();
  let strip = 0;
  for (const { coats, method } of rooms) {
    for (const { class: kind, trimmed, amount } of coats)
      if (trimmed) joints.set(kind, (joints.get(kind) ?? 0) + amount);
    if (choicesFor(method, 'bead').beadStrip === 'strip')
      strip += 2 * Math.max(0, ...coats.map((coat) => (coat.class === 'bead' ? coat.amount : 0)));
  }
  const covered = [...joints.values()].reduce((sum, length) => sum + length, 0);
  return {
    strip,
    joints: COATED_CLASSES.flatMap((kind) => {
      const length = joints.get(kind) ?? 0;
      return length > 0 ? [{ class: kind, length }] : [];
    }),
    trim: covered * (1 + TRIM_WASTE),
    caulk: Math.ceil(Math.max(0, (2 * covered) / MM_PER_TUBE - 1e-9)),
  };
}

/** Returns one kind of small work in all rooms. A place counts once, however often it is flushed. */
function smallTotal(kind: SmallWorkKind, byRoom: readonly (readonly SmallWork[])[]): SmallTotal {
  let [amount, litres] = [0, 0];
  for (const room of byRoom) {
    const own = room.filter((one) => one.kind === kind);
    amount += Math.max(0, ...own.map((one) => one.amount));
    litres += own.reduce((sum, one) => sum + one.litres, 0);
  }
  return { kind, amount, litres };
}

function beadTotals(rooms: readonly Supplied[]): readonly BeadTotal[] {
  const sums = new Map<EdgeProfile, number>();
  for (const { profile, length } of rooms.flatMap(({ tally }) => tally.beadPieces))
    sums.set(profile, (sums.get(profile) ?? 0) + length);
  return [...sums].map(([profile, net]) => ({ profile, net }));
}

const tapeOf = (kind: 'paper' | 'mesh', coats: readonly RoomCoat[]): number =>
  coats.reduce((sum, coat) => (coat.tape === kind ? sum + tapeLaid(coat) : sum), 0);

/** The tape that is laid with a coat, what is behind cabinets included; mm. */
export const tapeLaid = ({ amount, behind = 0 }: RoomCoat): number => amount + behind;

/** Litres of mud that one coat of a room takes, without waste: its amount by what the joint's section takes of it. */
export function mudOf(coat: RoomCoat, method: Method): number {
  const perBy = (own: Method) => litresPer(coat.id, sectionFor(coat.class, own));
  const { bevelled = 0, more = 0 } = coat;
  const per = perBy(method) * (1 - bevelled) + (bevelled > 0 ? perBy(bevelledMethod(method)) * bevelled : 0);
  if (coat.class === 'fasteners') return per * coat.amount;
  return (coat.class === 'surface' ? (per * coat.amount) / 1e6 : (per * coat.amount) / 1000) + more;
}

/** Returns whether what is painted is sealed: from level 3 on, where the method says so. */
export const seals = ({ level, all }: Method): boolean => all.last === 'seal' && level >= 3;

/** The surface that is sealed: what is painted, where the method seals and no skim does it; mm². */
export function sealedArea(tally: Tally, coats: readonly RoomCoat[], method: Method): number {
  if (!seals(method)) return 0;
  const skimmed = coats.reduce((sum, { key, amount }) => (key === 'skim' ? sum + amount : sum), 0);
  return Math.max(0, tally.paintedArea - skimmed);
}

function order(net: number, { waste, pack }: Ware): Order {
  const gross = net * (1 + waste);
  return { net, gross, packs: Math.ceil(Math.max(0, gross / pack - 1e-9)), pack };
}
