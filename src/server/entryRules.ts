import type { Asks } from '../contract/asks';
import type { NewEntry } from '../core/log/entry';
import { type EntryRefusal, RULED_KINDS, refusalOf } from '../core/rules/entryRules';
import type { RoomSnapshot } from '../core/snapshot/houseSnapshot';
import { movedIn, STOCK } from '../core/stock/stock';
import type { SeenHouse } from '../db/entries';
import { findHouse } from '../db/houses';
import { refusalWords } from '../words/ruleWords';
import { loadSnapshot } from './loadSnapshot';
import { refuse } from './refuse';

/**
 * Makes what `appendEntries` asks while nobody else can change the house. What was worked out before it is asked holds where nothing came in
 * between.
 */
export async function entryRules(
  house: string,
  entries: readonly NewEntry[],
): Promise<((now: SeenHouse) => Promise<Response | undefined>) | undefined> {
  if (!entries.some(({ kind }) => RULED_KINDS.has(kind))) return undefined;
  const seen = await findHouse(house);
  if (!seen) return undefined;
  const refusal = await checkEntryRules(house, entries);
  return ({ seq, rooms }) =>
    seq === seen.seq && rooms === seen.roomsSeq ? Promise.resolve(refusal) : checkEntryRules(house, entries);
}

/**
 * Refuses entries that contradict what is on the walls or in the store, see `refusalOf`; what was recorded before passes, sent as
 * often as it may be.
 */
async function checkEntryRules(house: string, entries: readonly NewEntry[]): Promise<Response | undefined> {
  const ruled = entries.filter(({ kind }) => RULED_KINDS.has(kind));
  const { snapshot, log, people, timeZone, now } = await loadSnapshot(house);
  const moves = ruled.some(({ kind }) => kind === 'stock') ? movedIn(log.last(STOCK, Number.POSITIVE_INFINITY)) : [];
  const rooms = new Map(snapshot.rooms.map((room) => [room.room.id, room]));
  /** A problem that is fixed in the same breath is not covered. */
  const fixed = new Set(entries.flatMap((entry) => (entry.kind === 'itemClosed' ? [entry.payload.item] : [])));
  const under = new Map<string, EntryRefusal & { readonly why: 'fixFirst' }>();
  const refused = (refusal: EntryRefusal, room: RoomSnapshot | undefined): Response => {
    const ground = { room, unit: snapshot.house.unit, people, now, timeZone };
    return refuse(409, refusalWords(refusal, ground), undefined, asksBack(refusal));
  };
  for (const entry of ruled) {
    if (log.has(entry.id)) continue;
    const room = entry.room === null ? undefined : rooms.get(entry.room);
    const refusal = refusalOf(entry, room, moves);
    // Which of two logs counts is asked when it is recorded.
    if (refusal?.why === 'sameCoat' && isLoggedTwice(entry, room)) continue;
    if (refusal && refusal.why !== 'fixFirst') return refused(refusal, room);
    const items = refusal?.items.filter((item) => !fixed.has(item)) ?? [];
    if (!room || items.length === 0) continue;
    const known = under.get(room.room.id)?.items ?? [];
    under.set(room.room.id, { why: 'fixFirst', items: [...new Set([...known, ...items])] });
  }
  // All of a room in one question.
  for (const [room, refusal] of under) return refused(refusal, rooms.get(room));
  return undefined;
}

/** Returns the question that a page may ask back. */
function asksBack(refusal: EntryRefusal): Asks | undefined {
  if (refusal.why === 'fixFirst') return { fixFirst: refusal.items };
  return refusal.why === 'sameCoat' ? refusal.why : undefined;
}

/** Whether the same coat was logged after the writer of an entry last looked, without their knowing. */
const isLoggedTwice = ({ kind, payload }: NewEntry, room: RoomSnapshot | undefined): boolean =>
  kind === 'coat' &&
  payload.seen !== undefined &&
  (room?.state.applied.some(
    ({ id, seq, payload: own }) =>
      !(payload.knew?.includes(id) ?? false) &&
      seq > (payload.seen ?? seq) &&
      own.class === payload.class &&
      own.key === payload.key &&
      own.side === payload.side,
  ) ??
    false);
