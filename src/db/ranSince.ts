import { Op, type Transaction } from 'sequelize';
import type { Clash } from '../core/log/clash';
import type { CoatEntry, NewEntry } from '../core/log/entry';
import { liftPayload } from '../core/log/liftEntry';
import { EntryRow } from './models';

type Coating = Extract<NewEntry, { kind: 'coat' }>;

/** A coat that somebody else logged, by whom and when. */
export interface Ran extends Clash {
  readonly room: string;
  /** The id of who logged it. */
  readonly by: string;
  readonly at: string;
  readonly payload: CoatEntry['payload'];
}

/**
 * Returns the coats among entries that were logged after the entries' writer last looked, on the same pieces: two who were assigned one job,
 * both without a signal, do not log it twice, and neither does one person on two phones. Under the house's lock; what was taken back does
 * not count, nor what the writer knew of.
 */
export async function ranSince(
  entries: readonly NewEntry[],
  me: string,
  houseId: string,
  transaction: Transaction,
): Promise<readonly Ran[]> {
  const asked = entries.filter((entry): entry is Coating => entry.kind === 'coat' && entry.payload.seen !== undefined);
  if (asked.length === 0) return [];
  const rows = await EntryRow.findAll({
    where: {
      houseId,
      kind: 'coat',
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
  if (since.length === 0) return [];
  const taken = new Set(
    (
      await EntryRow.findAll({
        where: { houseId, kind: 'void', payload: { target: { [Op.in]: since.map(({ id }) => id) } } },
        transaction,
      })
    ).map(({ payload }) => (payload as { target: string }).target),
  );
  return asked.flatMap(({ id, room, payload }): readonly Ran[] => {
    const twin = since.findLast(
      (row) =>
        row.room === room &&
        row.seq > (payload.seen ?? row.seq) &&
        !taken.has(row.id) &&
        !(payload.knew?.includes(row.id) ?? false) &&
        isSameCoat(payload, row.payload),
    );
    if (!twin) return [];
    const both = piecesOfBoth(payload, twin.payload);
    const isPart = both !== undefined && both.length < (payload.pieces?.length ?? 0);
    const { by, at } = twin;
    const own = by === me ? ({ own: true } as const) : {};
    return [
      { entry: id, theirs: twin.id, room, by, at, payload: twin.payload, ...own, ...(isPart && { pieces: both }) },
    ];
  });
}

/** Whether two coats are the same one, at least on some piece. */
const isSameCoat = (one: Coating['payload'], other: CoatEntry['payload']): boolean =>
  one.class === other.class &&
  one.key === other.key &&
  one.side === other.side &&
  (piecesOfBoth(one, other)?.length ?? 1) > 0;

/** Returns the pieces that both name; undefined where one of them names none. */
function piecesOfBoth({ pieces }: Coating['payload'], { on }: CoatEntry['payload']): readonly string[] | undefined {
  if (!pieces || !on) return undefined;
  const theirs = new Set(on.map(({ id }) => id));
  return pieces.map(({ id }) => id).filter((id) => theirs.has(id));
}
