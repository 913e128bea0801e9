import { BaseError, type QueryOptions, type Sequelize, type Transaction } from 'sequelize';
import { firmOfNow, readingOfNow } from './firm';

/** May read and write rows of the firm that a transaction names, and no others; the migrations make it. */
export const ROWS_ROLE = 'oak_tally_rows';

/** The last query of a transaction that is read in. */
const turns = new WeakMap<Transaction, Promise<unknown>>();

/** A connection carries one query at a time. */
function inTurn(reading: Transaction, run: () => Promise<unknown>): Promise<unknown> {
  const turn = (turns.get(reading) ?? Promise.resolve()).then(run);
  turns.set(
    reading,
    turn.catch(() => undefined),
  );
  return turn;
}

/** An error of the database goes on without what was asked and with what: it may be printed anywhere. */
function throwWordless(error: unknown): never {
  if (error instanceof BaseError) {
    const { original } = error as BaseError & { readonly original?: Error & { readonly code?: string } };
    for (const part of [error, original]) for (const word of WORDS) if (part) Reflect.deleteProperty(part, word);
    // Of data that does not fit PostgreSQL says in its message what it was.
    if (original?.code?.startsWith('22'))
      for (const part of [error, original]) {
        part.stack = part.stack?.replace(part.message, DID_NOT_FIT);
        part.message = DID_NOT_FIT;
      }
  }
  throw error;
}
const WORDS = ['sql', 'parameters', 'detail', 'where', 'internalQuery', 'hint', 'fields', 'errors', 'value'];
const DID_NOT_FIT = 'the database refused what was sent';

/**
 * Lets the database guard the rows of firms: what is done for one runs in a transaction that names it, under a role whose
 * rows are limited by it. Both end with the transaction, so that a pool between here and the database may hand connections on.
 */
export function guardRows(sequelize: Sequelize): void {
  const plain = sequelize.query.bind(sequelize) as (sql: unknown, options?: QueryOptions) => Promise<unknown>;
  const query = (sql: unknown, options?: QueryOptions) => plain(sql, options).catch(throwWordless);
  const transaction = sequelize.transaction.bind(sequelize) as (
    run: (transaction: Transaction) => Promise<unknown>,
  ) => Promise<unknown>;
  const name = (firm: string, own: Transaction) =>
    query(`SELECT set_config('oak.firm', $1, true), set_config('role', '${ROWS_ROLE}', true)`, {
      bind: [firm],
      transaction: own,
    });
  const guarded = (run: (own: Transaction) => Promise<unknown>): Promise<unknown> => {
    const firm = firmOfNow();
    return transaction(async (own) => {
      if (firm !== undefined) await name(firm, own);
      return run(own);
    });
  };
  Object.assign(sequelize, {
    transaction: guarded,
    query: (sql: unknown, options?: QueryOptions) => {
      if (options?.transaction || firmOfNow() === undefined) return query(sql, options);
      const reading = readingOfNow();
      if (reading) return inTurn(reading, () => query(sql, { ...options, transaction: reading }));
      return guarded((own) => query(sql, { ...options, transaction: own }));
    },
  });
}
