import { type LengthUnit, MM_PER_INCH, toMm } from '../measure/unit';
import type { HangChoices, Room, RoomDefaults } from './schema';

/** Every butt of a course, none, or those at these places; mm. */
export type SomeButts = boolean | readonly number[];

/** The courses of a face as found; mm. */
export interface FoundFace {
  readonly run: 'across' | 'upright';
  readonly courses: readonly {
    readonly breadth: number;
    readonly butts: readonly number[];
    readonly backed: SomeButts;
    readonly bevelled?: SomeButts;
    /** A rip whose factory edge and cut edge have changed places. */
    readonly flipped?: boolean;
  }[];
}

/** How a room is hung, every choice made; lengths in mm. */
export interface HangPlan {
  readonly boards: readonly { readonly width: number; readonly lengths: readonly number[] }[];
  readonly walls: 'across' | 'upright';
  readonly ceiling: 'auto' | 'along' | 'across';
  readonly framing: number;
  readonly screws: { readonly ceiling: number; readonly wall: number };
  readonly aim: 'joints' | 'boards' | 'waste';
  readonly backed: boolean;
  /** Faces as they were found on site, by id; they overrule the plan. */
  readonly found: Readonly<Record<string, FoundFace>>;
}

/**
 * The room's own choices over the house's over the trade's. Metric houses get metric boards and 400 mm framing.
 *
 * Screw spacing: source: ASTM C840, GA-216 (from memory): at most 12 in on ceilings, 16 in on walls.
 */
export function resolveHang(house: RoomDefaults, room: Pick<Room, 'hang' | 'hung'>): HangPlan {
  const choice = <Key extends keyof HangChoices>(key: Key): HangChoices[Key] => room.hang?.[key] ?? house.hang[key];
  const mm = (length: number) => toMm(length, house.unit);
  const usual = USUAL[house.unit];
  const stock = choice('boards');
  const framing = choice('framing');
  const screws = { ...house.hang.screws, ...room.hang?.screws };
  return {
    boards: stock
      ? stock.map(({ width, lengths }) => ({ width: mm(width), lengths: lengths.map(mm).sort((a, b) => a - b) }))
      : usual.boards,
    walls: choice('walls') ?? 'across',
    ceiling: choice('ceiling') ?? 'auto',
    framing: framing === undefined ? usual.framing : mm(framing),
    screws: {
      ceiling: screws.ceiling === undefined ? 12 * MM_PER_INCH : mm(screws.ceiling),
      wall: screws.wall === undefined ? 16 * MM_PER_INCH : mm(screws.wall),
    },
    aim: choice('aim') ?? 'joints',
    backed: choice('butts') === 'backed',
    found: Object.fromEntries(
      Object.entries(room.hung ?? {})
        .filter(([, { courses }]) => courses.length > 0)
        .map(([id, { run, courses }]) => [
          id,
          {
            run,
            courses: courses.map(({ breadth, butts, backed, bevelled, flipped }) => ({
              breadth: mm(breadth),
              butts: butts.map(mm),
              backed: typeof backed === 'boolean' ? backed : backed.map(mm),
              ...(bevelled && { bevelled: typeof bevelled === 'boolean' ? bevelled : bevelled.map(mm) }),
              ...(flipped && { flipped }),
            })),
          },
        ]),
    ),
  };
}

const USUAL: Readonly<Record<LengthUnit, Pick<HangPlan, 'boards' | 'framing'>>> = {
  in: {
    boards: [{ width: 48 * MM_PER_INCH, lengths: [96, 120, 144].map((inches) => inches * MM_PER_INCH) }],
    framing: 16 * MM_PER_INCH,
  },
  mm: { boards: [{ width: 1200, lengths: [2400, 3000] }], framing: 400 },
};
