import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Person } from '../core/log/person';
import { models } from './models';

const DAY_MS = 86_400_000;
/** A sign-in holds so long without being used. */
export const SESSION_DAYS = 30;
/** When it was last used is noted no more often. */
const NOTED_EVERY_MS = 5 * 60_000;

/** A sign-in as it is shown to who may end it; instants in ms since 1970. */
export interface SignIn {
  readonly id: string;
  readonly person: string;
  readonly device: string;
  readonly madeAt: number;
  readonly seenAt: number;
}

/** Only the hash of what a browser keeps is stored: who reads the database cannot take a session over. */
const hashOf = (token: string): string => createHash('sha256').update(token).digest('base64url');

/** Signs a person in, and forgets sign-ins that have run out. Returns what the browser is to keep. */
export async function addSession(person: string, device: string, instant: number): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  const { sequelize } = models();
  await sequelize.query('DELETE FROM sessions WHERE seen_at < $1', {
    bind: [new Date(instant - SESSION_DAYS * DAY_MS).toISOString()],
  });
  await sequelize.query('INSERT INTO sessions VALUES ($1, $2, $3, $4, $5, $5)', {
    bind: [hashOf(token), randomUUID(), person, device, new Date(instant).toISOString()],
  });
  return token;
}

/** Whose session it is, unless it was ended, has run out, or the person has left. */
export async function findSession(
  token: string,
  instant: number,
): Promise<{ readonly id: string; readonly person: Person } | undefined> {
  const { sequelize } = models();
  const [row] = await sequelize.query<Person & { readonly session: string; readonly seen: Date }>(
    `SELECT sessions.id AS session, seen_at AS seen, people.id, people.name, people.role
     FROM sessions JOIN people ON people.id = person_id
     WHERE hash = $1 AND seen_at >= $2 AND removed_at IS NULL`,
    {
      type: QueryTypes.SELECT,
      bind: [hashOf(token), new Date(instant - SESSION_DAYS * DAY_MS).toISOString()],
    },
  );
  if (!row) return undefined;
  const { session, seen, ...person } = row;
  if (instant - seen.getTime() > NOTED_EVERY_MS)
    await sequelize.query('UPDATE sessions SET seen_at = $2 WHERE id = $1', {
      bind: [session, new Date(instant).toISOString()],
    });
  return { id: session, person };
}

/** The sign-ins of a person, or of everybody; the last one used first. */
export async function listSessions(person?: string): Promise<readonly SignIn[]> {
  const rows = await models().sequelize.query<Omit<SignIn, 'madeAt' | 'seenAt'> & { made: Date; seen: Date }>(
    `SELECT id, person_id AS person, device, made_at AS made, seen_at AS seen FROM sessions
     ${person === undefined ? '' : 'WHERE person_id = $1'} ORDER BY seen_at DESC`,
    { type: QueryTypes.SELECT, bind: person === undefined ? [] : [person] },
  );
  return rows.map(({ made, seen, ...own }) => ({ ...own, madeAt: made.getTime(), seenAt: seen.getTime() }));
}

/**
 * Ends a sign-in. Whoever listens is told, so that its streams end too.
 *
 * @param person whose it has to be; anybody's where it is left out
 */
export async function endSession(id: string, person?: string): Promise<boolean> {
  const rows = await models().sequelize.query(
    `DELETE FROM sessions WHERE id = $1 ${person === undefined ? '' : 'AND person_id = $2'} RETURNING id`,
    { type: QueryTypes.SELECT, bind: person === undefined ? [id] : [id, person] },
  );
  return rows.length > 0;
}

/** Ends all sign-ins of a person, but for one of them. */
export async function endSessionsOf(person: string, but?: string): Promise<void> {
  await models().sequelize.query('DELETE FROM sessions WHERE person_id = $1 AND id IS DISTINCT FROM $2', {
    bind: [person, but ?? null],
  });
}
