import { Op, QueryTypes, type Transaction } from 'sequelize';
import type { NewEntry } from '../core/log/entry';
import { liftPayload } from '../core/log/liftEntry';
import { COAT_KEYS } from '../core/method/coat';
import { firm } from './firm';
import { EntryRow, models } from './models';

type Handing = Extract<NewEntry, { kind: 'assigned' }>;

/**
 * Returns a room of which some of this work was assigned by somebody else after these entries' writer last looked; under the house's
 * lock, so that of two who hand out the same at once one is told.
 */
export async function handedSince(
  entries: readonly NewEntry[],
  me: string,
  houseId: string,
  transaction: Transaction,
): Promise<string | undefined> {
  const asked = entries.filter((entry): entry is Handing => entry.kind === 'assigned');
  const seen = asked.flatMap(({ payload }) => payload.seen ?? []);
  if (seen.length === 0) return undefined;
  const rows = await EntryRow.findAll({
    where: {
      houseId,
      kind: 'assigned',
      by: { [Op.ne]: me },
      roomId: [...new Set(asked.map(({ room }) => room))],
      seq: { [Op.gt]: Math.min(...seen) },
    },
    transaction,
  });
  const since = rows.map(({ roomId, seq, kind, version, payload }) => ({
    room: roomId,
    seq,
    work: (liftPayload(kind, payload, version) as Handing['payload']).work,
  }));
  return asked.find(({ room, payload }) =>
    since.some((row) => row.room === room && row.seq > (payload.seen ?? row.seq) && isSameWork(row.work, payload.work)),
  )?.room;
}

const isRound = (work: string | undefined): boolean => COAT_KEYS.some((key) => key === work);

/** A whole round may hold any kind of its work: a kind does not say of which round it is. The walls are not the ceiling. */
function isSameWork(a: string, b: string): boolean {
  const [[one, here], [other, there]] = [a.split('@'), b.split('@')];
  if (here !== undefined && there !== undefined && here !== there) return false;
  return one === other || isRound(one) || isRound(other);
}

/** Days from a day on, on which people of the firm have work in other houses; by person. */
export async function daysElsewhere(houseId: string, from: string): Promise<ReadonlyMap<string, readonly string[]>> {
  const rows = await models().sequelize.query<{ day: string; people: readonly string[] }>(
    `SELECT day, people FROM (
       SELECT DISTINCT ON (house_id, room_id, work) day, people
         FROM (SELECT entries.house_id, room_id, at, seq, payload ->> 'day' AS day,
                      coalesce(payload ->> 'work', payload ->> 'pass') AS work,
                      coalesce(payload -> 'people', CASE WHEN payload ->> 'person' IS NULL THEN '[]'::jsonb
                                                         ELSE jsonb_build_array(payload ->> 'person') END) AS people
                 FROM entries JOIN rooms ON rooms.firm = entries.firm AND rooms.house_id = entries.house_id
                                        AND rooms.id = entries.room_id AND rooms.removed_at IS NULL
                WHERE entries.firm = $1 AND entries.house_id <> $2 AND kind = 'assigned'
                  AND NOT EXISTS (SELECT FROM entries AS taken WHERE taken.firm = $1 AND taken.house_id = entries.house_id
                                     AND taken.kind = 'void' AND taken.payload ->> 'target' = entries.id::text)) AS handed
        ORDER BY house_id, room_id, work, at DESC, seq DESC) AS last
      WHERE day >= $3`,
    { type: QueryTypes.SELECT, bind: [firm(), houseId, from] },
  );
  const days = new Map<string, Set<string>>();
  for (const { day, people } of rows) {
    for (const person of people) {
      const known = days.get(person) ?? new Set();
      days.set(person, known.add(day));
    }
  }
  return new Map([...days].map(([person, own]) => [person, [...own].sort()]));
}
