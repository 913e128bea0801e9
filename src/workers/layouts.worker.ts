import { expose } from 'comlink';
import { betterStock } from '../core/estimate/betterStock';
import { priceOfLayouts } from '../core/estimate/priceOfLayouts';

/** The search of layouts, away from the page: typing never waits for it. */
const layouts = { priceOfLayouts, betterStock };
export type LayoutsWorker = typeof layouts;

expose(layouts);
