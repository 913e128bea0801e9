import { Op, type Transaction } from 'sequelize';
import type { CoatEntry, NewEntry } from '../core/log/entry';
import { liftPayload } from '../core/log/liftEntry';
import { EntryRow, PersonRow } from './models';

type Coating = Extract<NewEntry, { kind: 'coat' }>;

/** Who put a coat on, and when. */
export interface Ran {
  readonly kind: 'ran';
  readonly room: string;
  readonly by: string;
  readonly at: string;
}

/**
 * A coat that somebody else put on after these entries' writer last looked, on the same pieces: two who were handed one job, both
 * without a signal, do not log it twice. Under the house's lock; what was taken back does not count.
 */
export async function ranSince(
  entries: readonly NewEntry[],
  me: string,
  houseId: string,
  transaction: Transaction,
): Promise<Ran | undefined> {
  const asked = entries.filter((entry): entry is Coating => entry.kind === 'coat' && entry.payload.seen !== undefined);
  if (asked.length === 0) return undefined;
  const rows = await EntryRow.findAll({
    where: {
      houseId,
      kind: 'coat',
      by: { [Op.ne]: me },
      seq: { [Op.gt]: Math.min(...asked.flatMap(({ payload }) => payload.seen ?? [])) },
    },
    transaction,
  });
  const since = rows.map(({ id, roomId, seq, by, at, kind, version, payload }) => ({
    id,
    room: roomId,
    seq,
    by,
    at: at.toISOString(),
    payload: liftPayload(kind, payload, version) as CoatEntry['payload'],
  }));
  if (since.length === 0) return undefined;
  const taken = new Set(
    (
      await EntryRow.findAll({
        where: { houseId, kind: 'void', payload: { target: { [Op.in]: since.map(({ id }) => id) } } },
        transaction,
      })
    ).map(({ payload }) => (payload as { target: string }).target),
  );
  for (const { room, payload } of asked) {
    const twin = since.find(
      (row) =>
        row.room === room &&
        row.seq > (payload.seen ?? row.seq) &&
        !taken.has(row.id) &&
        isSameCoat(payload, row.payload),
    );
    if (!twin) continue;
    const person = await PersonRow.findOne({ where: { id: twin.by }, transaction });
    return { kind: 'ran', room, by: person?.name ?? 'Somebody', at: twin.at };
  }
  return undefined;
}

/** Whether two coats are the same one, at least on some piece. */
function isSameCoat(one: Coating['payload'], other: CoatEntry['payload']): boolean {
  if (one.class !== other.class || one.key !== other.key || one.side !== other.side) return false;
  if (!one.pieces || !other.on) return true;
  const own = new Set(one.pieces.map(({ id }) => id));
  return other.on.some(({ id }) => own.has(id));
}
