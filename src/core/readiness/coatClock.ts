import type { AirClock } from '../air/airClock';
import { type Application, type CoatTrouble, type Milestones, milestones } from '../drying/milestones';
import { liesOf, wetMudOf } from '../drying/wetMud';
import type { CoatEntry } from '../log/entry';
import type { Coat, CoatKey, MudProduct } from '../method/coat';
import type { Method } from '../method/resolveMethod';

/** Coats that dry alike: one mud, for one purpose. */
export type CoatKind = `${MudProduct} ${CoatKey}`;

/** The air of a room, and how much longer than by the tables each kind of coat takes in it; 1 where it does not say. */
export interface DryingClock {
  readonly air: AirClock;
  readonly slowness: ReadonlyMap<CoatKind, number>;
}

export const kindOfCoat = ({ mud, key }: Pick<Coat, 'mud' | 'key'>): CoatKind => `${mud} ${key}`;

/** The kind of coat that an entry put on: with what it says, else as the method would have it. */
export const kindOfEntry = ({ payload: { put, key } }: CoatEntry, coat: Pick<Coat, 'mud'>): CoatKind =>
  `${put?.product ?? coat.mud} ${key}`;

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

/** The clock of one entry, and what it put on, as slow as coats of its kind are in its room. */
export interface EntryClock {
  readonly on: Application;
  readonly times: Milestones;
}

/** Returns when the coat that an entry put on is set, may be coated again, sanded, and is dry, in the air of its room. */
export const coatClock = (entry: CoatEntry, coat: Coat, method: Method, clock: DryingClock): Milestones =>
  entryClock(entry, coat, method, clock).times;

/** `coatClock`, with what was put on. */
export function entryClock(entry: CoatEntry, coat: Coat, method: Method, { air, slowness }: DryingClock): EntryClock {
  const slow = slowness.get(kindOfEntry(entry, coat)) ?? 1;
  const inThisAir = known.get(air) ?? new WeakMap<CoatEntry, Known>();
  known.set(air, inThisAir);
  const before = inThisAir.get(entry);
  if (before?.coat.id === coat.id && before.coat.mud === coat.mud && before.method === method && before.slow === slow)
    return before;
  const on: Application = { ...applicationOf(entry, coat, method), ...(slow === 1 ? {} : { slowness: slow }) };
  const times = before && isSame(before.on, on) ? before.times : milestones(on, air);
  const now: Known = { coat, method, slow, on, times };
  inThisAir.set(entry, now);
  return now;
}

interface Known extends EntryClock {
  readonly coat: Coat;
  readonly method: Method;
  readonly slow: number;
}

/** A coat that went on last week dries no other way when the page is asked again. */
const known = new WeakMap<AirClock, WeakMap<CoatEntry, Known>>();

/** Of an entry only what it does not say by itself can have become another. */
const isSame = (a: Application, b: Application): boolean =>
  a.thickness === b.thickness && a.substrate === b.substrate && a.lies === b.lies && a.slowness === b.slowness;

/** When all that was put on for a coat is firm enough to be run over, set, and ready for what comes next; ms since 1970. */
export interface ProgressClock extends Pick<Milestones, 'recoatAt' | 'sandAt'> {
  readonly firmAt: number;
  /** Of what was put on last. */
  readonly setAt: number | undefined;
  readonly troubles: readonly CoatTrouble[];
}
