import { MUD_PRODUCTS } from '../method/coat';

/** What a crew has a store of: mud by product and sealer in litres, tape in mm. */
export const GOODS = [...MUD_PRODUCTS, 'paper', 'mesh', 'sealer'] as const;
export type Good = (typeof GOODS)[number];
