import type { Tally } from '../joints/tally';
import type { Coat, CoatKey } from '../method/coat';
import type { Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import type { Room } from '../room/schema';
import type { Block } from './block';
import type { Mend } from './mend';

/** How far one coat of a room is. */
export interface CoatLeft {
  /** The part that is still to be put on, 0–1. */
  readonly part: number;
  /** When what lies under it lets the rest go on, ms since 1970; undefined where nothing holds it up. */
  readonly from: number | undefined;
  /** When what is on of it may be sanded. */
  readonly sandAt: number | undefined;
  /** The same of its walls and its ceiling; undefined where nobody asks. */
  readonly blocks?: Readonly<Record<Block, BlockLeft>> | undefined;
}

/** How far a coat is in one block of the room. */
export interface BlockLeft extends Pick<CoatLeft, 'part' | 'from'> {
  /** How much of the coat lies there, 0–1. */
  readonly share: number;
}

/** A room as far as its work matters. */
export interface WorkRoom {
  readonly id: string;
  readonly tally: Tally;
  readonly method: Method;
  readonly finish?: Room['finish'];
  readonly coats: readonly RoomCoat[];
  readonly left: (coat: Coat) => CoatLeft;
  /** Whether what lies under a coat was scraped, sanded or wiped for it. */
  readonly scraped: (coat: Coat) => boolean;
  /** How much longer than by the tables a coat takes to dry in this room. */
  readonly slowness: (coat: Coat) => number;
  /** What was found to pre-fill, mm; undefined where nobody looked. */
  readonly gaps?: number | undefined;
  /** The part of the pre-filling that is done, 0–1, and when it is firm, ms since 1970. */
  readonly prefilled?: number;
  readonly prefillFirmAt?: number | undefined;
  /** Boxed butts that are on and still to be centered: the part of their round, 0–1, and from when, ms since 1970. */
  readonly uncentered?: readonly {
    readonly round: CoatKey;
    readonly part: number;
    readonly from: number | undefined;
  }[];
  /** What is wrong and has to be mended by itself; see `dueItems`. */
  readonly mend: readonly Mend[];
  /** Person-hours of sanding that are left at the end, without walking in; undefined where nothing is sanded yet. */
  readonly sandLeft?: number | undefined;
  readonly checked: boolean;
  readonly sealed: boolean;
}

/** A room of which nothing was run yet. */
export const UNTOUCHED = {
  left: () => ({ part: 1, from: undefined, sandAt: undefined }),
  scraped: () => false,
  slowness: () => 1,
  mend: [],
  checked: false,
  sealed: false,
} satisfies Partial<WorkRoom>;
