import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logEntry } from '../../../tests/houses/logEntry';
import { lastsDays, type Moved, missingOf, movedIn, stockOf } from './stock';

const DAY = 86_400_000;
const move = (kind: Moved['kind'], amount: number, day: number): Moved => ({
  good: 'taping',
  kind,
  amount,
  at: day * DAY,
});
const one = (moves: readonly Moved[], day = 100) => stockOf(moves, day * DAY)[0];

describe('what there is of goods', () => {
  it('is what came, less what went on and what was thrown away, by hand', () => {
    expect(
      one([move('delivered', 50, 1), move('used', 12, 2), move('thrown', 3, 3), move('used', 5, 4)]),
    ).toMatchObject({
      delivered: 50,
      used: 17,
      thrown: 3,
      onHand: 30,
      found: 0,
    });
  });

  it('is what a count says from then on, with the difference', () => {
    const log = [move('delivered', 50, 1), move('used', 12, 2), move('counted', 35, 3), move('used', 5, 4)];
    expect(one(log)).toMatchObject({ onHand: 30, found: -3 });
    // What was used before the count and written down after it moves the difference, not what there is.
    expect(one([...log, move('used', 2, 2.5)])).toMatchObject({ onHand: 30, found: -1 });
  });

  it('is kept over any sequence: what came is on the wall, thrown away, there, or found missing', () => {
    const anyMove = fc.record({
      kind: fc.constantFrom('delivered' as const, 'thrown' as const, 'counted' as const, 'used' as const),
      amount: fc.integer({ min: 1, max: 100 }),
      day: fc.integer({ min: 0, max: 60 }),
    });
    fc.assert(
      fc.property(
        fc.array(anyMove, { minLength: 1, maxLength: 30 }),
        fc.integer({ min: 0, max: 1000 }),
        (some, seed) => {
          const moves = some.map(({ kind, amount, day }, index) => move(kind, amount, day + index / 1000));
          const stock = one(moves);
          if (!stock) throw new Error('something was said');
          const { delivered, thrown, used, found, onHand } = stock;
          expect(delivered - thrown - used + found).toBeCloseTo(onHand, 9);
          const turned = moves.toSorted((a, b) => ((a.amount * seed) % 7) - ((b.amount * seed) % 7));
          expect(one(turned)).toEqual(stock);
        },
      ),
    );
  });

  it('lasts at the pace of the last week, and is ordered for what is still to go on', () => {
    const stock = one([move('delivered', 50, 1), move('used', 14, 97)], 100);
    expect(stock && lastsDays(stock)).toBeCloseTo(36 / 2, 9);
    expect(one([move('delivered', 50, 1)]) && lastsDays({ onHand: 50, lastWeek: 0 })).toBeUndefined();
    // 86 are still to go on and a tenth is lost, of which 36 are there.
    expect(missingOf(86, 0.1, { onHand: 36 })).toBeCloseTo(86 * 1.1 - 36, 9);
    expect(missingOf(0, 0.1, { onHand: 36 })).toBe(0);
    expect(missingOf(100, 0, { onHand: -5 })).toBe(100);
  });

  it('counts in the order of recording where all was said at one instant', () => {
    const said = (what: 'delivered' | 'counted', amount: number) =>
      logEntry({ kind: 'stock', at: DAY, payload: { good: 'taping', what, amount } });
    const [came, counted] = [said('delivered', 50), said('counted', 20)];
    for (const entries of [
      [came, counted],
      [counted, came],
    ])
      expect(one(movedIn(entries))).toMatchObject({ onHand: 20, found: -30 });
  });

  it('is nothing of what is still to come', () => {
    expect(one([move('delivered', 50, 101)], 100)).toBeUndefined();
  });
});
