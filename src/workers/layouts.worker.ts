import { expose } from 'comlink';
import { priceOfLayouts } from '../core/estimate/priceOfLayouts';

/** The search of layouts, away from the page: typing never waits for it. */
const layouts = { priceOfLayouts };
export type LayoutsWorker = typeof layouts;

expose(layouts);
