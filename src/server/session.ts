import { getIronSession, type SessionOptions } from 'iron-session';
import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import type { Person } from '../core/log/person';
import { findPerson } from '../db/people';

interface SessionContent {
  person?: string;
}

const DAY_S = 86_400;

function options(): SessionOptions {
  const password = process.env.SESSION_SECRET;
  if (!password) throw new Error('SESSION_SECRET is not set; start the application with npm start');
  return {
    password,
    cookieName: 'oak-session',
    ttl: 30 * DAY_S,
    // Plain HTTP is served on loopback only; behind TLS, OAK_SECURE_COOKIES=1 keeps the cookie to it.
    cookieOptions: { httpOnly: true, sameSite: 'lax', secure: process.env.OAK_SECURE_COOKIES === '1' },
  };
}

const session = async () => getIronSession<SessionContent>(await cookies(), options());

/** Who sent this request, or undefined. */
export const signedIn = cache(async (): Promise<Person | undefined> => {
  const { person } = await session();
  return person === undefined ? undefined : findPerson(person);
});

/** Who sent this request; nobody is sent to the sign-in page. */
export async function requirePerson(): Promise<Person> {
  return (await signedIn()) ?? redirect('/signin');
}

export async function openSession(person: Person): Promise<void> {
  const current = await session();
  current.person = person.id;
  await current.save();
}

export async function closeSession(): Promise<void> {
  (await session()).destroy();
}
