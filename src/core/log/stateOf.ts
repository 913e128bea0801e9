import type { FanFrom } from '../air/roomAir';
import type { Found } from '../drying/touch';
import { type CoatedClass, type CoatKey, FIRM_MINUTES } from '../method/coat';
import { DEFECTS, isPrefilled } from '../method/defects';
import type { Level } from '../room/level';
import type { AssignedOrder } from '../work/assignedOrder';
import { type Block, workOn } from '../work/block';
import type { CoatEntry, Entry } from './entry';
import { hoursTaken } from './hoursTaken';
import { whoDid } from './whoDid';

const MINUTE_MS = 60_000;

/** Who did something and when. */
export interface Mark {
  readonly at: string;
  readonly who: readonly string[];
}

/** Something that is wrong, until it is mended. */
export interface OpenItem extends Mark, Omit<ItemPayload, 'photos'> {
  readonly id: string;
  readonly photos: readonly string[];
  /** How many coats had been put on by then. */
  readonly after: number;
  readonly closed: Closed | undefined;
  /** The coat that went over it before it was fixed: by whom, when and why. */
  readonly covered?: Mark & { readonly why: string };
}
interface Closed extends Mark {
  readonly minutes: number | undefined;
  readonly photos: readonly string[];
  /** Whether it was filled with the gaps of its room, before the tape. */
  readonly prefilled?: true;
  /** Whether it went with the boards on which it was. */
  readonly rehung?: true;
  /** Whether the extra coat that its knife check asked for went over it. */
  readonly coated?: true;
}
type ItemPayload = Extract<Entry, { kind: 'item' }>['payload'];

/** A photo of a room, or of something that was wrong in it. */
export interface Photo extends Mark {
  readonly id: string;
  /** What it shows: words, or the item that it belongs to. */
  readonly text: string | undefined;
  readonly item: string | undefined;
}

/** What was sanded: everything, where it names neither classes nor faces. */
export interface Sanding extends Mark {
  readonly classes: readonly CoatedClass[] | undefined;
  readonly faces: readonly string[] | undefined;
  /** How many coats had been put on by then. */
  readonly after: number;
}

/** Gaps were filled before the tape, on some faces or everywhere. */
export interface Prefill extends Mark {
  readonly faces: readonly string[] | undefined;
  /** When it may be taped, ms since 1970. */
  readonly firmAt: number;
  readonly mud: Extract<Entry, { kind: 'prefilled' }>['payload']['mud'];
  /** The gaps and broken corners that it mended, by id. */
  readonly items: readonly string[];
}

/** Scraped, sanded or wiped before the next coat. */
export interface Between extends Sanding {
  /** Person-hours, where somebody timed it. */
  readonly took?: number;
  readonly how: Extract<Entry, { kind: 'between' }>['payload']['how'];
}

/** The boxed butts of a round were centered. */
export interface Centering extends Mark {
  readonly round: CoatKey;
}

/** How faces, or all of them, were found before they were taped. */
export interface Acceptance extends Mark {
  readonly faces: readonly string[] | undefined;
  /** Undefined where new boards hang since, which nobody has looked at. */
  readonly found: Extract<Entry, { kind: 'accepted' }>['payload']['found'] | undefined;
}

/** New boards were hung on faces: all of their joints start over. */
export interface Rehung extends Mark {
  readonly faces: readonly string[];
}

/** Sealer was put on some faces, or on all that are painted. */
export interface Sealing extends Mark {
  readonly faces: readonly string[] | undefined;
  readonly product: string | undefined;
  /** Until it may be painted, by its label. */
  readonly dryHours: number | undefined;
}

/** A face that meets its level, or the whole room. */
export interface Check extends Mark {
  readonly level: Level;
  readonly faces: readonly string[] | undefined;
  readonly light?: Extract<Entry, { kind: 'checked' }>['payload']['light'];
  readonly after: number;
}

/** What somebody drew to sign for a room. */
export interface Signature extends Mark, SignedPayload {}
type SignedPayload = Extract<Entry, { kind: 'signed' }>['payload'];

/** What a touch check found: on the coats of a class, or on those of the room. */
export interface Touched extends Mark {
  readonly class: CoatedClass | undefined;
  readonly pieces?: readonly string[] | undefined;
  readonly found: Found;
}

/** To whom work was given and for which day; to nobody where it was let go. */
export interface Assigned {
  readonly people: readonly string[];
  readonly day: string;
  /** What was said later counts before what was said earlier: of a pass, and of one kind of its work. */
  readonly nth: number;
  /** When that was, ms since 1970, and its number in the log: what was assigned first is done first. */
  readonly order: AssignedOrder;
}

/** All that has happened to one room. */
export interface RoomState {
  /** Every coat that was put on, in the order in which that was. */
  readonly applied: readonly CoatEntry[];
  /** What was handed out or let go, by work; see `handedIn`. */
  readonly assignments: ReadonlyMap<string, Assigned>;
  /** How often something was. */
  readonly handed: number;
  /** Faces whose joints moved under coats, and nobody has said whether their boards are new. */
  readonly movedFaces: readonly string[];
  readonly rehung: readonly Rehung[];
  readonly items: readonly OpenItem[];
  /** In order of time. */
  readonly photos: readonly Photo[];
  /** Those that go into the hand-over. */
  readonly shown: readonly string[];
  /** What was sanded and what was signed off, in order of time; whether it still counts is told by `finished`. */
  readonly sandings: readonly Sanding[];
  readonly checks: readonly Check[];
  /** What was scraped, sanded or wiped between coats, in order of time. */
  readonly betweens: readonly Between[];
  /** What was filled before the tape, in order of time. */
  readonly prefills: readonly Prefill[];
  /** Which boxed butts were centered, in order of time. */
  readonly centerings: readonly Centering[];
  /** How its faces were found before tape, in order of time. */
  readonly acceptances: readonly Acceptance[];
  /** Who signed for the room as it is. */
  readonly signatures: readonly Signature[];
  /** What was sealed since mud went on last, in order of time; see `sealedOf`. */
  readonly sealings: readonly Sealing[];
  readonly handedOver: Mark | undefined;
  readonly held: (Mark & { readonly why: string; readonly until: string | undefined }) | undefined;
  /** Air set moving over the walls, in order of time. */
  readonly fans: readonly FanFrom[];
  /** What touch checks found on wet coats, in order of time. */
  readonly touched: readonly Touched[];
}

export const NOTHING_YET: RoomState = {
  applied: [],
  movedFaces: [],
  rehung: [],
  assignments: new Map(),
  handed: 0,
  items: [],
  photos: [],
  shown: [],
  sandings: [],
  checks: [],
  betweens: [],
  prefills: [],
  centerings: [],
  acceptances: [],
  signatures: [],
  sealings: [],
  handedOver: undefined,
  held: undefined,
  fans: [],
  touched: [],
};

/** Who has a room at an instant (ms since 1970): until somebody releases it, or until the time that was said. */
export function heldAt({ held }: Pick<RoomState, 'held'>, at: number): RoomState['held'] {
  return held?.until !== undefined && Date.parse(held.until) <= at ? undefined : held;
}

/**
 * To whom some work of a pass is given: what was said last of it, of the whole pass, or of the block in which it lies; undefined
 * where nobody has it.
 */
export function handedIn(
  { assignments }: Pick<RoomState, 'assignments'>,
  work: string,
  pass: string,
  block?: Block,
): Assigned | undefined {
  const names = [work, pass, ...(block ? [workOn(work, block), workOn(pass, block)] : [])];
  let last: Assigned | undefined;
  for (const name of names) {
    const said = assignments.get(name);
    if (said && said.nth > (last?.nth ?? -1)) last = said;
  }
  return last && last.people.length > 0 ? last : undefined;
}

/** Whether two were given to the same people for the same day, or neither to anybody. */
export const isGivenAlike = (
  a: Pick<Assigned, 'people' | 'day'> | undefined,
  b: Pick<Assigned, 'people' | 'day'> | undefined,
): boolean => a?.day === b?.day && a?.people.join(' ') === b?.people.join(' ');

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
      return { ...state, held: { ...mark, why: entry.payload.why, until: entry.payload.until } };
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
