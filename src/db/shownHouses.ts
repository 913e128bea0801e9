import { randomBytes, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Shown } from '../core/log/choices';
import { now } from './clock';
import { acrossFirms, firm } from './firm';
import { models } from './models';
import { secretHash } from './secretHash';

/** An address under which something of a house is shown, without its secret. */
export interface ShownMark {
  readonly id: string;
  readonly what: Shown;
  /** ms since 1970 */
  readonly madeAt: number;
  readonly endsAt: number;
}

const DAY_MS = 86_400_000;
/** More at once are not kept in mind by anybody. */
const MOST_PER_HOUSE = 20;

/**
 * Makes an address under which the hand-over of a house, or the list of its hanger, is shown for some days.
 *
 * @returns the secret part of it, this once; undefined where the house has too many, or is none
 */
export async function showHouse(houseId: string, by: string, what: Shown, days: number): Promise<string | undefined> {
  const token = randomBytes(24).toString('base64url');
  const instant = now();
  const rows = await models().sequelize.query(
    `INSERT INTO shown_houses (firm, id, house_id, hash, made_by, made_at, ends_at, what)
     SELECT $1, $2, $3, $4, $5, $6, $7, $8 WHERE EXISTS (SELECT FROM houses WHERE firm = $1 AND id = $3)
        AND (SELECT count(*) FROM shown_houses WHERE firm = $1 AND house_id = $3 AND ends_at > $6) < ${MOST_PER_HOUSE}
     RETURNING id`,
    {
      type: QueryTypes.SELECT,
      bind: [
        firm(),
        randomUUID(),
        houseId,
        secretHash(token),
        by,
        new Date(instant),
        new Date(instant + days * DAY_MS),
        what,
      ],
    },
  );
  return rows.length > 0 ? token : undefined;
}

/** Ends an address. */
export async function hideHouse(houseId: string, id: string): Promise<boolean> {
  const rows = await models().sequelize.query(
    'DELETE FROM shown_houses WHERE firm = $1 AND house_id = $2 AND id = $3 RETURNING id',
    { type: QueryTypes.SELECT, bind: [firm(), houseId, id] },
  );
  return rows.length > 0;
}

/** The addresses of a house that have not ended. */
export async function listShown(houseId: string): Promise<readonly ShownMark[]> {
  const rows = await models().sequelize.query<{ id: string; what: Shown; madeAt: Date; endsAt: Date }>(
    `SELECT id, what, made_at AS "madeAt", ends_at AS "endsAt" FROM shown_houses
      WHERE firm = $1 AND house_id = $2 AND ends_at > $3 ORDER BY made_at`,
    { type: QueryTypes.SELECT, bind: [firm(), houseId, new Date(now())] },
  );
  return rows.map(({ id, what, madeAt, endsAt }) => ({ id, what, madeAt: madeAt.getTime(), endsAt: endsAt.getTime() }));
}

/** A share link with its house. */
export interface FoundLink {
  readonly firm: string;
  readonly id: string;
  readonly house: string;
  /** The person who made it. */
  readonly madeBy: string;
  readonly what: Shown;
}

/** The house that a secret shows, and what of it; none when it has ended or was taken back. */
export async function findShown(token: string): Promise<FoundLink | undefined> {
  const [row] = await acrossFirms(() =>
    models().sequelize.query<FoundLink>(
      'SELECT firm, id, house_id AS house, made_by AS "madeBy", what FROM shown_houses WHERE hash = $1 AND ends_at > $2',
      { type: QueryTypes.SELECT, bind: [secretHash(token), new Date(now())] },
    ),
  );
  return row;
}
