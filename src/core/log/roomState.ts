import type { FanFrom } from '../air/roomAir';
import type { Found } from '../drying/touch';
import type { CoatedClass, CoatKey } from '../method/coat';
import type { Level } from '../room/level';
import type { AssignedOrder } from '../work/assignedOrder';
import { type Block, workOn } from '../work/block';
import type { CoatEntry, Entry } from './entry';

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
/** By whom and how something was mended. */
export interface Closed extends Mark {
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
  readonly held:
    | (Mark & {
        readonly why: string;
        readonly until: string | undefined;
        /** Whether the builder can read `why`. */
        readonly forBuilder?: true;
      })
    | undefined;
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
