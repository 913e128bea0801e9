import type { AirClock } from '../air/airClock';
import { type Application, type CoatTrouble, type Milestones, milestones } from '../drying/milestones';
import { liesOf, wetMudOf } from '../drying/wetMud';
import type { CoatEntry } from '../log/entry';
import { type Coat, FIRM_MINUTES } from '../method/coat';
import type { Method } from '../method/resolveMethod';
import type { CoatProgress } from '../standing/appliedCoats';

/** What an entry put on the wall. What it does not say of the mud is as the method would have it. */
export function applicationOf({ at, payload }: CoatEntry, coat: Coat, method: Method): Application {
  const planned = payload.thickness !== undefined && payload.substrate ? undefined : wetMudOf(coat, method);
  return {
    at: Date.parse(at),
    ...(payload.mixedAt ? { mixedAt: Date.parse(payload.mixedAt) } : {}),
    mud: payload.mud,
    thickness: payload.thickness ?? planned?.thickness ?? 0,
    substrate: payload.substrate ?? planned?.substrate ?? 'board',
    lies: liesOf(coat),
  };
}

/** When the coat that an entry put on is set, may be coated again, sanded, and is dry, in the air of its room. */
export const coatClock = (entry: CoatEntry, coat: Coat, method: Method, air: AirClock): Milestones =>
  clockOf(entry, coat, method, air).times;

function clockOf(entry: CoatEntry, coat: Coat, method: Method, air: AirClock): Known {
  const clock = air.byMud?.get(coat.mud) ?? air;
  const inThisAir = known.get(clock) ?? new WeakMap<CoatEntry, Known>();
  known.set(clock, inThisAir);
  const before = inThisAir.get(entry);
  if (before?.coat.id === coat.id && before.coat.mud === coat.mud && before.method === method) return before;
  const on = applicationOf(entry, coat, method);
  const times = before && isSame(before.on, on) ? before.times : milestones(on, clock);
  const now: Known = { coat, method, on, times };
  inThisAir.set(entry, now);
  return now;
}

interface Known {
  readonly coat: Coat;
  readonly method: Method;
  readonly on: Application;
  readonly times: Milestones;
}

/** A coat that went on last week dries no other way when the page is asked again. */
const known = new WeakMap<AirClock, WeakMap<CoatEntry, Known>>();

/** Of an entry only what it does not say by itself can have become another. */
const isSame = (a: Application, b: Application): boolean =>
  a.thickness === b.thickness && a.substrate === b.substrate && a.lies === b.lies;

/** When all that was put on for a coat is firm enough to be run over, set, and ready for what comes next. */
export interface ProgressClock extends Pick<Milestones, 'recoatAt' | 'sandAt'> {
  readonly firmAt: number;
  /** Of what was put on last. */
  readonly setAt: number | undefined;
  readonly troubles: readonly CoatTrouble[];
}

/** The clock of a coat of which something is on. */
export function progressClock(progress: CoatProgress, coat: Coat, method: Method, clock: AirClock): ProgressClock {
  const before = progressClocks.get(progress);
  if (before?.clock === clock) return before.times;
  const all = progress.applications.map((entry) => clockOf(entry, coat, method, clock));
  const latest = (of: (one: Known) => number) =>
    all.reduce((last, one) => Math.max(last, of(one)), Number.NEGATIVE_INFINITY);
  const times: ProgressClock = {
    recoatAt: latest((one) => one.times.recoatAt),
    sandAt: latest((one) => one.times.sandAt),
    firmAt: latest((one) => one.times.setAt ?? one.on.at + FIRM_MINUTES * 60_000),
    setAt: all.at(-1)?.times.setAt,
    troubles: [...new Set(all.flatMap((one) => one.times.troubles))],
  };
  progressClocks.set(progress, { clock, times });
  return times;
}

/** What was asked of a room last is asked again with the next page; its method and coat are those of the progress. */
const progressClocks = new WeakMap<CoatProgress, { readonly clock: AirClock; readonly times: ProgressClock }>();
