import type { Entry } from '../log/entry';
import { HouseLog } from '../log/houseLog';
import type { RoomSnapshot } from './houseSnapshot';

/** What a builder reads of a room on hold whose reason is not meant for them: reasons name people. */
const ON_HOLD = 'on hold';

/** Returns a room as a builder is told of it. */
export function roomForBuilder(room: RoomSnapshot): RoomSnapshot {
  const { held } = room.state;
  if (!held || held.forBuilder) return room;
  return {
    ...room,
    state: { ...room.state, held: { ...held, why: ON_HOLD } },
    standing: withoutReason(room.standing) as RoomSnapshot['standing'],
  };
}

/** Returns plain data in which every hold has no reason. */
function withoutReason(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutReason);
  if (typeof value !== 'object' || value === null) return value;
  if ('kind' in value && value.kind === 'held' && 'why' in value) return { ...value, why: ON_HOLD };
  return Object.fromEntries(Object.entries(value).map(([key, own]) => [key, withoutReason(own)]));
}

const told = new WeakMap<HouseLog, { readonly seq: number; readonly log: HouseLog }>();

/** Returns the log of a house as a builder is told of it. */
export function logForBuilder(log: HouseLog): HouseLog {
  const known = told.get(log);
  if (known?.seq === log.seq) return known.log;
  const own = new HouseLog();
  own.add(
    log
      .entries()
      .toSorted((a, b) => a.seq - b.seq)
      .map(entryForBuilder),
  );
  told.set(log, { seq: log.seq, log: own });
  return own;
}

const entryForBuilder = (entry: Entry): Entry =>
  entry.kind === 'held' && !entry.payload.forBuilder
    ? { ...entry, payload: { ...entry.payload, why: ON_HOLD } }
    : entry;
