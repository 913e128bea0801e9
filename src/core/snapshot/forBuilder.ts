import type { CoatEntry, Entry } from '../log/entry';
import { HouseLog } from '../log/houseLog';
import type { OpenItem } from '../log/roomState';
import type { RoomSnapshot } from './houseSnapshot';

/** Replaces the reason of a hold that is not for the builder: reasons often name people. */
const ON_HOLD = 'on hold';
/** Replaces the words of a problem that has no kind and no photo. */
const PROBLEM = 'Problem';

/**
 * Returns a room as a builder reads it. Free words often name people, so reasons, notes and the words of problems are left out unless they
 * were marked for the builder, and so are captions of photos that no lead chose for the hand-over.
 */
export function roomForBuilder(room: RoomSnapshot): RoomSnapshot {
  const { state } = room;
  const held = state.held && !state.held.forBuilder ? { ...state.held, why: ON_HOLD } : state.held;
  const items = mapped(state.items, itemForBuilder);
  const photos = mapped(state.photos, (photo) =>
    photo.text === undefined || state.shown.includes(photo.id) ? photo : { ...photo, text: undefined },
  );
  const applied = mapped(state.applied, coatForBuilder);
  if (held === state.held && items === state.items && photos === state.photos && applied === state.applied) return room;
  return {
    ...room,
    state: { ...state, held, items, photos, applied },
    standing: held === state.held ? room.standing : (withoutReason(room.standing) as RoomSnapshot['standing']),
  };
}

/** Returns a list with each element replaced; the list itself where none changed. */
function mapped<Item>(list: readonly Item[], replace: (item: Item) => Item): readonly Item[] {
  const replaced = list.map(replace);
  return replaced.some((item, index) => item !== list[index]) ? replaced : list;
}

/** Returns the words of a problem that a builder can read. */
const problemText = (
  problem: Pick<OpenItem, 'text' | 'defect' | 'forBuilder'> & { photos?: readonly string[] | undefined },
) =>
  problem.text === undefined || problem.forBuilder
    ? problem.text
    : problem.defect || problem.photos?.length
      ? undefined
      : PROBLEM;

function itemForBuilder(item: OpenItem): OpenItem {
  const text = problemText(item);
  if (text === item.text && !item.covered) return item;
  return { ...item, text, ...(item.covered && { covered: { ...item.covered, why: '' } }) };
}

const coatForBuilder = <Coat extends Pick<CoatEntry, 'payload'>>(coat: Coat): Coat =>
  coat.payload.covers ? { ...coat, payload: { ...coat.payload, covers: { ...coat.payload.covers, why: '' } } } : coat;

/** Returns plain data with the reason of every hold replaced. */
function withoutReason(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutReason);
  if (typeof value !== 'object' || value === null) return value;
  if ('kind' in value && value.kind === 'held' && 'why' in value) return { ...value, why: ON_HOLD };
  return Object.fromEntries(Object.entries(value).map(([key, own]) => [key, withoutReason(own)]));
}

const logs = new WeakMap<HouseLog, { readonly seq: number; readonly log: HouseLog }>();

/** Returns the log of a house as a builder reads it, see `roomForBuilder`. */
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

function entryForBuilder(entry: Entry): Entry {
  switch (entry.kind) {
    case 'held':
      return entry.payload.forBuilder ? entry : { ...entry, payload: { ...entry.payload, why: ON_HOLD } };
    case 'item':
      return { ...entry, payload: { ...entry.payload, text: problemText(entry.payload) } };
    case 'pictured':
      return { ...entry, payload: { ...entry.payload, text: undefined } };
    case 'coat':
      return coatForBuilder(entry);
    default:
      return entry;
  }
}
