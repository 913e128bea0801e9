import { randomBytes, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { acrossFirms, firm, inFirm } from './firm';
import { models } from './models';
import type { Member } from './people';
import { secretHash } from './secretHash';

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

/**
 * Signs a person in, and forgets sign-ins that have run out.
 *
 * @param passwordHash of the password that was right: given another one meanwhile, nobody is signed in
 * @returns what the browser is to keep; undefined when the person has left, or has another password
 */
export async function addSession(
  person: string,
  device: string,
  instant: number,
  passwordHash?: string,
): Promise<string | undefined> {
  const token = randomBytes(32).toString('base64url');
  const { sequelize } = models();
  await sequelize.query('DELETE FROM sessions WHERE firm = $2 AND seen_at < $1', {
    bind: [new Date(instant - SESSION_DAYS * DAY_MS).toISOString(), firm()],
  });
  // Who gives another password waits for this row, or this waits for them: no sign-in slips through between.
  const rows = await sequelize.query(
    `WITH own AS (
       SELECT firm, id FROM people
       WHERE firm = $6 AND id = $3 AND removed_at IS NULL AND ($7::text IS NULL OR password_hash = $7) FOR SHARE
     )
     INSERT INTO sessions (hash, id, person_id, device, made_at, seen_at, firm)
       SELECT $1, $2, id, $4, $5, $5, firm FROM own RETURNING id`,
    {
      type: QueryTypes.SELECT,
      bind: [
        secretHash(token),
        randomUUID(),
        person,
        device,
        new Date(instant).toISOString(),
        firm(),
        passwordHash ?? null,
      ],
    },
  );
  return rows.length > 0 ? token : undefined;
}

/** Whose session it is, unless it was ended, has run out, or the person has left; of whatever firm, which it alone tells. */
export async function findSession(
  token: string,
  instant: number,
): Promise<{ readonly id: string; readonly person: Member } | undefined> {
  const { sequelize } = models();
  const [row] = await acrossFirms(() =>
    sequelize.query<Member & { readonly session: string; readonly seen: Date }>(
      `SELECT sessions.id AS session, seen_at AS seen, people.firm, people.id, people.name, people.role
     FROM sessions JOIN people ON people.firm = sessions.firm AND people.id = person_id
     WHERE hash = $1 AND seen_at >= $2 AND removed_at IS NULL`,
      {
        type: QueryTypes.SELECT,
        bind: [secretHash(token), new Date(instant - SESSION_DAYS * DAY_MS).toISOString()],
      },
    ),
  );
  if (!row) return undefined;
  const { session, seen, ...person } = row;
  if (instant - seen.getTime() > NOTED_EVERY_MS)
    await inFirm(person.firm, () =>
      sequelize.query('UPDATE sessions SET seen_at = $2 WHERE firm = $3 AND id = $1', {
        bind: [session, new Date(instant).toISOString(), person.firm],
      }),
    );
  return { id: session, person };
}

/** The sign-ins of a person, or of everybody of the firm; the last one used first. */
export async function listSessions(person?: string): Promise<readonly SignIn[]> {
  const rows = await models().sequelize.query<Omit<SignIn, 'madeAt' | 'seenAt'> & { made: Date; seen: Date }>(
    `SELECT id, person_id AS person, device, made_at AS made, seen_at AS seen FROM sessions
     WHERE firm = $1 ${person === undefined ? '' : 'AND person_id = $2'} ORDER BY seen_at DESC`,
    { type: QueryTypes.SELECT, bind: person === undefined ? [firm()] : [firm(), person] },
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
    `DELETE FROM sessions WHERE firm = $1 AND id = $2 ${person === undefined ? '' : 'AND person_id = $3'} RETURNING id`,
    { type: QueryTypes.SELECT, bind: person === undefined ? [firm(), id] : [firm(), id, person] },
  );
  return rows.length > 0;
}

/** Ends all sign-ins of a person, but for one of them. */
export async function endSessionsOf(person: string, but?: string): Promise<void> {
  await models().sequelize.query('DELETE FROM sessions WHERE firm = $1 AND person_id = $2 AND id IS DISTINCT FROM $3', {
    bind: [firm(), person, but ?? null],
  });
}
