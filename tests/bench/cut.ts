import loadHighs from 'highs';
import { cutStock } from '../../src/core/materials/cut/cutStock';
import { randomFrom } from '../../src/core/plan/improve';
import { leastCostProgram } from '../references/cutProgram';
import { timeOf } from './timeOf';

const INCH = 25.4;
const STICKS = [96, 108, 120, 144];

/** 300 pieces of bead of some sizes, in whole inches so that the integer program can be solved too. */
function pieces(sizes: number, seed: number): readonly number[] {
  const random = randomFrom(seed);
  const known = Array.from({ length: sizes }, () => 12 + Math.floor(random() * 110));
  return Array.from({ length: 300 }, () => known[Math.floor(random() * sizes)] ?? 80);
}

async function main(): Promise<void> {
  const highs = await loadHighs();
  process.stdout.write('\nBead cut from sticks: 300 pieces, beside HiGHS on the same instance (at most 200 ms)\n');
  for (const sizes of [6, 12, 20]) {
    const own = pieces(sizes, sizes);
    const question = {
      pieces: own.map((length) => length * INCH),
      sticks: STICKS.map((length) => ({ length: length * INCH })),
      step: INCH,
    };
    const ms = timeOf(() => cutStock(question));
    const { cost, bound } = cutStock(question);
    const from = performance.now();
    const { ObjectiveValue } = highs.solve(
      leastCostProgram({ pieces: own, sticks: STICKS.map((length) => ({ length, price: length })), kerf: 0 }),
    );
    const other = performance.now() - from;
    process.stdout.write(
      `  ${String(sizes).padStart(3)} sizes ${ms.toFixed(0).padStart(6)} ms, HiGHS ${other.toFixed(0)} ms (× ${(ms / other).toFixed(2)}); cost ${(cost / INCH / ObjectiveValue).toFixed(4)} of the least, bound ${(bound / INCH / ObjectiveValue).toFixed(4)}\n`,
    );
  }
}

await main();
