import { describe, expect, it } from 'vitest';
import { randomFrom } from '../plan/improve';
import { type Found, slownessFrom, type Touch } from './touch';

/** What an honest thumb finds on a coat that takes so much longer. */
function honest(dried: number, factor: number): Found {
  const real = dried / factor;
  return real >= 1 ? 'white' : real >= 0.8 ? 'patchy' : 'grey';
}

/** Touches at random times, some of them wrong. */
function touches(count: number, factor: number, wrong: number, random: () => number): readonly Touch[] {
  return Array.from({ length: count }, () => {
    const dried = factor * (0.4 + 1.2 * random());
    const anything = (['grey', 'patchy', 'white'] as const)[Math.floor(random() * 3)] ?? 'grey';
    return { dried, found: random() < wrong ? anything : honest(dried, factor) };
  });
}
const FACTORS = [0.7, 0.85, 1, 1.25, 1.6];
/** Crews from half to twice the usual speed. */
const CREWS = [0.5, 0.6, 0.7, 0.85, 1, 1.25, 1.6, 2];

describe('what touch checks say about a clock', () => {
  it('is nothing where nobody touched anything', () => {
    const { factor, low, high } = slownessFrom([]);
    expect(factor).toBeCloseTo(1, 6);
    expect(low * high).toBeCloseTo(1, 6);
    // Crews from half to twice the usual speed are not unheard of.
    expect(high).toBeGreaterThan(2);
  });

  it('moves the way that was found, and no single thumb is believed whole', () => {
    const one = (dried: number, found: Found) => slownessFrom([{ dried, found }]).factor;
    expect(one(1.3, 'grey')).toBeGreaterThan(1.15);
    expect(one(0.7, 'white')).toBeLessThan(0.87);
    // What the clock says already tells little.
    expect(one(3, 'white')).toBeCloseTo(1, 2);
    expect(one(0.2, 'grey')).toBeCloseTo(1, 2);
    // Nonsense: it was to be dry for a month, and is grey.
    expect(one(40, 'grey')).toBeLessThan(1.6);
    expect(one(0, 'white')).toBeGreaterThan(0.6);
  });

  it('does not go by the order', () => {
    const some = touches(9, 1.3, 0.3, randomFrom(4));
    const back = slownessFrom(some.toReversed());
    expect(slownessFrom(some).factor).toBeCloseTo(back.factor, 9);
  });

  it('finds a known factor, without bias once there are some, and with one thumb in five wrong', () => {
    const random = randomFrom(11);
    const lines: string[] = [];
    for (const [count, wrong, bias, error] of [
      [4, 0, 0.12, 0.2],
      [12, 0, 0.05, 0.08],
      [30, 0, 0.03, 0.05],
      [12, 0.2, 0.07, 0.13],
      [30, 0.2, 0.04, 0.08],
    ] as const) {
      let [sum, squares, held, all] = [0, 0, 0, 0];
      for (const factor of FACTORS) {
        for (let run = 0; run < 60; run += 1) {
          const found = slownessFrom(touches(count, factor, wrong, random));
          // Toward too slow or too fast, by how far it is from the clock.
          const off = Math.log(found.factor / factor);
          sum += factor > 1 ? -off : factor < 1 ? off : 0;
          squares += off * off;
          held += factor >= found.low && factor <= found.high ? 1 : 0;
          all += 1;
        }
      }
      const [drift, spread] = [sum / all, Math.sqrt(squares / all)];
      lines.push(
        `${count} thumbs, ${wrong * 100} % wrong: toward the clock ${(drift * 100).toFixed(1)} %, off by ${(spread * 100).toFixed(1)} %, within its range ${Math.round((100 * held) / all)} %`,
      );
      expect(Math.abs(drift), lines.at(-1)).toBeLessThan(bias);
      expect(spread, lines.at(-1)).toBeLessThan(error);
      expect(held / all, lines.at(-1)).toBeGreaterThan(0.7);
    }
    process.stdout.write(`${lines.map((line) => `    ${line}`).join('\n')}\n`);
  });

  it('keeps the true factor in its range for honest crews from half to twice the usual speed', () => {
    const random = randomFrom(7);
    for (const count of [1, 2, 3, 5, 12]) {
      let [held, all] = [0, 0];
      for (const factor of CREWS)
        for (let run = 0; run < 60; run += 1) {
          const { low, high } = slownessFrom(touches(count, factor, 0, random));
          held += factor >= low && factor <= high ? 1 : 0;
          all += 1;
        }
      expect(held / all, `${count} checks`).toBeGreaterThan(0.8);
    }
  });

  it('moves by 2 % at most for one that contradicts two others, until another agrees with it', () => {
    const right: Touch[] = [
      { dried: 0.5, found: 'grey' },
      { dried: 1.1, found: 'white' },
    ];
    const before = slownessFrom(right).factor;
    for (const wrong of [
      { dried: 1.3, found: 'grey' },
      { dried: 2, found: 'grey' },
      { dried: 0.3, found: 'white' },
    ] as const) {
      const off = (count: number) =>
        Math.abs(Math.log(slownessFrom([...right, ...Array(count).fill(wrong)]).factor / before));
      expect(off(1)).toBeLessThanOrEqual(Math.log(1.02) + 1e-12);
    }
    const twice = slownessFrom([...right, { dried: 1.3, found: 'grey' }, { dried: 1.3, found: 'grey' }]).factor;
    expect(twice / before).toBeGreaterThan(1.2);
  });
});
