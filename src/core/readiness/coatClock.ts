import type { AirClock } from '../drying/airClock';
import { type Application, type Milestones, milestones } from '../drying/milestones';
import { liesOf, wetMudOf } from '../drying/wetMud';
import type { CoatEntry } from '../log/entry';
import type { Coat } from '../method/coat';
import type { Method } from '../method/resolveMethod';

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
export function coatClock(entry: CoatEntry, coat: Coat, method: Method, clock: AirClock): Milestones {
  const inThisAir = known.get(clock) ?? new WeakMap<CoatEntry, Known>();
  known.set(clock, inThisAir);
  const on = applicationOf(entry, coat, method);
  const before = inThisAir.get(entry);
  if (before && isSame(before.on, on)) return before.times;
  const times = milestones(on, clock);
  inThisAir.set(entry, { on, times });
  return times;
}

interface Known {
  readonly on: Application;
  readonly times: Milestones;
}

/** A coat that went on last week dries no other way when the page is asked again. */
const known = new WeakMap<AirClock, WeakMap<CoatEntry, Known>>();

/** Of an entry only what it does not say by itself can have become another. */
const isSame = (a: Application, b: Application): boolean =>
  a.thickness === b.thickness && a.substrate === b.substrate && a.lies === b.lies;
