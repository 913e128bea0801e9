import { FIRM_MINUTES } from '../method/coat';
import { DEFECTS, isPrefilled } from '../method/defects';
import type { CoatEntry, Entry } from './entry';
import { hoursTaken } from './hoursTaken';
import type { Between, Closed, Mark, OpenItem, Prefill, RoomState } from './roomState';
import { NOTHING_YET } from './roomState';
import { whoDid } from './whoDid';

const MINUTE_MS = 60_000;

/**
 * Folds the log of a house into the state of its rooms. Entries count in the order in which things happened (`at`), then
 * in which they were recorded; voided ones do not count, whether the void came before or after its target.
 */
export function stateOf(entries: readonly Entry[]): ReadonlyMap<string, RoomState> {
  const rooms = new Map<string, Folding>();
  for (const entry of standing(entries)) {
    if (entry.room === null) continue;
    const before = rooms.get(entry.room) ?? { ...NOTHING_YET, applied: [] };
    rooms.set(entry.room, applied(before, entry));
  }
  return rooms;
}

/** The entries that were not voided, in the order in which things happened. */
export function standing(entries: readonly Entry[]): readonly Entry[] {
  const voids = new Map<string, readonly VoidEntry[]>();
  for (const entry of entries) {
    if (entry.kind === 'void') voids.set(entry.payload.target, [...(voids.get(entry.payload.target) ?? []), entry]);
  }
  return entries
    .filter((entry) => entry.kind !== 'void' && !isVoided(entry, voids.get(entry.id)))
    .map((entry) => ({ entry, at: Date.parse(entry.at) }))
    .sort((a, b) => a.at - b.at || a.entry.seq - b.entry.seq)
    .map(({ entry }) => entry);
}

/**
 * Whether an entry is taken back: by its author, by a lead, or by who logged the same coat and kept their own. A void may be recorded before
 * its target, so whether it was its author's to say is only known when both are there.
 */
export const isVoided = (entry: Entry, voids: readonly VoidEntry[] | undefined): boolean =>
  voids?.some(({ role, by, payload }) => role === 'lead' || by === entry.by || payload.for !== undefined) ?? false;

type VoidEntry = Extract<Entry, { kind: 'void' }>;

/** A room while its log is folded. Its coats, of which there are most, are written on; nobody else has them yet. */
interface Folding extends RoomState {
  readonly applied: CoatEntry[];
}

function applied(state: Folding, entry: Entry): Folding {
  if (entry.kind === 'coat') {
    state.applied.push(entry);
    const { signatures, sealings, handedOver, items } = state;
    const after = items.some((item) => !item.closed) ? items.map((item) => underCoat(item, entry)) : items;
    const own = after.some((item, index) => item !== items[index]) ? { ...state, items: after } : state;
    // New mud on a room that was handed over opens it again.
    return signatures.length > 0 || sealings.length > 0 || handedOver
      ? { ...own, signatures: [], sealings: [], handedOver: undefined }
      : own;
  }
  const mark: Mark = { at: entry.at, who: whoDid(entry) };
  switch (entry.kind) {
    case 'sanded':
      return {
        ...state,
        sandings: [
          ...state.sandings,
          { ...mark, classes: entry.payload.classes, faces: entry.payload.faces, after: state.applied.length },
        ],
      };
    case 'between': {
      const { how, classes, faces } = entry.payload;
      const took = hoursTaken(entry);
      const between: Between = {
        ...mark,
        how,
        classes,
        faces,
        after: state.applied.length,
        ...(took !== undefined && { took: took * mark.who.length }),
      };
      return { ...state, betweens: [...state.betweens, between] };
    }
    case 'prefilled': {
      const { faces, mud } = entry.payload;
      const closed: Closed = { ...mark, minutes: undefined, photos: [], prefilled: true };
      const mended = state.items.filter(
        (own) =>
          !own.closed && isPrefilled(own.defect) && (!faces || (own.face !== undefined && faces.includes(own.face))),
      );
      const prefill: Prefill = { ...mark, faces, mud, firmAt: firmAt(entry), items: mended.map(({ id }) => id) };
      return {
        ...state,
        prefills: [...state.prefills, prefill],
        items: state.items.map((own) => (mended.includes(own) ? { ...own, closed } : own)),
      };
    }
    case 'centered':
      return { ...state, centerings: [...state.centerings, { ...mark, round: entry.payload.round }] };
    case 'accepted': {
      const { faces, found } = entry.payload;
      return { ...state, acceptances: [...state.acceptances, { ...mark, faces, found }] };
    }
    case 'boards':
      return withBoards(state, entry.payload, mark);
    case 'sealed': {
      const closed: Closed = { ...mark, minutes: undefined, photos: [] };
      const { faces, product, dryHours } = entry.payload;
      const isClosed = (own: OpenItem) =>
        !own.closed &&
        own.defect !== undefined &&
        DEFECTS[own.defect].mend === 'seal' &&
        (!faces || own.face === undefined || faces.includes(own.face));
      return {
        ...state,
        sealings: [...state.sealings, { ...mark, faces, product, dryHours }],
        items: state.items.map((own) => (isClosed(own) ? { ...own, closed } : own)),
      };
    }
    case 'checked':
      return {
        ...state,
        checks: [
          ...state.checks,
          { ...mark, ...entry.payload, faces: entry.payload.faces, after: state.applied.length },
        ],
      };
    case 'signed':
      return { ...state, signatures: [...state.signatures, { ...mark, ...entry.payload }] };
    case 'handedOver':
      return { ...state, handedOver: mark };
    case 'assigned': {
      const assignments = new Map(state.assignments);
      const { work, people, day } = entry.payload;
      assignments.set(work, { people, day, nth: state.handed, order: [Date.parse(entry.at), entry.seq] });
      return { ...state, assignments, handed: state.handed + 1 };
    }
    case 'held':
      return { ...state, held: heldBy(entry.payload, mark) };
    case 'released':
      return { ...state, held: undefined };
    case 'fan':
      return { ...state, fans: [...state.fans, { from: Date.parse(entry.at), speed: entry.payload.speed }] };
    case 'touched':
      return {
        ...state,
        touched: [
          ...state.touched,
          { ...mark, class: entry.payload.class, pieces: entry.payload.pieces, found: entry.payload.found },
        ],
      };
    case 'item': {
      const { photos = [], ...said } = entry.payload;
      const item: OpenItem = { ...mark, ...said, id: entry.id, photos, after: state.applied.length, closed: undefined };
      return {
        ...state,
        items: [...state.items, item],
        photos: [...state.photos, ...photos.map((id) => ({ ...mark, id, text: said.text, item: entry.id }))],
      };
    }
    case 'itemClosed': {
      const { item, minutes, photos = [] } = entry.payload;
      return {
        ...state,
        // Who said it first has mended it.
        items: state.items.map((own) =>
          own.id === item && !own.closed ? { ...own, closed: { ...mark, minutes, photos } } : own,
        ),
        photos: [...state.photos, ...photos.map((id) => ({ ...mark, id, text: undefined, item }))],
      };
    }
    case 'pictured': {
      const { photos, text } = entry.payload;
      return { ...state, photos: [...state.photos, ...photos.map((id) => ({ ...mark, id, text, item: undefined }))] };
    }
    case 'shown':
      return { ...state, shown: entry.payload.photos };
    case 'mixed':
    case 'stock':
    case 'void':
      return state;
  }
}

/** Returns a room whose boards moved on faces: as it was, or with nothing on those faces where the boards are new. */
function withBoards(
  state: Folding,
  { faces, are }: Extract<Entry, { kind: 'boards' }>['payload'],
  mark: Mark,
): Folding {
  const others = state.movedFaces.filter((face) => !faces.includes(face));
  if (are === 'moved') return { ...state, movedFaces: [...others, ...faces] };
  if (are === 'same') return { ...state, movedFaces: others };
  const closed: Closed = { ...mark, minutes: undefined, photos: [], rehung: true };
  const isGone = (item: OpenItem) => !item.closed && item.face !== undefined && faces.includes(item.face);
  return {
    ...state,
    movedFaces: others,
    rehung: [...state.rehung, { ...mark, faces }],
    applied: state.applied.map((entry) => ({ ...entry, gone: [...(entry.gone ?? []), ...faces] })),
    acceptances: [...state.acceptances, { ...mark, faces, found: undefined }],
    items: state.items.map((item) => (isGone(item) ? { ...item, closed } : item)),
    signatures: [],
    sealings: [],
    handedOver: undefined,
  };
}

/** Returns an item as it stands after a coat: closed by the extra coat that it asked for, or covered before it was fixed. */
function underCoat(item: OpenItem, entry: CoatEntry): OpenItem {
  if (item.closed) return item;
  const mark: Mark = { at: entry.at, who: whoDid(entry) };
  if (isExtraOver(entry, item)) return { ...item, closed: { ...mark, minutes: undefined, photos: [], coated: true } };
  const { covers } = entry.payload;
  return covers?.items.includes(item.id) ? { ...item, covered: { ...mark, why: covers.why } } : item;
}

/** Whether a coat is the extra one that a knife check on its joint asked for. */
const isExtraOver = ({ payload }: CoatEntry, { knife, piece, closed }: OpenItem): boolean =>
  knife !== undefined && !closed && payload.key === 'extra' && (payload.on?.some(({ id }) => id === piece) ?? false);

/** Setting mud is firm when it has set, from its mixing; drying mud when it may be crossed. */
function firmAt({ at, payload: { mud, mixedAt, ended } }: Extract<Entry, { kind: 'prefilled' }>): number {
  const on = Date.parse(ended ?? at);
  return mud.kind === 'setting'
    ? Date.parse(mixedAt ?? ended ?? at) + mud.minutes * MINUTE_MS
    : on + FIRM_MINUTES * MINUTE_MS;
}

const heldBy = ({ why, until, forBuilder }: Extract<Entry, { kind: 'held' }>['payload'], mark: Mark) => ({
  ...mark,
  why,
  until,
  ...(forBuilder && { forBuilder }),
});
