import { expose } from 'comlink';
import { priceAnswers } from '../core/estimate/priceAnswers';

/** The price of every answer, away from the page. */
const prices = { priceAnswers };
export type PricesWorker = typeof prices;

expose(prices);
