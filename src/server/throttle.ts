import { RateLimiterPostgres } from 'rate-limiter-flexible';
import { QueryTypes } from 'sequelize';
import { foldName } from '../core/log/foldName';
import { connection } from '../db/connection';
import { acrossFirms } from '../db/firm';
import { knownDevice, rememberDevice } from './knownDevice';

const SPAN_S = 15 * 60;
/**
 * Wrong passwords in a quarter of an hour: of one account from one address, from one address, for one account; and of one account on a
 * device on which it was signed in before. Nobody else can use that allowance up.
 */
const MOST = { pair: 10, address: 60, account: 100, device: 10 } as const;

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

const accountOf = (firm: string, name: string): string => `${firm} ${foldName(name).slice(0, 80)}`;

/** The limits that count for whoever sends this request. */
async function keysOf(firm: string, name: string, address: string): Promise<Readonly<Partial<Record<Limit, string>>>> {
  const account = accountOf(firm, name);
  const device = await knownDevice(account);
  return device === undefined
    ? { pair: `${account} ${address}`, address, account }
    : { device: `${account} ${device}` };
}

/**
 * Counts a try, before the password is looked at: many at once are as many.
 *
 * @param firm its id, or what was typed for a firm that there is not
 * @returns minutes until a password may be tried again; 0 when this one may be looked at
 */
export async function countTry(firm: string, name: string, address: string): Promise<number> {
  const keys = await keysOf(firm, name, address);
  const waits = await Promise.all(
    [...limits()].map(async ([kind, limit]) => {
      const key = keys[kind];
      if (key === undefined) return 0;
      const { consumedPoints, msBeforeNext } = await limit.penalty(key, 1);
      return consumedPoints > MOST[kind] ? Math.max(1, Math.ceil(msBeforeNext / 60_000)) : 0;
    }),
  );
  return Math.max(...waits);
}

/** A right password: the try was none, what was mistyped before from there is forgotten, and the device is known from now on. */
export async function forgetTry(firm: string, name: string, address: string): Promise<void> {
  const keys = await keysOf(firm, name, address);
  await Promise.all(
    [...limits()].map(([kind, limit]) => {
      const key = keys[kind];
      if (key === undefined) return undefined;
      return kind === 'pair' || kind === 'device' ? limit.delete(key) : limit.reward(key, 1);
    }),
  );
  await rememberDevice(accountOf(firm, name));
}

/** Limits that count for one account; their keys are the account, and for some what it was tried from. */
const OF_ACCOUNT = ['account', 'pair', 'device'] as const;

/** Returns the keys of a firm's accounts that are locked out, each with its account. */
async function lockedKeys(firm: string): Promise<readonly { readonly key: string; readonly account: string }[]> {
  // No company's role reads this table.
  const rows = await acrossFirms(() =>
    connection().query<{ key: string; points: number }>(
      `SELECT key, points FROM sign_in_failures
       WHERE expire > $2 AND EXISTS (SELECT FROM unnest($1::text[]) AS start WHERE starts_with(key, start)) ORDER BY key`,
      { type: QueryTypes.SELECT, bind: [OF_ACCOUNT.map((kind) => `${kind}:${firm} `), Date.now()] },
    ),
  );
  return rows.flatMap(({ key, points }) => {
    const kind = OF_ACCOUNT.find((own) => key.startsWith(`${own}:`));
    if (!kind || points < MOST[kind]) return [];
    const own = key.slice(kind.length + 1);
    return [{ key, account: kind === 'account' ? own : own.slice(0, own.lastIndexOf(' ')) }];
  });
}

/** Returns the names, of those given, that are locked out on some device or on all new devices. */
export async function lockedOut(firm: string, names: readonly string[]): Promise<readonly string[]> {
  const accounts = new Set((await lockedKeys(firm)).map(({ account }) => account));
  return names.filter((name) => accounts.has(accountOf(firm, name)));
}

/** Ends every lock-out of an account. */
export async function letTryAgain(firm: string, name: string): Promise<void> {
  const keys = (await lockedKeys(firm)).flatMap(({ key, account }) => (account === accountOf(firm, name) ? [key] : []));
  await acrossFirms(() => connection().query('DELETE FROM sign_in_failures WHERE key = ANY($1)', { bind: [keys] }));
}
