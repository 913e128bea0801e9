import type { FanFrom } from '../air/roomAir';
import type { Pass } from '../plan/tasksOf';
import { type CoatEntry, type Entry, whoDid } from './entry';

/** Who did something and when. */
export interface Mark {
  readonly at: string;
  readonly who: readonly string[];
}

export interface OpenItem extends Mark {
  readonly id: string;
  readonly text: string;
  readonly closed: Mark | undefined;
}

/** All that has happened to one room. */
export interface RoomState {
  /** Every coat that was put on, in the order in which that was. */
  readonly applied: readonly CoatEntry[];
  readonly assignments: ReadonlyMap<Pass, { readonly person: string; readonly day: string }>;
  readonly items: readonly OpenItem[];
  readonly sanded: Mark | undefined;
  readonly checked: (Mark & { readonly level: number }) | undefined;
  readonly handedOver: Mark | undefined;
  readonly held: (Mark & { readonly why: string }) | undefined;
  /** Air set moving over the walls, in order of time. */
  readonly fans: readonly FanFrom[];
}

export const NOTHING_YET: RoomState = {
  applied: [],
  assignments: new Map(),
  items: [],
  sanded: undefined,
  checked: undefined,
  handedOver: undefined,
  held: undefined,
  fans: [],
};

/**
 * Folds the log of a house into the state of its rooms. Entries count in the order in which things happened (`at`), then
 * in which they were recorded; voided ones do not count, whether the void came before or after its target.
 */
export function stateOf(entries: readonly Entry[]): ReadonlyMap<string, RoomState> {
  const rooms = new Map<string, RoomState>();
  for (const entry of standing(entries)) {
    if (entry.room === null) continue;
    rooms.set(entry.room, applied(rooms.get(entry.room) ?? NOTHING_YET, entry));
  }
  return rooms;
}

/** The entries that were not voided, in the order in which things happened. */
function standing(entries: readonly Entry[]): readonly Entry[] {
  const voids = new Map<string, readonly Entry[]>();
  for (const entry of entries) {
    if (entry.kind === 'void') voids.set(entry.payload.target, [...(voids.get(entry.payload.target) ?? []), entry]);
  }
  return entries
    .filter((entry) => entry.kind !== 'void' && !isVoided(entry, voids.get(entry.id)))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || a.seq - b.seq);
}

/**
 * Whether an entry is taken back: by its author or by a lead. A void may be recorded before its target, so whether it was its
 * author's to say is only known when both are there.
 */
export const isVoided = (entry: Entry, voids: readonly Entry[] | undefined): boolean =>
  voids?.some(({ role, by }) => role === 'lead' || by === entry.by) ?? false;

function applied(state: RoomState, entry: Entry): RoomState {
  const mark: Mark = { at: entry.at, who: whoDid(entry) };
  switch (entry.kind) {
    case 'coat':
      // New mud on a room that was sanded opens it again.
      return {
        ...state,
        applied: [...state.applied, entry],
        sanded: undefined,
        checked: undefined,
        handedOver: undefined,
      };
    case 'sanded':
      return { ...state, sanded: mark };
    case 'checked':
      return { ...state, checked: { ...mark, level: entry.payload.level } };
    case 'handedOver':
      return { ...state, handedOver: mark };
    case 'assigned': {
      const assignments = new Map(state.assignments);
      const { pass, person, day } = entry.payload;
      if (person === null) assignments.delete(pass);
      else assignments.set(pass, { person, day });
      return { ...state, assignments };
    }
    case 'held':
      return { ...state, held: { ...mark, why: entry.payload.why } };
    case 'released':
      return { ...state, held: undefined };
    case 'fan':
      return { ...state, fans: [...state.fans, { from: Date.parse(entry.at), speed: entry.payload.speed }] };
    case 'item':
      return {
        ...state,
        items: [...state.items, { ...mark, id: entry.id, text: entry.payload.text, closed: undefined }],
      };
    case 'itemClosed':
      return {
        ...state,
        items: state.items.map((item) => (item.id === entry.payload.item ? { ...item, closed: mark } : item)),
      };
    case 'void':
      return state;
  }
}
