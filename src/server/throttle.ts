import { RateLimiterPostgres } from 'rate-limiter-flexible';
import { foldName } from '../core/log/foldName';
import { connection } from '../db/connection';

const SPAN_S = 15 * 60;
/** Wrong passwords in a quarter of an hour: of one account from one address, from one address, for one account. */
const MOST = { pair: 10, address: 60, account: 100 } as const;

type Limit = keyof typeof MOST;

// One per process; its counts stand in the database, which all servers share.
const holder: { oakLimits?: ReadonlyMap<Limit, RateLimiterPostgres> } = globalThis as typeof globalThis & {
  oakLimits?: ReadonlyMap<Limit, RateLimiterPostgres>;
};

function limits(): ReadonlyMap<Limit, RateLimiterPostgres> {
  holder.oakLimits ??= new Map(
    Object.entries(MOST).map(([kind, points]) => [
      kind as Limit,
      new RateLimiterPostgres({
        storeClient: connection(),
        storeType: 'sequelize',
        tableName: 'sign_in_failures',
        tableCreated: true,
        keyPrefix: kind,
        points,
        duration: SPAN_S,
      }),
    ]),
  );
  return holder.oakLimits;
}

const keysOf = (firm: string, name: string, address: string): Readonly<Record<Limit, string>> => {
  const account = `${firm} ${foldName(name).slice(0, 80)}`;
  return { pair: `${account} ${address}`, address, account };
};

/**
 * Counts a try, before the password is looked at: many at once are as many.
 *
 * @param firm its id, or what was typed for a firm that there is not
 * @returns minutes until a password may be tried again; 0 when this one may be looked at
 */
export async function countTry(firm: string, name: string, address: string): Promise<number> {
  const keys = keysOf(firm, name, address);
  const waits = await Promise.all(
    [...limits()].map(async ([kind, limit]) => {
      const { consumedPoints, msBeforeNext } = await limit.penalty(keys[kind], 1);
      return consumedPoints > MOST[kind] ? Math.max(1, Math.ceil(msBeforeNext / 60_000)) : 0;
    }),
  );
  return Math.max(...waits);
}

/** A right password: the try was none, and what was mistyped before from there is forgotten. */
export async function forgetTry(firm: string, name: string, address: string): Promise<void> {
  const keys = keysOf(firm, name, address);
  await Promise.all(
    [...limits()].map(([kind, limit]) => (kind === 'pair' ? limit.delete(keys.pair) : limit.reward(keys[kind], 1))),
  );
}
