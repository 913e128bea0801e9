import type { Highs } from 'highs';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { cutStock } from '@/core/materials/cut/cutStock';
import { randomFrom } from '../houses/random';

// The least cost of a cutting list found by another way: as a flow along a stick, where an arc is a piece that is cut from one mark to
// another, solved by HiGHS as an integer program. Written apart: neither patterns, nor a bound, nor a search are used.

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

interface Instance {
  readonly pieces: readonly number[];
  readonly sticks: readonly { readonly length: number; readonly price: number }[];
  readonly kerf: number;
}

/** Up to fourteen pieces of few sizes, sticks of one to three lengths, some dearer by the length than others. */
function anyInstance(seed: number): Instance {
  const random = randomFrom(seed);
  const upTo = (most: number) => Math.floor(random() * (most + 1));
  const lengths = [24, 27, 30, 36].filter((_, index) => index === 3 || random() < 0.5);
  return {
    pieces: Array.from({ length: 2 + upTo(12) }, () => 4 + upTo(30)),
    sticks: lengths.map((length) => ({ length, price: random() < 0.5 ? length : length + upTo(6) })),
    kerf: upTo(1),
  };
}

/** The integer program: marks on a stick from 0 to its end, a kerf beyond the end for the last cut. */
function leastCost({ pieces, sticks, kerf }: Instance): number {
  const longest = Math.max(...sticks.map(({ length }) => length)) + kerf;
  const sizes = [...new Set(pieces)].sort((a, b) => b - a);
  const flow: string[][] = Array.from({ length: longest + 1 }, () => []);
  const cover = new Map<number, string[]>(sizes.map((size) => [size, []]));
  const names: string[] = [];
  const arc = (name: string, from: number, to: number) => {
    names.push(name);
    flow[from]?.push(`- ${name}`);
    flow[to]?.push(`+ ${name}`);
  };
  for (const size of sizes)
    for (let from = 0; from + size + kerf <= longest; from += 1) {
      arc(`x_${size}_${from}`, from, from + size + kerf);
      cover.get(size)?.push(`x_${size}_${from}`);
    }
  for (let from = 0; from < longest; from += 1) arc(`w_${from}`, from, from + 1);
  for (const [index, { length }] of sticks.entries()) arc(`z_${index}`, length + kerf, 0);
  const program = [
    'Minimize',
    ` cost: ${sticks.map(({ price }, index) => `${price} z_${index}`).join(' + ')}`,
    'Subject To',
    ...flow.map((terms, mark) => ` f_${mark}: ${terms.join(' ')} = 0`),
    ...sizes.map(
      (size) => ` d_${size}: ${(cover.get(size) ?? []).join(' + ')} = ${pieces.filter((own) => own === size).length}`,
    ),
    'General',
    ` ${names.join(' ')}`,
    'End',
  ].join('\n');
  const { Status, ObjectiveValue } = highs.solve(program);
  if (Status !== 'Optimal') throw new Error(`the program is ${Status}`);
  return ObjectiveValue;
}

describe('a cutting list', () => {
  it('costs as little as any, and its bound says so, in 220 instances', () => {
    let proven = 0;
    for (let seed = 1; seed <= 220; seed += 1) {
      const instance = anyInstance(seed);
      const list = cutStock({ ...instance, step: 1 });
      const least = leastCost(instance);
      expect(list.cost, `seed ${seed}`).toBeCloseTo(least, 6);
      expect(list.bound, `seed ${seed}`).toBeLessThanOrEqual(least + 1e-6);
      if (list.bound >= least - 1e-6) proven += 1;
    }
    expect(proven).toBe(220);
  });
});
