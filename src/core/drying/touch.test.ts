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

/**
 * The same estimate by another way: sums over a finer grid, the middle between two points of it, straight from the sentences: a
 * touch finds white from the time on, patchy in the last fifth of it, one in seven finds anything, and crews differ by 1.35.
 */
function reference(touches: readonly Touch[], spread: number, share: number): number {
  const points = 40_000;
  const logs = Array.from({ length: points }, (_, index) => ((index + 0.5) / points - 0.5) * 2 * Math.log(4));
  const logistic = (x: number) => 1 / (1 + Math.exp(-1.702 * x));
  const weights = logs.map((log) => {
    let weight = Math.exp(-((log / spread) ** 2) / 2);
    for (const { dried, found } of touches) {
      const over = Math.log(Math.max(dried, 1e-6)) - log;
      const [white, grey] = [logistic(over / 0.12), logistic((-Math.log(1.25) - over) / 0.12)];
      const chance = found === 'white' ? white : found === 'grey' ? grey : Math.max(0, 1 - white - grey);
      weight *= 0.85 * chance + 0.05;
    }
    return weight;
  });
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  let sum = 0;
  const at = weights.findIndex((weight) => {
    sum += weight;
    return sum >= share * all;
  });
  return Math.exp(logs[at] ?? 0);
}

describe('an estimate from touch checks', () => {
  it.each<readonly [string, readonly Touch[]]>([
    ['one grey that should be white', [{ dried: 1.3, found: 'grey' }]],
    ['one patchy', [{ dried: 0.9, found: 'patchy' }]],
    ['one white before its time', [{ dried: 0.6, found: 'white' }]],
    ['two that agree', said('1.2 grey', '1.6 patchy')],
    ['two that contradict each other', said('0.5 white', '1.5 grey')],
    ['three that say what the clock says', said('0.7 grey', '0.75 grey', '1.6 white')],
    ['on a coat that just went on', said('0 grey')],
  ])('is the middle of what is left possible: %s', (_words, touches) => {
    const { factor, low, high } = slownessFrom(touches);
    expect(factor).toBeCloseTo(reference(touches, Math.log(1.35), 0.5), 3);
    // At the ends of the range the grid is coarser.
    expect(low / Math.min(factor, reference(touches, Math.log(2.5), 0.1))).toBeCloseTo(1, 2);
    expect(high / Math.max(factor, reference(touches, Math.log(2.5), 0.9))).toBeCloseTo(1, 2);
  });

  // The clock is right, or slow; one more says otherwise.
  it.each([
    [said('0.5 grey', '1.1 white'), '1.2 grey', 1.02],
    [said('0.5 grey', '1.1 white'), '0.6 white', 1 / 1.02],
    [said('1.2 grey', '1.6 patchy'), '0.8 white', 1 / 1.02],
    [said('0.6 white', '0.5 patchy'), '1 grey', 1.02],
    [said('0.6 white', '0.5 patchy'), '1.4 patchy', 1.02],
  ])('is moved by 2 %% by one against %j: %s', (others, one, moved) => {
    const before = slownessFrom(others).factor;
    expect(slownessFrom([...others, ...said(one)]).factor / before).toBeCloseTo(moved, 9);
    // Of all of them it is the one that the others believe least, wherever it stands.
    expect(slownessFrom([...said(one), ...others]).factor / before).toBeCloseTo(moved, 9);
  });
});

/** Touches as one writes them down: '1.2 grey'. */
function said(...words: readonly string[]): readonly Touch[] {
  return words.map((one) => {
    const [dried, found] = one.split(' ');
    return { dried: Number(dried), found: found as Found };
  });
}

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
