import { Op, type Transaction } from 'sequelize';
import type { NewEntry } from '../core/log/entry';
import { liftPayload } from '../core/log/liftEntry';
import { COAT_KEYS } from '../core/method/coat';
import { EntryRow } from './models';

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
