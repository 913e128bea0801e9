import type { Entry } from '../log/entry';
import { HouseLog } from '../log/houseLog';
import type { RoomSnapshot } from './houseSnapshot';

/** Replaces the reason of a hold that is not for the builder: reasons often name people. */
const ON_HOLD = 'on hold';

/** Returns a room without a reason for a hold that is only for the crew. */
export function roomForBuilder(room: RoomSnapshot): RoomSnapshot {
  const { held } = room.state;
  if (!held || held.forBuilder) return room;
  return {
    ...room,
    state: { ...room.state, held: { ...held, why: ON_HOLD } },
    standing: withoutReason(room.standing) as RoomSnapshot['standing'],
  };
}

/** Returns plain data with the reason of every hold replaced. */
function withoutReason(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutReason);
  if (typeof value !== 'object' || value === null) return value;
  if ('kind' in value && value.kind === 'held' && 'why' in value) return { ...value, why: ON_HOLD };
  return Object.fromEntries(Object.entries(value).map(([key, own]) => [key, withoutReason(own)]));
}

const logs = new WeakMap<HouseLog, { readonly seq: number; readonly log: HouseLog }>();

/** Returns the log of a house without reasons for holds that are only for the crew. */
export function logForBuilder(log: HouseLog): HouseLog {
  const known = logs.get(log);
  if (known?.seq === log.seq) return known.log;
  const own = new HouseLog();
  own.add(
    log
      .entries()
      .toSorted((a, b) => a.seq - b.seq)
      .map(entryForBuilder),
  );
  logs.set(log, { seq: log.seq, log: own });
  return own;
}

const entryForBuilder = (entry: Entry): Entry =>
  entry.kind === 'held' && !entry.payload.forBuilder
    ? { ...entry, payload: { ...entry.payload, why: ON_HOLD } }
    : entry;
