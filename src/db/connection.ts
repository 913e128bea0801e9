import { ConnectionError, DatabaseError, Sequelize } from 'sequelize';
import { inReading, readingOfNow } from './firm';
import { guardRows } from './ownRows';

/** Nothing computes longer in the database: readings are recorded in slices; ms. */
const LONGEST_STATEMENT_MS = 9000;
/** No statement here is long enough to be worth compiling first. */
const SETTINGS = '-c jit=off';
/** A request that waits longer for a connection answers that the database does not; ms. */
const LONGEST_WAIT_MS = 3000;
const POOL = { max: 10, idle: 30_000, acquire: LONGEST_WAIT_MS };

// One pool per process, also when the development server loads this module again.
const holder: { oakSequelize?: Sequelize } = globalThis as typeof globalThis & { oakSequelize?: Sequelize };

/** The connection to the database at `DATABASE_URL`. */
export function connection(): Sequelize {
  holder.oakSequelize ??= connected();
  return holder.oakSequelize;
}

/** Closes the connection; whoever asks for one again gets a new one. */
export async function closeConnection(): Promise<void> {
  const { oakSequelize } = holder;
  delete holder.oakSequelize;
  await oakSequelize?.close();
}

function connected(): Sequelize {
  const sequelize = new Sequelize(databaseUrl(), {
    dialect: 'postgres',
    logging: false,
    pool: POOL,
    dialectOptions: {
      options: SETTINGS,
      connectionTimeoutMillis: LONGEST_WAIT_MS,
      statement_timeout: LONGEST_STATEMENT_MS,
      query_timeout: LONGEST_STATEMENT_MS,
      keepAlive: true,
    },
  });
  guardRows(sequelize);
  return sequelize;
}

/**
 * Reads several things of a firm together, in one transaction and over one connection: that in which they are read already, where there
 * is one. Nothing is written meanwhile.
 */
export const readTogether = <Value>(run: () => Promise<Value>): Promise<Value> =>
  readingOfNow() ? run() : connection().transaction((reading) => inReading(reading, run));

/** What PostgreSQL says while it stops, starts or has no room left, and when a statement took too long. */
const NOT_NOW = /^(08...|57P0[1-5]|57014|55P03|53...)$/;

/** Whether an error means that the database cannot be reached or takes nothing now, rather than that something is wrong. */
export function isConnectionLost(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  if (!(error instanceof DatabaseError)) return false;
  const { code, message } = error.original as Error & { readonly code?: string };
  return NOT_NOW.test(code ?? '') || /Connection terminated|ECONNRESET|EPIPE|read timeout/.test(message);
}

/** Where the database is. */
export function databaseUrl(): string {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the application with npm start');
  return url;
}
