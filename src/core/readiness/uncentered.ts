import { stiffAt } from '../drying/milestones';
import type { RoomState } from '../log/roomState';
import type { CoatKey } from '../method/coat';
import { choicesFor, type Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import { isCentered } from '../method/smallWork';
import type { AppliedCoats, Stretch } from '../standing/appliedCoats';
import { type DryingClock, entryClock } from './coatClock';
import { stretchClock } from './stretchClock';

/** Boxed butts of a round that are on, and whose middle nobody has run by hand. */
export interface Uncentered {
  readonly round: CoatKey;
  /** The part of all boxed butts of the round, 0–1. */
  readonly part: number;
  /** When all of their sides are stiff, or dry where the method says the next day; ms since 1970. */
  readonly from: number;
  /** When it is too late: the next coat has to take the crest down. */
  readonly until: number;
}

/** The parts of a room that `uncenteredOf` reads. */
interface Boxed {
  readonly coats: readonly RoomCoat[];
  readonly method: Method;
  readonly applied: Pick<AppliedCoats, 'stretches'>;
  readonly state: Pick<RoomState, 'centerings' | 'sandings' | 'checks'>;
  readonly clock: DryingClock;
}

/**
 * Returns the boxed butts that are still to be centered, by round: on the day on which they were boxed, before they are dry and may be
 * sanded; the day after where the method says so, before they are coated again or sanded. It holds nothing else up.
 *
 * @param now ms since 1970
 */
export function uncenteredOf(room: Boxed, now: number): readonly Uncentered[] {
  const rounds = new Map<CoatKey, Uncentered>();
  for (const coat of room.coats) {
    if (!isCentered(coat, room.method)) continue;
    for (const stretch of room.applied.stretches) {
      const own = uncenteredOn(stretch, coat, room);
      if (!own || own.until <= now) continue;
      const known = rounds.get(coat.round);
      rounds.set(coat.round, {
        round: coat.round,
        part: Math.min(1, (known?.part ?? 0) + own.part),
        from: Math.max(known?.from ?? 0, own.from),
        until: Math.max(known?.until ?? 0, own.until),
      });
    }
  }
  return [...rounds.values()];
}

/** Returns the boxed butts of one round that are still to be centered; undefined where there are none. */
export const uncenteredIn = (
  { uncentered }: { readonly uncentered: readonly Uncentered[] },
  round: CoatKey | undefined,
): Uncentered | undefined => uncentered.find((boxed) => boxed.round === round);

function uncenteredOn(
  stretch: Stretch,
  coat: RoomCoat,
  { method, state, clock }: Boxed,
): Omit<Uncentered, 'round'> | undefined {
  const place = stretch.coats.findIndex((one) => one.coat.id === coat.id);
  const on = stretch.coats[place];
  const times = on && stretchClock(stretch, place, { method, clock });
  if (!on || !times || stretch.coats.some(({ share }, index) => index > place && share > 0)) return undefined;
  const boxedAt = Math.max(...on.applications.map(({ at }) => Date.parse(at)));
  const isAfter = ({ at }: { readonly at: string }) => Date.parse(at) >= boxedAt;
  if (state.centerings.some((one) => one.round === coat.round && isAfter(one))) return undefined;
  if (state.checks.some(isAfter)) return undefined;
  if (state.sandings.some((one) => (one.classes?.includes(coat.class) ?? true) && isAfter(one))) return undefined;
  const part = (stretch.amount * on.share) / coat.amount;
  if (choicesFor(method, coat.class).centring === 'nextDay') return { part, from: times.recoatAt, until: Infinity };
  const stiff = on.applications.map((entry) => stiffAt(entryClock(entry, coat, method, clock).on, clock.air));
  return { part, from: Math.max(...stiff), until: times.sandAt };
}
