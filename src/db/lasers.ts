import { randomBytes } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { acrossFirms, firm } from './firm';
import { models } from './models';
import { secretHash } from './secretHash';

/** A laser measure sends to the screens of one person. */
export interface Laser {
  readonly firm: string;
  readonly person: string;
}

/** Pairs a laser measure with a person; the one before is paired no more. @returns its key, this once */
export async function makeLaser(person: string): Promise<string> {
  const key = `oak_${randomBytes(24).toString('base64url')}`;
  await models().sequelize.query(
    `INSERT INTO lasers (firm, person_id, hash) VALUES ($1, $2, $3)
     ON CONFLICT (firm, person_id) DO UPDATE SET hash = excluded.hash`,
    { bind: [firm(), person, secretHash(key)] },
  );
  return key;
}

/** Whose laser measure has this key; nobody's who has left. */
export async function findLaser(key: string): Promise<Laser | undefined> {
  const [row] = await acrossFirms(() =>
    models().sequelize.query<Laser>(
      `SELECT lasers.firm, lasers.person_id AS person
         FROM lasers JOIN people ON people.firm = lasers.firm AND people.id = lasers.person_id
        WHERE lasers.hash = $1 AND people.removed_at IS NULL`,
      { type: QueryTypes.SELECT, bind: [secretHash(key)] },
    ),
  );
  return row;
}

/** What a laser measure read, for the screens of its person on whichever server they are; it is kept nowhere. */
export interface LaserReading extends Laser {
  readonly mm: number;
}

export async function tellReading(reading: LaserReading): Promise<void> {
  await models().sequelize.query("SELECT pg_notify('laser_read', $1)", { bind: [JSON.stringify(reading)] });
}
