import type { Coat } from '../method/coat';
import type { AppliedCoats, Stretch } from '../standing/appliedCoats';
import { type Drying, stretchClock } from './stretchClock';

/** What stands in a room when it is looked at. */
export interface LookedAt extends Drying {
  readonly applied: AppliedCoats;
  readonly now: number;
}

/**
 * What can be done with pieces that are alike; `after` waits for another side that is not on yet, `held` for its face, `mend` for what
 * must not be covered.
 */
export type StretchNow =
  | { readonly kind: 'go'; readonly coat: Coat }
  | { readonly kind: 'after'; readonly coat: Coat }
  | { readonly kind: 'held'; readonly coat: Coat }
  | { readonly kind: 'mend'; readonly coat: Coat }
  | {
      readonly kind: 'wet';
      readonly coat: Coat;
      readonly until: number;
      readonly next: Coat | undefined;
      readonly crossed: boolean;
    }
  | { readonly kind: 'done' };

/**
 * Returns what can be done with pieces that are alike.
 *
 * @param own the coats of their class in the room, in order
 */
export function stretchNow(stretch: Stretch, own: readonly Coat[], room: LookedAt): StretchNow {
  const { coats } = stretch;
  const { now } = room;
  const next = coats.find(({ share }) => share < 1)?.coat;
  // Mud on a later coat counts even when an earlier one was never logged.
  for (const [place, on] of [...coats.entries()].reverse()) {
    if (on.share < 1) continue;
    const until = readyAtOf(stretch, place, room);
    if (until !== undefined && until > now) return { kind: 'wet', coat: on.coat, until, next, crossed: false };
  }
  if (!next) return { kind: 'done' };
  if (stretch.held) return { kind: 'held', coat: next };
  if (stretch.toMend) return { kind: 'mend', coat: next };
  return afterOthers(stretch, next, own, room) ?? { kind: 'go', coat: next };
}

/** What keeps the next coat off a stretch: the other side of its angle, or what it runs over; undefined where nothing does. */
function afterOthers(stretch: Stretch, next: Coat, own: readonly Coat[], room: LookedAt): StretchNow | undefined {
  const { applied, now, method } = room;
  const place = own.findIndex(({ id }) => id === next.id);
  for (const other of next.side === undefined ? [] : stretch.beside) {
    const side = applied.stretches[other];
    for (const [at, on] of side?.coats.entries() ?? []) {
      if (!side || own.findIndex(({ id }) => id === on.coat.id) >= place) continue;
      if (on.share < 1) return { kind: 'after', coat: next };
      const until = stretchClock(side, at, room)?.recoatAt ?? now;
      if (until > now) return { kind: 'wet', coat: on.coat, until, next, crossed: false };
    }
  }
  // Nobody waits within the tape round.
  if (next.key === 'tape' || method.all.order === 'noWait') return undefined;
  let crossed: { readonly coat: Coat; readonly until: number } | undefined;
  for (const other of stretch.across) {
    const under = applied.stretches[other];
    for (const [at, { coat }] of under?.coats.entries() ?? []) {
      if (coat.key === 'tape') continue;
      const until = (under && stretchClock(under, at, room)?.firmAt) ?? now;
      if (until > (crossed?.until ?? now)) crossed = { coat, until };
    }
  }
  return crossed && { kind: 'wet', ...crossed, next, crossed: true };
}

/** When all mud on some pieces is ready for what comes next; undefined where it is. */
export function wetUntilOf(stretch: Stretch, room: Drying & { readonly now: number }): number | undefined {
  const until = latestOf(stretch.coats.map((_, place) => readyAtOf(stretch, place, room)));
  return until !== undefined && until > room.now ? until : undefined;
}

/** When a coat of some pieces may be coated again; the last of theirs: be sanded. */
export function readyAtOf(stretch: Stretch, place: number, room: Drying): number | undefined {
  const times = stretchClock(stretch, place, room);
  return place === stretch.coats.length - 1 ? times?.sandAt : times?.recoatAt;
}

/** Returns the last of some instants, as far as they are known; undefined where none is. */
export const latestOf = (instants: readonly (number | undefined)[]): number | undefined => {
  const known = instants.filter((at) => at !== undefined);
  return known.length > 0 ? Math.max(...known) : undefined;
};
