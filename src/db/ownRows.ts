import type { QueryOptions, Sequelize, Transaction } from 'sequelize';
import { firmOfNow, readingOfNow } from './firm';

/** May read and write rows of the firm that a transaction names, and no others; the migrations make it. */
export const ROWS_ROLE = 'oak_tally_rows';

/**
 * Lets the database guard the rows of firms: what is done for one runs in a transaction that names it, under a role whose
 * rows are limited by it. Both end with the transaction, so that a pool between here and the database may hand connections on.
 */
export function guardRows(sequelize: Sequelize): void {
  const query = sequelize.query.bind(sequelize) as (sql: unknown, options?: QueryOptions) => Promise<unknown>;
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
      if (reading) return query(sql, { ...options, transaction: reading });
      return guarded((own) => query(sql, { ...options, transaction: own }));
    },
  });
}
