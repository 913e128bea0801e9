import { describe, expect, it } from 'vitest';
import { houseHeadSchema } from '@/core/house/schema';
import { LEVELS } from '@/core/room/level';
import { cardsWith, guideCards } from './guideCards';

const houseOf = (unit: 'in' | 'mm', method: object = {}) => ({
  house: houseHeadSchema.parse({ name: 'House', unit, method: { level: LEVELS[4], ...method } }),
});
const textOf = (cards: ReturnType<typeof guideCards>) => JSON.stringify(cards);

describe('the field guide', () => {
  it('says what the method of the house says: a chosen knife changes its card', () => {
    const flat = (method?: object) => textOf(guideCards(houseOf('in', method)).filter(({ id }) => id === 'flat'));
    expect(flat()).toContain('10 in knife');
    expect(flat({ tools: 'boxes' })).toContain('flat box');
    expect(flat({ tools: 'boxes' })).not.toBe(flat());
  });

  it('draws every coat with those below it', () => {
    for (const { kind, steps } of guideCards(houseOf('in'))) {
      const drawn = steps.map(({ layers }) => layers.length).filter((count) => count > 0);
      expect(drawn).toEqual(drawn.map((_, index) => index + 1));
      if (kind) expect(drawn.length).toBeGreaterThan(0);
    }
  });

  it('has no inch in a metric house', () => {
    expect(textOf(guideCards(houseOf('mm')))).not.toMatch(/\d (?:in|ft|gal)\b|″|′/);
  });

  it('finds the cards in which all words stand', () => {
    const cards = guideCards(houseOf('in'));
    expect(cardsWith(cards, 'stilts').map(({ id }) => id)).toEqual(['safety']);
    expect(cardsWith(cards, '  ')).toEqual(cards);
    expect(cardsWith(cards, 'stilts butter')).toEqual([]);
    expect(cardsWith(cards, 'BUBBLE tape').length).toBeGreaterThan(1);
  });
});
