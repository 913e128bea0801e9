import { describe, expect, it } from 'vitest';
import { NO_CATALOGUE, waresOf } from '@/core/materials/catalogue';
import { type Catalogue, catalogueSchema } from '@/core/materials/catalogueSchema';
import { type CatalogueTexts, catalogueIn, textsOf } from './catalogueTexts';

const FULL: Catalogue = {
  products: {
    taping: {
      called: 'Blue pail',
      pack: 18.92705892,
      price: 18.5,
      leadDays: 3,
      waste: 0.15,
      shrinkage: 0.2,
      use: 1.12,
    },
    paper: { pack: 76_200 },
    screws: { pack: 1000, price: 31 },
  },
  coverage: 6_135_000,
  sticks: [
    { length: 2438.4, price: 3.2 },
    { length: 3048, price: 4.1 },
  ],
  offcuts: [
    { profile: 'square', length: 1219.2 },
    { profile: 'square', length: 1066.8 },
    { profile: 'J', length: 914.4 },
  ],
};
const read = (texts: CatalogueTexts) => {
  const reading = catalogueIn(texts, 'in');
  if (!reading.ok) throw new Error(`${reading.field}: ${reading.reason}`);
  return reading.catalogue;
};
const typed = (change: Partial<CatalogueTexts>) => catalogueIn({ ...textsOf(NO_CATALOGUE, 'in'), ...change }, 'in');
const ofTaping = (texts: Partial<CatalogueTexts['products']['taping']>) => {
  const { products } = textsOf(NO_CATALOGUE, 'in');
  return typed({ products: { ...products, taping: { ...products.taping, ...texts } } });
};

describe('what is bought, as it is typed', () => {
  it('is read as it is written, in feet and gallons', () => {
    const texts = textsOf(FULL, 'in');
    expect(texts.products.taping).toEqual({
      called: 'Blue pail',
      pack: '5',
      price: '18.5',
      leadDays: '3',
      waste: '15',
      shrinkage: '20',
      use: '1.12',
    });
    expect(texts.products.paper.pack).toBe('250');
    expect(texts.sticks).toBe("8' = 3.2, 10' = 4.1");
    const again = read(texts);
    const near = (length: number) => expect.closeTo(length, 6);
    expect(again.sticks).toEqual(FULL.sticks?.map((stick) => ({ ...stick, length: near(stick.length) })));
    expect(again.offcuts).toEqual(FULL.offcuts.map((left) => ({ ...left, length: near(left.length) })));
    expect(again.products.taping).toMatchObject({
      called: 'Blue pail',
      price: 18.5,
      leadDays: 3,
      waste: 0.15,
      use: 1.12,
    });
    expect(again.products.taping?.pack).toBeCloseTo(18.927, 3);
    expect(again.coverage).toBeCloseTo(6_135_000, -5);
    expect(catalogueSchema.parse(again)).toEqual(again);
  });

  it('is as usual where nothing is said', () => {
    expect(read(textsOf(NO_CATALOGUE, 'in'))).toEqual(NO_CATALOGUE);
    expect(waresOf(NO_CATALOGUE, 'mm').of.taping).toMatchObject({ pack: 17, waste: 0.1, use: 1, price: undefined });
  });

  it.each([
    ['no coverage', typed({ coverage: '0' }), 'coverage', 'must be greater than 0'],
    [
      'a price of some sticks only',
      typed({ sticks: "8' = 3, 10'" }),
      'sticks',
      'say the price of every stick, or of none',
    ],
    ['a stick that is none', typed({ sticks: "90'" }), 'sticks', '"90\'" is no length of a stick'],
    [
      'a piece that cannot be read',
      typed({ offcuts: { ...textsOf(NO_CATALOGUE, 'in').offcuts, square: '4q' } }),
      'offcuts.square',
      '"4q": "q" does not belong in a length',
    ],
    ['an empty pail', ofTaping({ pack: '0' }), 'taping.pack', 'must be greater than 0'],
    ['words for a price', ofTaping({ price: 'dear' }), 'taping.price', '"dear" is no number'],
    ['half a day', ofTaping({ leadDays: '1.5' }), 'taping.leadDays', 'are whole days'],
    ['more waste than mud', ofTaping({ waste: '80' }), 'taping.waste', 'must be at most 50'],
    ['ten times as much', ofTaping({ use: '10' }), 'taping.use', 'must be at most 3'],
  ])('refuses %s where it stands', (_words, reading, field, reason) => {
    expect(reading).toEqual({ ok: false, field, reason });
  });
});
