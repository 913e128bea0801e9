import type { NewEntry } from '../core/log/entry';
import { type EntryRefusal, RULED_KINDS, refusalOf } from '../core/rules/entryRules';
import { movedIn, STOCK } from '../core/stock/stock';
import { findHouse } from '../db/houses';
import { refusalWords } from '../words/ruleWords';
import { loadSnapshot } from './loadSnapshot';
import { refuse } from './refuse';

/**
 * Refuses entries that contradict what is on the walls or in the store, see `refusalOf`; what was recorded before passes, sent as
 * often as it may be.
 */
export async function checkEntryRules(house: string, entries: readonly NewEntry[]): Promise<Response | undefined> {
  const ruled = entries.filter(({ kind }) => RULED_KINDS.has(kind));
  if (ruled.length === 0 || !(await findHouse(house))) return undefined;
  const { snapshot, log, people, timeZone, now } = await loadSnapshot(house);
  const moves = ruled.some(({ kind }) => kind === 'stock') ? movedIn(log.last(STOCK, Number.POSITIVE_INFINITY)) : [];
  const rooms = new Map(snapshot.rooms.map((room) => [room.room.id, room]));
  for (const entry of ruled) {
    if (log.has(entry.id)) continue;
    const room = entry.room === null ? undefined : rooms.get(entry.room);
    const refusal = refusalOf(entry, room, moves);
    if (!refusal) continue;
    const words = refusalWords(refusal, { room: room?.room.name ?? '', people, now, timeZone });
    return refuse(409, words, undefined, codeOf(refusal));
  }
  return undefined;
}

/** What a page may ask back. */
const codeOf = ({ why }: EntryRefusal): string | undefined => (why === 'sameCoat' ? why : undefined);
