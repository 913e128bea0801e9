import { randomBytes } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Role } from '../core/log/person';
import { dayOf } from '../core/measure/dayOf';
import { acrossFirms, firm } from './firm';
import { models } from './models';
import type { Member } from './people';
import { secretHash } from './secretHash';

/** Makes the address of a person's calendar; the one before ends. @returns the secret part of it, this once */
export async function makeCalendar(person: string): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  await models().sequelize.query(
    `INSERT INTO calendars (firm, person_id, hash) VALUES ($1, $2, $3)
     ON CONFLICT (firm, person_id) DO UPDATE SET hash = excluded.hash`,
    { bind: [firm(), person, secretHash(token)] },
  );
  return token;
}

/** Whether a person has such an address. */
export async function hasCalendar(person: string): Promise<boolean> {
  const rows = await models().sequelize.query('SELECT FROM calendars WHERE firm = $1 AND person_id = $2', {
    type: QueryTypes.SELECT,
    bind: [firm(), person],
  });
  return rows.length > 0;
}

/** Whose calendar has this secret; nobody's who has left. */
export async function findCalendar(token: string): Promise<Member | undefined> {
  const [row] = await acrossFirms(() =>
    models().sequelize.query<{ firm: string; id: string; name: string; role: Role }>(
      `SELECT people.firm, people.id, people.name, people.role
         FROM calendars JOIN people ON people.firm = calendars.firm AND people.id = calendars.person_id
        WHERE calendars.hash = $1 AND people.removed_at IS NULL`,
      { type: QueryTypes.SELECT, bind: [secretHash(token)] },
    ),
  );
  return row;
}

/** Unfinished work that was assigned for an earlier day than this is not looked for in other houses. */
const LEFT_DAYS = 60;
const DAY_MS = 86_400_000;

/** Returns the ids of the houses in which a person was assigned work for a day in the last two months or later, sorted by name. */
export async function housesWithWork(person: string, now: number): Promise<readonly string[]> {
  const rows = await models().sequelize.query<{ id: string }>(
    `SELECT id FROM houses WHERE firm = $1 AND id IN (
       SELECT house_id FROM entries WHERE firm = $1 AND kind = 'assigned' AND payload -> 'people' @> to_jsonb($2::text)
         AND payload ->> 'day' >= $3
     ) ORDER BY head ->> 'name', id`,
    { type: QueryTypes.SELECT, bind: [firm(), person, dayOf(now - LEFT_DAYS * DAY_MS, 'UTC')] },
  );
  return rows.map(({ id }) => id);
}
