import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logEntry as entry } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { houseOf } from '../../../tests/houses/readRooms';
import { coverageOf, isUnusual, USUAL_COVERAGE } from '../cost/coverageOf';
import { beadCost, beadShares, packCost } from '../cost/materialCost';
import { takeOff } from '../joints/takeOff';
import { addTallies } from '../joints/tally';
import { mixOf } from '../materials/batch';
import { NO_CATALOGUE, waresOf } from '../materials/catalogue';
import type { Catalogue } from '../materials/catalogueSchema';
import { cutBead } from '../materials/cut/cutBead';
import { leftAfter } from '../materials/cut/leftAfter';
import type { Good } from '../materials/goods';
import { type LoadList, loadList } from '../materials/loadList';
import { allSteps } from '../measure/steps';
import { resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { randomFrom } from '../plan/improve';
import { SHRINKAGE } from '../section/mud';
import { learnUse } from '../stock/learnUse';
import { runOut } from '../stock/runOut';
import type { Moved } from '../stock/stock';
import { goodsOfItems } from './goodsOfItems';
import { mudByClass, smallGoods } from './smallGoods';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const HOUR_MS = 3_600_000;
/** Litres of a mud that go on in all. */
const netOf = (good: Good, { mud }: LoadList): number => mud.find(({ product }) => product === good)?.net ?? 0;
const USUAL = waresOf(NO_CATALOGUE, 'in');
const FOOT = 304.8;
const GALLON = 3.785411784;
const taken = oneRoomSnapshot("A 20' x 14' x 8', door 32x80 wall 1 bead", NOW);

describe('what each item of work takes', () => {
  const sums = (entries: Parameters<typeof taken.roomWith>[0], catalogue: Catalogue = NO_CATALOGUE) => {
    const wares = waresOf(catalogue, 'in');
    const all = new Map<Good, number>();
    for (const goods of goodsOfItems(taken.roomWith(entries, { last: 'seal' }), wares, NOW).values())
      for (const [good, amount] of goods) all.set(good, (all.get(good) ?? 0) + amount);
    return { all, load: loadList([taken.roomWith(entries, { last: 'seal' })], 'in', wares) };
  };

  it('is together what the house takes, with what the crew really uses of it', () => {
    const { all, load } = sums([]);
    for (const { product } of load.mud) expect(all.get(product), product).toBeCloseTo(netOf(product, load), 6);
    expect(all.get('sealer')).toBeCloseTo(load.sealer.net, 9);
    const more = sums([], { products: { taping: { use: 1.2 } }, offcuts: [] });
    expect(more.all.get('taping')).toBeCloseTo((all.get('taping') ?? 0) * 1.2, 6);
    expect(netOf('taping', more.load)).toBeCloseTo(netOf('taping', load) * 1.2, 6);
    expect(more.all.get('topping')).toBeCloseTo(all.get('topping') ?? 0, 9);
  });

  it('is less by what is on', () => {
    const half = entry({
      kind: 'coat',
      at: NOW - HOUR_MS,
      payload: { class: 'angle', key: 'tape', part: 0.5, mud: { kind: 'drying' } },
    });
    const angles = (entries: Parameters<typeof taken.roomWith>[0]) =>
      new Map(goodsOfItems(taken.roomWith(entries), USUAL, NOW).get(`${taken.room.id}/tape.angle`)).get('paper');
    expect(angles([half])).toBeCloseTo((angles([]) ?? 0) / 2, 6);
  });
});

describe('mud that shrinks more than usual', () => {
  it('leaves more for the coats over it to fill, and takes as much itself', () => {
    const boxed = (shrinkage: number | undefined) => {
      const products = shrinkage === undefined ? {} : { taping: { shrinkage } };
      const { load, rooms } = taken.snapshotWith([], {}, { products, offcuts: [] });
      return { tape: load.mudByCoat.tape, fill: load.mudByCoat.fill, method: rooms[0]?.method };
    };
    const [usual, same, more, less] = [undefined, SHRINKAGE.taping, 0.5, 0].map(boxed);
    expect(same?.tape).toBeCloseTo(usual?.tape ?? 0, 9);
    expect(same?.fill).toBeCloseTo(usual?.fill ?? 0, 9);
    expect(more?.fill).toBeGreaterThan(usual?.fill ?? 0);
    expect(less?.fill).toBeLessThan(usual?.fill ?? 0);
    expect(more?.tape).toBeCloseTo(usual?.tape ?? 0, 9);
    expect(usual?.method?.shrinkage).toBeUndefined();
  });
});

describe('until when something is enough', () => {
  it('is when more is taken than there is, in whatever order it is told', () => {
    const draw = (at: number, amount: number) => ({ at, good: 'taping' as const, amount });
    expect(runOut(10, [draw(3, 5), draw(1, 4), draw(2, 4)])).toBe(3);
    expect(runOut(13, [draw(3, 5), draw(1, 4), draw(2, 4)])).toBeUndefined();
    expect(runOut(-2, [draw(5, 1)])).toBe(5);
    expect(runOut(0, [])).toBeUndefined();
  });
});

describe('what a crew really uses', () => {
  /** Between counts as much went on as the sections say, times a factor. */
  const history = (factor: number, each: readonly number[]): readonly Moved[] => {
    let [at, there] = [0, 200];
    const moves: Moved[] = [{ good: 'taping', at, kind: 'counted', amount: there }];
    for (const model of each) {
      const [delivered, thrown] = [17, 1.5];
      moves.push({ good: 'taping', at: at + 1, kind: 'delivered', amount: delivered });
      moves.push({ good: 'taping', at: at + 2, kind: 'used', amount: model });
      moves.push({ good: 'taping', at: at + 3, kind: 'thrown', amount: thrown });
      there += delivered - thrown - model * factor;
      at += 4;
      moves.push({ good: 'taping', at, kind: 'counted', amount: there });
    }
    return moves;
  };

  it('comes to a factor that is known, the nearer the more was counted', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.7, max: 1.6, noNaN: true }),
        fc.array(fc.double({ min: 10, max: 60, noNaN: true }), { minLength: 2, maxLength: 12 }),
        (factor, each) => {
          const [learned] = learnUse(history(factor, each), () => 1);
          const model = each.reduce((sum, one) => sum + one, 0);
          // What is in use weighs as two pails, 34 l.
          expect(learned?.factor).toBeCloseTo((factor * model + 34) / (model + 34), 6);
          expect(learned).toMatchObject({ good: 'taping', intervals: each.length });
          expect(learned?.spread).toBeCloseTo(0, 6);
        },
      ),
    );
    const [long] = learnUse(history(1.3, Array<number>(60).fill(50)), () => 1);
    expect(long?.factor).toBeCloseTo(1.3, 2);
  });

  it('is told apart by class where the counts have other joints in them', () => {
    const random = randomFrom(5);
    const real = { flat: 0.9, angle: 1.5 } as const;
    let [at, there] = [0, 1000];
    const moves: Moved[] = [{ good: 'taping', at, kind: 'counted', amount: there }];
    for (let run = 0; run < 40; run += 1) {
      const [flat, angle] = [5 + 30 * random(), 5 + 30 * random()];
      moves.push({ good: 'taping', at: at + 1, kind: 'used', amount: flat, class: 'flat' });
      moves.push({ good: 'taping', at: at + 2, kind: 'used', amount: angle, class: 'angle' });
      there += 50 - flat * real.flat - angle * real.angle;
      moves.push({ good: 'taping', at: at + 3, kind: 'delivered', amount: 50 });
      at += 4;
      moves.push({ good: 'taping', at, kind: 'counted', amount: there });
    }
    const [all] = learnUse(moves, () => 1);
    const factors = new Map(all?.classes.map((own) => [own.class, own.factor]));
    expect(factors.get('flat')).toBeCloseTo(0.9, 1);
    expect(factors.get('angle')).toBeCloseTo(1.5, 1);
    // One interval tells nothing apart: both are as the whole.
    const [one] = learnUse(moves.slice(0, 5), () => 1);
    for (const own of one?.classes ?? []) expect(Math.abs(own.factor - (one?.factor ?? 0))).toBeLessThan(0.25);
  });

  it('is not told by one count, nor where hardly anything went on', () => {
    expect(learnUse(history(1.3, []), () => 1)).toEqual([]);
    expect(learnUse(history(1.3, [0.5]), () => 1)).toEqual([]);
    expect(learnUse(history(1.3, [30]), () => 1)).toMatchObject([{ intervals: 1, spread: undefined }]);
  });
});

describe('what material costs', () => {
  it('is by the packs that are used, of an opened one what is taken; what has no price is named', () => {
    const catalogue: Catalogue = {
      products: { paper: { price: 8 }, taping: { price: 18, pack: 4.5 * GALLON }, screws: { price: 30, pack: 1000 } },
      offcuts: [],
    };
    const load = loadList([taken.roomWith([])], 'in', waresOf(catalogue, 'in'));
    const { sum, unpriced } = packCost(load, waresOf(catalogue, 'in'));
    // A roll of 500 ft, a tenth of waste; a pail of 4.5 gal; 1,000 screws, a twentieth more.
    const tape = ((load.tape.net / FOOT) * 1.1 * 8) / 500;
    const mud = ((netOf('taping', load) / GALLON) * 1.1 * 18) / 4.5;
    const screws = (load.screws.net * 1.05 * 30) / 1000;
    expect(sum).toBeCloseTo(tape + mud + screws, 6);
    expect(unpriced).toEqual(expect.arrayContaining(['all-purpose', 'topping', 'setting']));
    expect(unpriced).not.toContain('mesh');
  });

  it('of bead is what its sticks cost, each room its share, and nothing for what lay there', () => {
    const pieces = [90, 90, 29].map((inches, index) => ({
      profile: 'square' as const,
      length: inches * 25.4,
      edge: `e${index}`,
      room: index < 2 ? 'hall' : 'den',
    }));
    const wares = waresOf(
      {
        products: {},
        sticks: [
          { length: 8 * FOOT, price: 3 },
          { length: 10 * FOOT, price: 5 },
        ],
        offcuts: [],
      },
      'in',
    );
    // Three of 8 ft would cost 9; one of 8 ft and one of 10 ft, which holds 90, 29 and a saw's width, 8.
    const bead = cutBead(pieces, 'in', wares);
    expect(beadCost(bead, wares).sum).toBe(8);
    const shares = beadShares(bead, wares);
    expect(shares.get('hall')).toBeCloseTo((8 * 180) / 209, 9);
    expect((shares.get('hall') ?? 0) + (shares.get('den') ?? 0)).toBeCloseTo(8, 9);
    const rest = { ...wares, offcuts: [{ profile: 'square' as const, length: 40 * 25.4 }] };
    expect(beadCost(cutBead(pieces, 'in', rest), rest).sum).toBe(6);
    // Of another profile it is of no use.
    const other = { ...wares, offcuts: [{ profile: 'bullnose' as const, length: 40 * 25.4 }] };
    expect(beadCost(cutBead(pieces, 'in', other), other).sum).toBe(8);
    expect(beadCost(cutBead(pieces, 'in'), USUAL)).toEqual({ sum: 0, unpriced: ['bead'] });
  });
});

describe('what is bought by the piece', () => {
  it('is rounded up once for all rooms, and follows how beads and hard joints are done', () => {
    const one = taken.roomWith([]);
    const [single, three] = [allSteps(smallGoods([one])), allSteps(smallGoods([one, one, one]))];
    expect(single.sandpaper).toBeGreaterThan(0);
    expect(three.sandpaper).toBeGreaterThan(single.sandpaper);
    expect(three.sandpaper).toBeLessThanOrEqual(3 * single.sandpaper);
    // The angles of a room are done with one sponge, those of three with one too: 500 ft.
    expect([single.sponges, three.sponges]).toEqual([
      1,
      Math.ceil((3 * one.tally.classes.angle.length) / (500 * FOOT)),
    ]);
    // A door of 32 × 80 in: two of 80 in are fixed at six places, one of 32 in at three, on both flanges.
    expect(single.fixings).toBe(2 * (2 * (80 / 16 + 1) + (32 / 16 + 1)));
  });

  it('is paper strip, trim and caulk where the method asks for them, by class', () => {
    const one = taken.roomWith([]);
    expect(loadList([one], 'in').cover).toEqual({ strip: 0, joints: [], trim: 0, caulk: 0 });
    const stripped = taken.roomWith([], { beadStrip: 'strip' });
    expect(loadList([stripped], 'in').cover.strip).toBeCloseTo(2 * one.tally.classes.bead.length, 9);
    // Two upright off-angles beside the slanted wall.
    const old = oneRoomSnapshot("B: r 10' dr 3' x 3' d 7' l 13' u 10', h 8'", NOW);
    const covered = old.roomWith([], { hard: 'trim' });
    const { existing, offAngle } = covered.tally.classes;
    const { joints, trim, caulk } = loadList([covered], 'in').cover;
    expect(joints).toEqual([
      { class: 'offAngle', length: offAngle.length },
      ...(existing.length > 0 ? [{ class: 'existing', length: existing.length }] : []),
    ]);
    const joint = existing.length + offAngle.length;
    expect(joint).toBeGreaterThan(15 * FOOT);
    expect(trim).toBeCloseTo(joint * 1.1, 9);
    // Both edges, 30 ft a tube.
    expect(caulk).toBe(Math.ceil((2 * joint) / FOOT / 30));
    // Flats are covered with flat stock where that is said of them alone.
    const flats = taken.roomWith([], { classes: { flat: { hard: 'trim' } } });
    expect(loadList([flats], 'in').cover.joints).toEqual([{ class: 'flat', length: one.tally.classes.flat.length }]);
  });

  it('of mud is told by class and coat, and comes to the mud of the coats', () => {
    const room = taken.roomWith([]);
    const all = allSteps(mudByClass([room], () => 1)).flatMap(({ coats }) => Object.values(coats));
    const load = loadList([room], 'in');
    const beside = load.small.reduce((sum, { litres }) => sum + litres, 0);
    expect(all.reduce((sum, litres) => sum + litres, 0) + beside).toBeCloseTo(
      load.mud.reduce((sum, { net }) => sum + net, 0),
      6,
    );
  });

  it('of setting mud is mixed of a part of a bag, and water', () => {
    const { bags, water } = mixOf(2.4 * GALLON, 2.4 * GALLON);
    expect(bags).toBe(1);
    expect(water / GALLON).toBeCloseTo(1.25, 9);
  });
});

describe('what is left once it is cut', () => {
  it('is what was not used, and what of the sticks is worth keeping', () => {
    const piece = (inches: number) => ({ profile: 'square' as const, length: inches * 25.4, edge: 'e', room: 'a' });
    const offcuts = [
      { profile: 'square' as const, length: 1000 },
      { profile: 'bullnose' as const, length: 1500 },
    ];
    const wares = { ...USUAL, sticks: [{ length: 8 * FOOT }], offcuts };
    // 38 in fit into the metre that lies there; of 8 ft less 60 in and a saw's width 35 7/8 in are left.
    const left = leftAfter(cutBead([piece(60), piece(38)], 'in', wares), offcuts);
    expect(left.map(({ profile }) => profile)).toEqual(['bullnose', 'square']);
    expect(left[1]?.length).toBe(Math.floor((96 - 60 - 1 / 8) * 25.4));
    // Of 8 ft less 80 in nothing is left that is worth it.
    expect(leftAfter(cutBead([piece(80)], 'in', wares), [])).toEqual([]);
  });
});

describe('what a house takes for its board', () => {
  // source: gypsum construction handbooks, about 370 ft of tape and 9 to 10 gal for 1,000 ft² (from memory); see USUAL_COVERAGE
  it('lies where the handbooks have it for a usual house, and is said to be off where a coat is left away', () => {
    const house = houseOf([
      "Living: 20' x 14' x 8', door 36x80 wall 1, window 60x48 @36 wall 2 bead, window 36x48 @36 wall 3 bead",
      "Kitchen: 14' x 12' x 8', opening 60x84 wall 1 bead, window 36x36 @44 wall 2",
      "Hall: 14' x 4' x 8', door 32x80 wall 1, door 32x80 wall 3, door 30x80 wall 2",
      "Bath: 9' x 6' x 8', door 28x80 wall 1",
      "Bed: 13' x 11' x 8', door 32x80 wall 1, window 48x48 @36 wall 2 bead",
    ]);
    const rooms = house.rooms.map((room) => {
      const { tally } = takeOff(room, house);
      const method = resolveMethod(house, room);
      return { tally, method, coats: roomCoats(tally, method, room.finish) };
    });
    const area = addTallies(rooms.map(({ tally }) => tally)).boardArea;
    const coverage = coverageOf(loadList(rooms, 'in'), area);
    if (!coverage) throw new Error('the house is boarded');
    expect(isUnusual(coverage.tape, USUAL_COVERAGE.tape)).toBe(false);
    expect(isUnusual(coverage.mud, USUAL_COVERAGE.mud)).toBe(false);
    const tapeOnly = rooms.map((own) => ({ ...own, coats: own.coats.filter(({ key }) => key === 'tape') }));
    const thin = coverageOf(loadList(tapeOnly, 'in'), area);
    expect(isUnusual(thin?.mud ?? 0, USUAL_COVERAGE.mud)).toBe(true);
    expect(coverageOf(loadList([], 'in'), 0)).toBeUndefined();
  });
});
