import { getIronSession, type SessionOptions } from 'iron-session';
import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import { now } from '../db/clock';
import { inFirm } from '../db/firm';
import type { Authenticated, Member } from '../db/people';
import { addSession, endSession, findSession } from '../db/sessions';
import { noteMember } from './requestLog';

interface SessionContent {
  /** What the database knows this sign-in by. */
  token?: string;
  /** When the cookie was last set, ms since 1970. */
  setAt?: number;
}

const DAY_S = 86_400;
/** As long as browsers keep a cookie. How long a sign-in holds without being used, the database knows. */
const COOKIE_DAYS = 400;
/** A cookie that is used is set anew so often. */
const SET_ANEW_MS = 7 * DAY_S * 1000;
const LONGEST_DEVICE = 200;

function options(): SessionOptions {
  const password = process.env.SESSION_SECRET;
  if (!password) throw new Error('SESSION_SECRET is not set; start the application with npm start');
  return {
    password,
    cookieName: 'oak-session',
    ttl: COOKIE_DAYS * DAY_S,
    // Plain HTTP is served on loopback only; behind TLS, OAK_SECURE_COOKIES=1 keeps the cookie to it.
    cookieOptions: { httpOnly: true, sameSite: 'lax', secure: process.env.OAK_SECURE_COOKIES === '1' },
  };
}

const session = async () => getIronSession<SessionContent>(await cookies(), options());

/** The session of this request, or undefined. */
export const currentSession = cache(async () => {
  const { token } = await session();
  const found = token === undefined ? undefined : await findSession(token, now());
  if (found) noteMember(found.person);
  return found;
});

/** Whether this request comes from a device whose sign-in was ended, or ran out. */
export const wasSignedIn = async (): Promise<boolean> =>
  (await session()).token !== undefined && (await currentSession()) === undefined;

/** Sets the cookie of a sign-in that is used anew from time to time: it never runs out by itself. For route handlers, which may set one. */
export async function renewSession(): Promise<void> {
  const current = await session();
  if (current.token === undefined || now() - (current.setAt ?? 0) < SET_ANEW_MS) return;
  current.setAt = now();
  await current.save();
}

/** Who sent this request, or undefined. */
export const signedIn = async (): Promise<Member | undefined> => (await currentSession())?.person;

/** Who sent this request; nobody is sent to the sign-in page. */
export async function requirePerson(): Promise<Member> {
  return (await signedIn()) ?? redirect('/signin');
}

/** Signs a person in, on the device that sent this request; false when their password is another one by now. */
export async function openSession({ id, firm, passwordHash }: Member & Partial<Authenticated>): Promise<boolean> {
  const device = (await headers()).get('user-agent')?.slice(0, LONGEST_DEVICE) ?? 'unknown';
  const current = await session();
  const token = await inFirm(firm, () => addSession(id, device, now(), passwordHash));
  if (token === undefined) return false;
  current.token = token;
  current.setAt = now();
  await current.save();
  return true;
}

/** Ends the session of this request, also in the database: its cookie is worth nothing from now on. */
export async function closeSession(): Promise<void> {
  const current = await currentSession();
  if (current) await inFirm(current.person.firm, () => endSession(current.id));
  (await session()).destroy();
}

/** Where this request comes from: the last one who passed it on says so. */
export async function addressOfSender(): Promise<string> {
  const passed = (await headers()).get('x-forwarded-for')?.split(',').at(-1)?.trim();
  return passed === undefined || passed === '' ? 'unknown' : passed;
}
