import { type AirClock, driedBetween } from '../air/airClock';
import { effortOfMud } from '../air/dryingHours';
import { type Slowness, slownessFrom, type Touch } from '../drying/touch';
import type { CoatEntry } from '../log/entry';
import type { RoomState, Touched } from '../log/roomState';
import { groupBy } from '../measure/groupBy';
import { memoizeLast } from '../measure/memoizeLast';
import { coatNamed } from '../method/coatNamed';
import type { Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import { applicationOf, type CoatKind, type DryingClock, kindOfEntry } from './coatClock';

/** A touch check beside the clock of the tables at that moment, for one kind of coat that it was on. */
export interface RoomTouch extends Touch {
  readonly touched: Touched;
  readonly kind: CoatKind;
}

/** What the touch checks of a room say about how fast its coats dry. */
export interface LearnedDrying {
  readonly touches: readonly RoomTouch[];
  /** Kinds of coat that were touched; every other kind goes by the tables. */
  readonly byKind: ReadonlyMap<CoatKind, Slowness>;
}

/** Presses within so long are one look at the same coat: the last one counts. */
const ONE_LOOK_MS = 10 * 60_000;

/**
 * Learns from the touch checks of a room how much longer each kind of coat takes in it than by the tables. A check speaks for the
 * mud and the coat that it was on and for no other: angles in topping say nothing of flats in all-purpose. Setting mud is
 * recoated by its label, so nothing is learned from it.
 *
 * @param air of the room
 */
export const learnDrying = memoizeLast(
  (air: AirClock, state: RoomState, coats: readonly RoomCoat[], method: Method): LearnedDrying => {
    const touches = looksIn(state.touched.flatMap((touched) => touchesOf(touched, air, state, coats, method)));
    const byKind = new Map(
      [...groupBy(touches, ({ kind }) => kind)].map(([kind, own]) => [kind, slownessFrom(own)] as const),
    );
    return { touches, byKind };
  },
);

/** The clock of a room by what was learned in it, or by an end of its range. */
export const dryingClock = (
  air: AirClock,
  { byKind }: Pick<LearnedDrying, 'byKind'>,
  of: keyof Slowness = 'factor',
): DryingClock => ({ air, slowness: new Map([...byKind].map(([kind, own]) => [kind, own[of]] as const)) });

/** `dryingClock`, the same one for as long as nothing was touched anew. */
export const cachedDryingClock = memoizeLast((air: AirClock, learned: LearnedDrying) => dryingClock(air, learned));

/** Leaves the last check of each look at one kind of coat. */
function looksIn(touches: readonly RoomTouch[]): readonly RoomTouch[] {
  const last = new Map<CoatKind, { readonly from: number; readonly place: number }>();
  const looks: RoomTouch[] = [];
  for (const touch of touches) {
    const at = Date.parse(touch.touched.at);
    const look = last.get(touch.kind);
    if (look && at - look.from <= ONE_LOOK_MS) looks[look.place] = touch;
    else {
      last.set(touch.kind, { from: at, place: looks.length });
      looks.push(touch);
    }
  }
  return looks;
}

/** What a check says of each kind of coat that it was on. */
function touchesOf(
  touched: Touched,
  air: AirClock,
  { applied }: RoomState,
  coats: readonly RoomCoat[],
  method: Method,
): readonly RoomTouch[] {
  const at = Date.parse(touched.at);
  const onTop = topCoats(applied, touched, at).flatMap((entry) => {
    const coat = coatNamed(coats, entry.payload);
    if (!coat || entry.payload.mud.kind === 'setting') return [];
    const on = applicationOf(entry, coat, method);
    return [{ kind: kindOfEntry(entry, coat), dried: driedBetween(air, on.at, at) / effortOfMud(on) }];
  });
  const { found } = touched;
  const kinds = [...groupBy(onTop, ({ kind }) => kind)].map(
    ([kind, own]): RoomTouch => ({ touched, kind, found, dried: Math.min(...own.map(({ dried }) => dried)) }),
  );
  // Pressed for several kinds at once, a coat that is not dry is the one that dries last; white is all of them.
  const slowest = kinds.toSorted((a, b) => a.dried - b.dried).slice(0, 1);
  return found === 'white' ? kinds : slowest;
}

/** The entries that lie on top, at an instant, of what was touched. */
function topCoats(applied: readonly CoatEntry[], touched: Touched, at: number): readonly CoatEntry[] {
  const covered = new Set<string>();
  return applied.toReversed().filter((entry) => {
    const { class: kind, side, on } = entry.payload;
    if (Date.parse(entry.at) >= at || (touched.class !== undefined && touched.class !== kind)) return false;
    // Of an entry whose pieces are not known the class and its side are all that it says.
    const lies = on?.map(({ id }) => id) ?? [`${kind} ${side}`];
    const seen = lies.filter((id) => !(touched.pieces && on) || touched.pieces.includes(id));
    const isOnTop = seen.some((id) => !covered.has(id));
    for (const id of seen) covered.add(id);
    return isOnTop;
  });
}
