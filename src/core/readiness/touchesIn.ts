import { type AirClock, driedBetween, slowed } from '../air/airClock';
import { effortOfMud } from '../air/dryingHours';
import type { RoomAirClock } from '../air/houseAir';
import { type Found, type Slowness, slownessFrom } from '../drying/touch';
import type { CoatEntry } from '../log/entry';
import type { RoomState, Touched } from '../log/stateOf';
import { memoizeLast } from '../measure/memoizeLast';
import type { MudProduct } from '../method/coat';
import { coatNamed } from '../method/coatNamed';
import type { Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import { applicationOf } from './coatClock';

/** What a thumb found, beside what the clock of the tables said then. */
export interface RoomTouch {
  readonly touched: Touched;
  /** How far the slowest of what it was on was, 1 where it was dry by then. */
  readonly dried: number;
  readonly found: Found;
  /** What it was on; undefined where that was several muds. */
  readonly mud: MudProduct | undefined;
}

/** The air of a room as its coats have felt it. */
export interface FeltAir {
  /** The clock by which everything in the room is told. */
  readonly clock: RoomAirClock;
  /** By the tables, before anybody touched anything. */
  readonly plain: RoomAirClock;
  readonly touches: readonly RoomTouch[];
  readonly slowness: Slowness;
  /** The same for muds that were touched by themselves. */
  readonly byMud: ReadonlyMap<MudProduct, Slowness>;
}

const UNTOUCHED = slownessFrom([]);

/**
 * The clock of a room, corrected by what thumbs found there: all of its coats take so much longer, what is on and what is to come;
 * those of a mud that was touched by itself as much as that one does.
 * Setting mud is coated again by its label, whatever is found.
 */
export const feltAir = memoizeLast(
  (plain: RoomAirClock, state: RoomState, coats: readonly RoomCoat[], method: Method): FeltAir => {
    const touches = state.touched.flatMap((touched) => touchOf(touched, plain, state, coats, method) ?? []);
    if (touches.length === 0) return { clock: plain, plain, touches, slowness: UNTOUCHED, byMud: new Map() };
    const slowness = slownessFrom(touches);
    const muds = new Set(touches.flatMap(({ mud }) => mud ?? []));
    // A thumb on several muds at once speaks for each of them.
    const byMud = new Map(
      [...muds].map((mud) => [mud, slownessFrom(touches.filter((own) => (own.mud ?? mud) === mud))] as const),
    );
    const clocks = new Map([...byMud].map(([mud, { factor }]) => [mud, slowed(plain, factor)] as const));
    return { clock: { ...slowed(plain, slowness.factor), byMud: clocks }, plain, touches, slowness, byMud };
  },
);

/** The clock at either end of what thumbs leave open: the soonest and the latest that things dry, four times out of five. */
export function boundsOf({ plain, slowness, byMud }: FeltAir): readonly [soonest: RoomAirClock, latest: RoomAirClock] {
  const at = (end: 'low' | 'high'): RoomAirClock => ({
    ...slowed(plain, slowness[end]),
    byMud: new Map([...byMud].map(([mud, own]) => [mud, slowed(plain, own[end])] as const)),
  });
  return [at('low'), at('high')];
}

function touchOf(
  touched: Touched,
  clock: AirClock,
  { applied }: RoomState,
  coats: readonly RoomCoat[],
  method: Method,
): RoomTouch | undefined {
  const at = Date.parse(touched.at);
  const last = new Map<string, CoatEntry>();
  for (const entry of applied) {
    const { class: kind, side, mud, on } = entry.payload;
    if (Date.parse(entry.at) >= at || (touched.class !== undefined && touched.class !== kind)) continue;
    if (touched.pieces && on && !on.some(({ id }) => touched.pieces?.includes(id))) continue;
    if (mud.kind === 'drying') last.set(`${kind} ${side}`, entry);
    else last.delete(`${kind} ${side}`);
  }
  const muds = new Set<MudProduct>();
  const dried = [...last.values()].flatMap((entry) => {
    const coat = coatNamed(coats, entry.payload);
    if (!coat) return [];
    const on = applicationOf(entry, coat, method);
    muds.add(coat.mud);
    return [driedBetween(clock, on.at, at) / effortOfMud(on)];
  });
  const [mud, more] = muds;
  return dried.length > 0
    ? { touched, dried: Math.min(...dried), found: touched.found, mud: more === undefined ? mud : undefined }
    : undefined;
}
