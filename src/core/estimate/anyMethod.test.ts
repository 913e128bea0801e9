import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyChoices } from '../../../tests/houses/anyChoices';
import { AIR, head, rooms } from '../../../tests/houses/hallAndDen';
import type { HouseHead } from '../house/schema';
import { conflictsIn } from './conflictsIn';
import { withPatch } from './methodPatch';
import { priceOf } from './priceOf';

describe('any method', () => {
  it('is mended touch by touch until nothing forbidden is left', () => {
    fc.assert(
      fc.property(anyChoices(), fc.constantFrom(3, 4, 5), (choices, level) => {
        let method: HouseHead['method'] = { ...choices, level };
        for (let touch = 0; touch < 40; touch += 1) {
          const forbidden = conflictsIn({ unit: 'in', method }, rooms, AIR).filter(
            ({ severity }) => severity === 'forbidden',
          );
          const [first] = forbidden;
          if (!first) return;
          method = withPatch(method, first.mend);
        }
        throw new Error(`never mended: ${JSON.stringify(choices)}`);
      }),
      { numRuns: 60 },
    );
  });

  it('has a price: hours, mud and waits that are numbers, none below nothing', () => {
    fc.assert(
      fc.property(anyChoices(), fc.constantFrom(0, 1, 2, 3, 4, 5), (choices, level) => {
        const price = priceOf({ unit: 'in', method: { ...choices, level } }, rooms, AIR);
        for (const value of Object.values(price)) {
          expect(Number.isFinite(value)).toBe(true);
          expect(value).toBeGreaterThanOrEqual(0);
        }
        expect(price.sandingHours).toBeLessThanOrEqual(price.hours);
        expect(price.nights).toBeLessThanOrEqual(price.rounds);
      }),
      { numRuns: 60 },
    );
  });

  it('costs the same whether it is the house’s or every room’s own', () => {
    fc.assert(
      fc.property(anyChoices(), (choices) => {
        const own = rooms.map(({ room, tally }) => ({ room: { ...room, method: choices }, tally }));
        const byRooms = priceOf(head({}), own, AIR);
        const byHouse = priceOf(head(choices), rooms, AIR);
        expect(byRooms.litres).toBeCloseTo(byHouse.litres, 9);
        expect(byRooms.hours).toBeCloseTo(byHouse.hours, 9);
      }),
      { numRuns: 40 },
    );
  });
});
