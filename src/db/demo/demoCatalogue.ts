import type { Catalogue } from '../../core/materials/catalogueSchema';
import { MM_PER_FOOT } from '../../core/measure/unit';

/** What the demo's firm buys: prices of some supply house, made up, and three pieces of bead in the van. */
export const DEMO_CATALOGUE: Catalogue = {
  products: {
    taping: { price: 17.5 },
    'all-purpose': { price: 16 },
    topping: { price: 18, leadDays: 2 },
    setting: { price: 15 },
    paper: { price: 9 },
    sealer: { price: 68, leadDays: 3 },
    screws: { price: 34 },
  },
  sticks: [
    { length: 8 * MM_PER_FOOT, price: 3.2 },
    { length: 10 * MM_PER_FOOT, price: 4.1 },
    { length: 12 * MM_PER_FOOT, price: 5 },
  ],
  offcuts: [
    { profile: 'square', length: 7 * MM_PER_FOOT },
    { profile: 'square', length: 3.25 * MM_PER_FOOT },
    { profile: 'bullnose', length: 4 * MM_PER_FOOT },
  ],
};
