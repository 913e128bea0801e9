import { driedBetween, whenDried } from '../air/airClock';
import { atLeastTimes } from '../drying/touch';
import { FIRM_MINUTES } from '../method/coat';
import type { Method } from '../method/resolveMethod';
import type { Stretch } from '../standing/appliedCoats';
import { type DryingClock, type EntryClock, entryClock, type ProgressClock } from './coatClock';

const MINUTE_MS = 60_000;

/** How a room's coats dry: its clock, and the method that says what an entry leaves open. */
export interface Drying {
  readonly method: Method;
  readonly clock: DryingClock;
}

/**
 * Returns when a coat of some pieces that are alike is firm, set, ready for a coat and ready to be sanded; undefined while
 * nothing of it is on. A touch check on these pieces wins over the clock: white is ready, grey and patchy are not.
 *
 * @param place of the coat among those that the pieces get
 */
export function stretchClock(stretch: Stretch, place: number, { method, clock }: Drying): ProgressClock | undefined {
  const known = clocks.get(stretch) ?? { clock, method, times: [] };
  if (known.clock !== clock || known.method !== method) {
    known.clock = clock;
    known.method = method;
    known.times = [];
  }
  clocks.set(stretch, known);
  if (!(place in known.times)) known.times[place] = workedOut(stretch, place, { method, clock });
  return known.times[place];
}

interface Known {
  clock: DryingClock;
  method: Method;
  times: (ProgressClock | undefined)[];
}
/** What was asked of a room last is asked again with the next page. */
const clocks = new WeakMap<Stretch, Known>();

function workedOut(stretch: Stretch, place: number, { method, clock }: Drying): ProgressClock | undefined {
  const on = stretch.coats[place];
  if (!on || on.applications.length === 0) return undefined;
  const entries = on.applications.map((entry) => entryClock(entry, on.coat, method, clock));
  const latest = (of: (one: EntryClock) => number) =>
    entries.reduce((last, one) => Math.max(last, of(one)), Number.NEGATIVE_INFINITY);
  const times: ProgressClock = {
    recoatAt: latest((one) => one.times.recoatAt),
    sandAt: latest((one) => one.times.sandAt),
    firmAt: latest((one) => one.times.setAt ?? one.on.at + FIRM_MINUTES * MINUTE_MS),
    setAt: entries.at(-1)?.times.setAt,
    troubles: [...new Set(entries.flatMap((one) => one.times.troubles))],
  };
  const last = entries.at(-1);
  return stretch.touched && last ? asTouched(times, last, stretch, place, clock) : times;
}

/** The same as a touch check found it. What lies under a white coat is dry too; what lies under a grey one goes by its clock. */
function asTouched(
  times: ProgressClock,
  { on }: EntryClock,
  { touched, coats }: Stretch,
  place: number,
  { air }: DryingClock,
): ProgressClock {
  if (!touched) return times;
  const at = Date.parse(touched.at);
  const least = atLeastTimes(touched.found);
  if (least === undefined) {
    const by = (instant: number) => Math.min(instant, at);
    return { ...times, recoatAt: by(times.recoatAt), sandAt: by(times.sandAt), firmAt: by(times.firmAt) };
  }
  if (place !== topOf(coats)) return times;
  const dry = whenDried(air, on.at, driedBetween(air, on.at, at) * least);
  const mixed = on.mixedAt ?? on.at;
  const set = on.mud.kind === 'setting' ? mixed + (at - mixed) * least : dry;
  return { ...times, recoatAt: Math.max(times.recoatAt, set, at + 1), sandAt: Math.max(times.sandAt, dry, at + 1) };
}

/** The place of the coat that was put on last. */
function topOf(coats: Stretch['coats']): number {
  const lastAt = (place: number) => Date.parse(coats[place]?.applications.at(-1)?.at ?? '') || 0;
  return coats.reduce((top, _, place) => (lastAt(place) >= lastAt(top) ? place : top), 0);
}
