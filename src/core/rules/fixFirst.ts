import type { NewEntry } from '../log/entry';
import { itemsUnder } from '../readiness/mending';
import type { RoomSnapshot } from '../snapshot/houseSnapshot';
import { coveredBy } from '../standing/coveredBy';
import type { EntryRefusal } from './entryRules';

/** Returns the pieces, by id, on which a coat of a name is whole. */
const piecesUnder = (key: string, { stretches }: RoomSnapshot['applied']): ReadonlySet<string> =>
  new Set(
    stretches
      .filter(({ layers }) => layers.findLast((layer) => layer.key === key)?.share === 1)
      .flatMap(({ pieces }) => pieces.map(({ id }) => id)),
  );

/**
 * Returns the problems that a coat would cover before they are fixed, as a refusal; undefined where there are none. Problems found after
 * the coat went on, or named in `covers`, do not count.
 */
export function fixFirst(
  { at, payload }: Pick<Extract<NewEntry, { kind: 'coat' }>, 'at' | 'payload'>,
  room: RoomSnapshot,
): Extract<EntryRefusal, { why: 'fixFirst' }> | undefined {
  if (room.state.items.every(({ closed }) => closed)) return undefined;
  const found = coveredBy(payload, room.pieces, room.method, room.room.finish);
  if (!found.ok) return undefined;
  const on = new Set(found.on.map(({ id }) => id));
  const covered = room.pieces.filter(({ id }) => on.has(id));
  // Where some of it is on, the rest is meant.
  const isOn = piecesUnder(payload.key, room.applied);
  const open = covered.filter(({ id }) => !isOn.has(id));
  const own = open.length > 0 && payload.repeat !== 'next' ? open : covered;
  const items = itemsUnder(room, payload.class, own).filter(
    (item) => Date.parse(item.at) <= Date.parse(at) && !payload.covers?.items.includes(item.id),
  );
  return items.length > 0 ? { why: 'fixFirst', items: items.map(({ id }) => id) } : undefined;
}
