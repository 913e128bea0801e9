import { describe, expect, it } from 'vitest';
import { randomFrom } from '../../plan/improve';
import { type CutList, type CutQuestion, cutStock, STEP_MM } from './cutStock';

const INCH = 25.4;

const sticks = (...lengths: number[]) => lengths.map((length) => ({ length }));

/** What is wrong with a cutting list, found without anything of how it was made. */
function faultsOf(
  { pieces, sticks: stock, kerf = 0, offcuts = [], splice }: CutQuestion,
  list: CutList,
): readonly string[] {
  const faults: string[] = [];
  const longest = Math.max(...stock.map(({ length }) => length));
  const covered = pieces.map(() => 0);
  const parts = pieces.map(() => 0);
  let cost = 0;
  const spare = [...offcuts];
  for (const { length, isOffcut, cuts } of list.sticks) {
    const used = cuts.reduce((sum, cut) => sum + cut.length, 0) + kerf * (cuts.length - 1);
    if (used > length + 0.06) faults.push(`${used} of a stick of ${length}`);
    const known = isOffcut ? spare.indexOf(length) : stock.findIndex((one) => one.length === length);
    if (known < 0) faults.push(`no stick is ${length} long`);
    if (isOffcut) spare.splice(known, 1);
    else cost += stock[known]?.price ?? length;
    if (cuts.length === 0) faults.push('a stick of which nothing is cut');
    for (const cut of cuts) {
      covered[cut.piece] = (covered[cut.piece] ?? 0) + cut.length;
      parts[cut.piece] = (parts[cut.piece] ?? 0) + 1;
    }
  }
  for (const [index, length] of pieces.entries()) {
    if (Math.abs((covered[index] ?? 0) - length) > 0.06) faults.push(`piece ${index}: ${covered[index]} of ${length}`);
    cost += ((parts[index] ?? 1) - 1) * (splice ?? 0);
    if (splice === undefined && length <= longest && parts[index] !== 1) faults.push(`piece ${index} is spliced`);
  }
  if (Math.abs(cost - list.cost) > 1e-6) faults.push(`it costs ${cost}, not ${list.cost}`);
  if (list.bound > list.cost + 1e-6) faults.push(`the bound ${list.bound} is over the cost ${list.cost}`);
  return faults;
}

const cutsOf = (list: CutList) => list.sticks.map(({ length, cuts }) => [length, cuts.map((cut) => cut.length)]);

describe('bead and trim cut from sticks', () => {
  it('are cut by hand: six 32 × 80 in openings from sticks of 10 ft take twelve', () => {
    const pieces = Array.from({ length: 6 }, () => [80, 80, 32]).flat();
    const list = cutStock({ pieces, sticks: sticks(120) });
    // 80 and 32 in lie in one stick of 120, the other 80 in another.
    expect([list.sticks.length, list.cost, list.bound]).toEqual([12, 1440, 1440]);
  });

  it('take the sticks that cost least: 80 of an 8 ft stick, 80 and 32 of a 10 ft one', () => {
    const list = cutStock({ pieces: [80, 80, 32], sticks: sticks(96, 120, 144) });
    expect(cutsOf(list)).toEqual([
      [120, [80, 32]],
      [96, [80]],
    ]);
    expect([list.cost, list.bound]).toEqual([216, 216]);
    // Where the long stick is cheap for its length it is taken.
    const cheap = cutStock({
      pieces: [80, 80],
      sticks: [
        { length: 96, price: 10 },
        { length: 168, price: 15 },
      ],
    });
    expect([cheap.cost, cheap.bound]).toEqual([15, 15]);
  });

  it('lose what the saw takes: a piece as long as the stick needs no cut, two halves with a kerf do not fit', () => {
    expect(cutStock({ pieces: [96], sticks: sticks(96), kerf: 1 }).sticks.length).toBe(1);
    expect(cutStock({ pieces: [48, 48], sticks: sticks(96), kerf: 1 }).sticks.length).toBe(2);
    expect(cutStock({ pieces: [48, 48], sticks: sticks(96) }).sticks.length).toBe(1);
    expect(cutStock({ pieces: [48, 47], sticks: sticks(96), kerf: 1 }).sticks.length).toBe(1);
  });

  it('are spliced only where they are longer than the longest stick', () => {
    const list = cutStock({ pieces: [300, 120, 60, 119], sticks: sticks(96, 120) });
    expect(list.spliced).toEqual([0]);
    expect(faultsOf({ pieces: [300, 120, 60, 119], sticks: sticks(96, 120) }, list)).toEqual([]);
    // Two whole sticks and 60 in, which share a stick with the other 60 in.
    expect(list.cost).toBe(5 * 120);
  });

  it('are cut from what lies there first', () => {
    const question = { pieces: [80, 32, 30], sticks: sticks(96, 120), offcuts: [40, 33] };
    const list = cutStock(question);
    expect(faultsOf(question, list)).toEqual([]);
    expect(list.cost).toBe(96);
    expect(list.sticks.filter(({ isOffcut }) => isOffcut).map(({ length }) => length)).toEqual([33, 40]);
  });

  it('are nothing where nothing is to be cut, and need a stick where something is', () => {
    expect(cutStock({ pieces: [], sticks: sticks(96) })).toEqual({ sticks: [], cost: 0, bound: 0, spliced: [] });
    expect(() => cutStock({ pieces: [1], sticks: [] })).toThrow(/no sticks/);
  });

  it('are cut without a fault, whatever they are, up to 300 pieces', () => {
    for (let seed = 1; seed <= 60; seed += 1) {
      const random = randomFrom(seed);
      const count = seed % 20 === 0 ? 300 : 1 + Math.floor(random() * 40);
      const stock = [96, 108, 120, 144].filter((_, index) => index === 3 || random() < 0.6);
      const question = {
        pieces: Array.from({ length: count }, () => (Math.round((6 + random() * 150) * 16) / 16) * INCH),
        sticks: sticks(...stock.map((length) => length * INCH)),
        kerf: ([0, 1 / 16, 1 / 8][Math.floor(random() * 3)] ?? 0) * INCH,
        step: STEP_MM.in,
      };
      const list = cutStock(question);
      expect(faultsOf(question, list), `seed ${seed}`).toEqual([]);
      expect(list.cost / list.bound, `seed ${seed}`).toBeLessThan(1.06);
    }
  });

  it('are spliced where that saves more than the splices cost, by hand', () => {
    const three = { pieces: [1600, 1600, 1600], sticks: [{ length: 2400, price: 3 }] };
    expect(cutStock(three)).toMatchObject({ cost: 9, spliced: [] });
    // What is left of two, 800 each, makes the third.
    const spliced = cutStock({ ...three, splice: 1 });
    expect(cutsOf(spliced)).toEqual([
      [2400, [1600, 800]],
      [2400, [1600, 800]],
    ]);
    expect([spliced.cost, spliced.bound, spliced.spliced.length]).toEqual([7, 7, 1]);
    expect(cutStock({ ...three, splice: 4 })).toMatchObject({ cost: 9, spliced: [] });
    // A saw's width more, and it is too short.
    expect(cutStock({ ...three, kerf: 3, splice: 1 })).toMatchObject({ cost: 9, spliced: [] });
    // What is longer than any stick is spliced as ever, and pays for it.
    expect(cutStock({ pieces: [4000], sticks: [{ length: 2400, price: 3 }], splice: 1 })).toMatchObject({
      cost: 7,
      spliced: [0],
    });
  });

  it('are never dearer with splices than without, nor cheaper than can be', () => {
    const random = randomFrom(77);
    const between = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
    let saved = 0;
    for (let run = 0; run < 120; run += 1) {
      const question: CutQuestion = {
        pieces: Array.from({ length: between(2, 14) }, () => between(300, 2900)),
        sticks: [
          { length: 2400, price: between(8, 12) },
          { length: 3000, price: between(10, 15) },
        ],
        kerf: between(0, 3),
        offcuts: Array.from({ length: between(0, 3) }, () => between(300, 1500)),
        splice: between(0, 6),
      };
      const { splice: _none, ...plainly } = question;
      const [plain, spliced] = [cutStock(plainly), cutStock(question)];
      expect(faultsOf(question, spliced), JSON.stringify(question)).toEqual([]);
      expect(spliced.cost).toBeLessThanOrEqual(plain.cost + 1e-9);
      if (spliced.cost < plain.cost - 1e-9) saved += 1;
    }
    expect(saved).toBeGreaterThan(20);
  });
});
