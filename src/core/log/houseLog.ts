import type { Entry } from './entry';
import type { RoomState } from './roomState';
import { isVoided, stateOf } from './stateOf';

/** The entries of one room with the voids that are about them, and what they fold to. */
interface RoomLog {
  readonly entries: Entry[];
  state: RoomState | undefined;
}

/** Under this is what is said of no room. */
const HOUSE = '';

/**
 * The log of a house as it grows: what has come is folded once, and a new entry folds only the room that it is about.
 * However the entries come, one by one or all at once, what they fold to is the same.
 */
export class HouseLog {
  /** The last entry that has come. */
  seq = 0;
  /** How many there are. */
  size = 0;
  readonly #rooms = new Map<string, RoomLog>();
  readonly #roomOf = new Map<string, string>();
  /** Voids whose target has not come yet. */
  readonly #waiting = new Map<string, Entry[]>();
  /** In the order in which they came. */
  readonly #ofKind = new Map<Entry['kind'], Entry[]>();
  readonly #voids = new Map<string, Extract<Entry, { kind: 'void' }>[]>();

  /** Takes in entries that came after those before; what has come already is passed over. */
  add(entries: readonly Entry[]): void {
    for (const entry of entries) {
      if (entry.seq <= this.seq) continue;
      this.seq = entry.seq;
      this.size += 1;
      if (entry.kind === 'void') this.#addVoid(entry);
      else this.#addTo(entry.room ?? HOUSE, entry);
    }
  }

  /** The state of each room of which something was logged. */
  states(): ReadonlyMap<string, RoomState> {
    const states = new Map<string, RoomState>();
    for (const [room, log] of this.#rooms) {
      if (room === HOUSE) continue;
      log.state ??= stateOf(log.entries).get(room);
      if (log.state) states.set(room, log.state);
    }
    return states;
  }

  /** Whether an entry has come, taken back or not; voids aside. */
  has(id: string): boolean {
    return this.#roomOf.has(id);
  }

  /** All that has come, room by room. */
  entries(): readonly Entry[] {
    return [...this.#rooms.values()].flatMap(({ entries }) => entries);
  }

  /** The last entries of some kinds that stand, the one that was recorded last first. */
  last(kinds: ReadonlySet<Entry['kind']>, most: number): readonly Entry[] {
    // A kind of which little is said is not looked for among all that was.
    const ends = [...kinds].flatMap((kind) => {
      const list = this.#ofKind.get(kind) ?? [];
      return list.length > 0 ? [{ list, at: list.length - 1 }] : [];
    });
    const found: Entry[] = [];
    const seqAt = ({ list, at }: (typeof ends)[number]) => list[at]?.seq ?? -1;
    while (found.length < most) {
      const latest = ends.reduce((last, end) => (last && seqAt(last) > seqAt(end) ? last : end), ends[0]);
      const entry = latest?.list[latest.at];
      if (!latest || !entry) break;
      latest.at -= 1;
      if (!isVoided(entry, this.#voids.get(entry.id))) found.push(entry);
    }
    return found;
  }

  #addTo(room: string, entry: Entry): void {
    const alike = this.#ofKind.get(entry.kind);
    if (alike) alike.push(entry);
    else this.#ofKind.set(entry.kind, [entry]);
    this.#roomOf.set(entry.id, room);
    const log = this.#rooms.get(room) ?? { entries: [], state: undefined };
    this.#rooms.set(room, log);
    log.entries.push(entry, ...(this.#waiting.get(entry.id) ?? []));
    this.#waiting.delete(entry.id);
    log.state = undefined;
  }

  #addVoid(entry: Extract<Entry, { kind: 'void' }>): void {
    const { target } = entry.payload;
    this.#voids.set(target, [...(this.#voids.get(target) ?? []), entry]);
    const room = this.#roomOf.get(target);
    const log = room === undefined ? undefined : this.#rooms.get(room);
    if (!log) {
      this.#waiting.set(target, [...(this.#waiting.get(target) ?? []), entry]);
      return;
    }
    log.entries.push(entry);
    log.state = undefined;
  }
}
