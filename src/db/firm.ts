import { AsyncLocalStorage } from 'node:async_hooks';
import type { Transaction } from 'sequelize';

interface Ours {
  readonly firm: string;
  /** The transaction that is read in, where several things are read together. */
  readonly reading?: Transaction;
}
type Context = AsyncLocalStorage<Ours | undefined>;
// One per process, also when several bundles of the server load this module.
const holder: { oakFirm?: Context } = globalThis as typeof globalThis & { oakFirm?: Context };

function context(): Context {
  holder.oakFirm ??= new AsyncLocalStorage();
  return holder.oakFirm;
}

/**
 * Does something for one firm: every query meanwhile asks for its rows only, and the database shows it no others.
 *
 * @param firm its id
 */
export const inFirm = <Value>(firm: string, run: () => Value): Value => context().run({ firm }, run);

/** Does something for the server as a whole: finds out of which firm somebody is, or wakes those of all firms. */
export const acrossFirms = <Value>(run: () => Value): Value => context().run(undefined, run);

/** Reads within a transaction of the firm for which something is done now. */
export const inReading = <Value>(reading: Transaction, run: () => Value): Value =>
  context().run({ firm: firm(), reading }, run);

/** The firm for which something is done now, or undefined where it is done for the server as a whole. */
export const firmOfNow = (): string | undefined => context().getStore()?.firm;

/** The transaction that is read in now. */
export const readingOfNow = (): Transaction | undefined => context().getStore()?.reading;

/** The firm for which something is done now; what is of a firm is never asked for without one. */
export function firm(): string {
  const id = firmOfNow();
  if (id === undefined) throw new Error('what belongs to a firm is asked for by nobody of a firm');
  return id;
}
