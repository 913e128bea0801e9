import { ConnectionError, Sequelize } from 'sequelize';

/** No statement here is long enough to be worth compiling first. */
const SETTINGS = '-c jit=off';
const POOL = { max: 10, idle: 30_000 };

// One pool per process, also when the development server loads this module again.
const holder: { oakSequelize?: Sequelize } = globalThis as typeof globalThis & { oakSequelize?: Sequelize };

/** The connection to the database at `DATABASE_URL`. */
export function connection(): Sequelize {
  holder.oakSequelize ??= new Sequelize(databaseUrl(), {
    dialect: 'postgres',
    logging: false,
    pool: POOL,
    dialectOptions: { options: SETTINGS },
  });
  return holder.oakSequelize;
}

/** Whether an error means that the database cannot be reached, rather than that something is wrong. */
export const isConnectionLost = (error: unknown): boolean => error instanceof ConnectionError;

/** Where the database is. */
export function databaseUrl(): string {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the application with npm start');
  return url;
}
