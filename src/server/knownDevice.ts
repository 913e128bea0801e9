import { randomUUID } from 'node:crypto';
import { getIronSession } from 'iron-session';
import { cookies } from 'next/headers';

/** What a device keeps, sealed, of who signed in on it. */
interface DeviceContent {
  id?: string;
  /** Accounts, the last one first. */
  accounts?: string[];
}

const KEPT_S = 400 * 86_400;
const MOST_ACCOUNTS = 10;

const content = async () =>
  getIronSession<DeviceContent>(await cookies(), {
    password: process.env.SESSION_SECRET ?? '',
    cookieName: 'oak-device',
    ttl: KEPT_S,
    cookieOptions: { httpOnly: true, sameSite: 'lax', secure: process.env.OAK_SECURE_COOKIES === '1' },
  });

/** Returns the id of the device that sent this request, if this account was signed in on it before. */
export async function knownDevice(account: string): Promise<string | undefined> {
  const { id, accounts = [] } = await content();
  return accounts.includes(account) ? id : undefined;
}

/** Remembers on the device that sent this request that an account was signed in on it. */
export async function rememberDevice(account: string): Promise<void> {
  const device = await content();
  device.id ??= randomUUID();
  device.accounts = [account, ...(device.accounts ?? []).filter((own) => own !== account)].slice(0, MOST_ACCOUNTS);
  await device.save();
}
