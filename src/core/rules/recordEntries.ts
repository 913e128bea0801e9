import type { RoomAirClock } from '../air/houseAir';
import type { FanFrom } from '../air/roomAir';
import type { HouseHead } from '../house/schema';
import type { TakenOff } from '../joints/takeOff';
import type { Entry, NewEntry } from '../log/entry';
import { HouseLog } from '../log/houseLog';
import type { Role } from '../log/person';
import { cachedMethod } from '../method/cachedMethod';
import { methodOfRoom } from '../method/resolveMethod';
import type { Room } from '../room/schema';
import { houseSnapshot, type RoomSnapshot } from '../snapshot/houseSnapshot';
import { coveredBy, putOnBy } from '../standing/coveredBy';
import { type Moved, movedIn } from '../stock/stock';
import { type EntryRefusal, refusalOf } from './entryRules';

/** A house with the take-offs of its rooms. */
export interface RuledHouse {
  readonly head: HouseHead;
  readonly rooms: readonly Room[];
  readonly takenOff: (room: Room) => TakenOff | undefined;
  readonly airOf: (room: string, fans: readonly FanFrom[]) => RoomAirClock;
}

/** An entry with its author. */
export interface SentEntry {
  readonly entry: NewEntry;
  readonly by: string;
  readonly role: Role;
}

/** Why an entry is not recorded: a rule that it breaks, or what it names that is not there. */
export type Refusal = EntryRefusal | { readonly why: 'noRoom' } | { readonly why: 'notThere'; readonly path: string };

/** An entry that is not recorded, by its place among those that were sent. */
export interface Refused {
  readonly index: number;
  readonly refusal: Refusal;
}

/**
 * Records entries one after the other, as the server does: each with what its coat lies on in the house of that day, and only where no
 * rule refuses it.
 */
export class EntryRecorder {
  readonly log = new HouseLog();
  #count = 0;
  readonly #stock: Entry[] = [];

  /**
   * Records an entry, or returns why not.
   *
   * @param house as it was when that happened
   */
  record({ entry, by, role }: SentEntry, house: RuledHouse): Refusal | undefined {
    const room = entry.room === null ? undefined : house.rooms.find(({ id }) => id === entry.room);
    if (entry.room !== null && !room) return { why: 'noRoom' };
    const stands = room && roomAt(house, room, this.log, Date.parse(entry.at));
    const refusal = refusalOf(entry, stands, this.moves);
    if (refusal) return refusal;
    const found = room ? foundOut(entry, room, house) : { ok: true as const, payload: entry.payload };
    if (!found.ok) return { why: 'notThere', path: found.path };
    this.#count += 1;
    const recorded = { ...entry, payload: found.payload, seq: this.#count, by, role, recordedAt: entry.at } as Entry;
    this.log.add([recorded]);
    if (recorded.kind === 'stock') this.#stock.push(recorded);
    return undefined;
  }

  /** What was said of goods so far. */
  get moves(): readonly Moved[] {
    return movedIn(this.#stock);
  }
}

/**
 * Records many entries, see `EntryRecorder`.
 *
 * @param houseAt the house as it was at an instant, ms since 1970
 */
export function recordEntries(
  sent: readonly SentEntry[],
  houseAt: (at: number) => RuledHouse,
): { readonly log: HouseLog; readonly refused: readonly Refused[] } {
  const recorder = new EntryRecorder();
  const refused = sent.flatMap((one, index): readonly Refused[] => {
    const refusal = recorder.record(one, houseAt(Date.parse(one.entry.at)));
    return refusal ? [{ index, refusal }] : [];
  });
  return { log: recorder.log, refused };
}

/** A room as it stood at an instant by what was recorded until then. */
function roomAt(
  { head, takenOff, airOf }: RuledHouse,
  room: Room,
  log: HouseLog,
  at: number,
): RoomSnapshot | undefined {
  return houseSnapshot(head, [room], log.states(), airOf, at, takenOff).rooms[0];
}

/** A payload with what is found out when it is recorded, or the path of what it names that is not there. */
function foundOut(
  entry: NewEntry,
  room: Room,
  { head, takenOff }: RuledHouse,
): { readonly ok: true; readonly payload: object } | { readonly ok: false; readonly path: string } {
  const pieces = takenOff(room)?.pieces;
  if (entry.kind !== 'coat' || !pieces) return { ok: true, payload: entry.payload };
  const method = methodOfRoom(head, room, cachedMethod(head));
  const found = coveredBy(entry.payload, pieces, method, room.finish);
  if (!found.ok) return { ok: false, path: found.problem.path };
  return { ok: true, payload: { ...entry.payload, on: found.on, put: putOnBy(entry.payload, method) } };
}
