import { type AirClock, driedBetween, whenDried } from '../air/airClock';
import { effortOfMud, effortOfSet, USUAL_COAT_HOURS } from '../air/dryingHours';
import { MM_PER_INCH } from '../measure/unit';
import { SETTING_RECOAT_FACTOR } from '../method/coat';
import type { WetMud } from './wetMud';

/** Mud that was put on; ms since 1970. Setting mud counts from mixing. */
export interface Application extends WetMud {
  readonly at: number;
  readonly mixedAt?: number;
}

/** What speaks against a coat as it was put on. */
export type CoatTrouble = 'driesBeforeItSets' | 'settingTooThin' | 'tooDeep';

/** When a coat is what; ms since 1970, Infinity for what never comes in this air. */
export interface Milestones {
  /** Setting mud can be worked until it sets. */
  readonly setAt: number | undefined;
  readonly recoatAt: number;
  readonly sandAt: number;
  readonly dryAt: number;
  readonly troubles: readonly CoatTrouble[];
}

/** Setting mud is better over this. Common practice, no source. */
const SETTING_WANTS_MM = MM_PER_INCH / 8;
/** So deep a fill of drying mud takes about a week, and cracks. Common practice, no source. */
const DEEP_FOR_DRYING_MM = (MM_PER_INCH * 3) / 8;
/** Thinner than this the board drinks the water before any label has run. Common practice, no source. */
const THINNEST_SETTING_MM = 0.35;
/** In usual air. Common practice, no source. */
const STIFF_HOURS = 2;
const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

/**
 * When a coat is set, may be coated again, may be sanded and is dry, in the air that its room has had and will have.
 * Drying mud is all of it when its water has left; setting mud is coated again by its label, and sanded once it is dry too.
 *
 * @example milestones({ mud: { kind: 'setting', minutes: 20 }, … at: 0 }, clock).recoatAt  // 30 min
 */
export function milestones(coat: Application, clock: AirClock): Milestones {
  const dryAt = whenDried(clock, coat.at, effortToDry(coat));
  if (coat.mud.kind === 'drying') {
    const troubles = coat.thickness >= DEEP_FOR_DRYING_MM ? (['tooDeep'] as const) : [];
    return { setAt: undefined, recoatAt: dryAt, sandAt: dryAt, dryAt, troubles };
  }
  const mixed = coat.mixedAt ?? coat.at;
  const setAt = mixed + coat.mud.minutes * MINUTE_MS;
  const recoatAt = mixed + coat.mud.minutes * SETTING_RECOAT_FACTOR * MINUTE_MS;
  return {
    setAt,
    recoatAt,
    sandAt: Math.max(recoatAt, dryAt),
    dryAt,
    troubles: [
      ...(coat.thickness < THINNEST_SETTING_MM || isHalfDryBy(coat, clock, setAt)
        ? (['driesBeforeItSets'] as const)
        : []),
      ...(coat.thickness < SETTING_WANTS_MM ? (['settingTooThin'] as const) : []),
    ],
  };
}

/**
 * Returns when mud is stiff enough to be run over with a wide knife that must not take it along: so long after it went on, longer in
 * air that dries less than usual; setting mud once it has set, and not sooner. Common practice, no source.
 *
 * @example stiffAt({ mud: { kind: 'drying' }, … at: 0 }, clock)  // 2 h in usual air, 4 h where mud dries half as fast
 */
export function stiffAt(coat: Application, clock: AirClock): number {
  const least = coat.at + STIFF_HOURS * HOUR_MS;
  if (coat.mud.kind === 'setting') return Math.max(least, (coat.mixedAt ?? coat.at) + coat.mud.minutes * MINUTE_MS);
  return Math.max(least, whenDried(clock, coat.at, (STIFF_HOURS / USUAL_COAT_HOURS) * (coat.slowness ?? 1)));
}

/** How wet a coat is at an instant: the water and the reaction that are left, 1–0. */
export interface Wetness {
  readonly water: number;
  /** Of setting mud only. */
  readonly reaction: number | undefined;
}

/** The state of a coat at an instant, after the air it has had until then. */
export function wetnessAt(coat: Application, clock: AirClock, at: number): Wetness {
  const water = 1 - driedBetween(clock, coat.at, Math.max(at, coat.at)) / effortToDry(coat);
  if (coat.mud.kind === 'drying') return { water: Math.max(0, water), reaction: undefined };
  const reaction = 1 - (at - (coat.mixedAt ?? coat.at)) / (coat.mud.minutes * MINUTE_MS);
  return { water: Math.max(0, water), reaction: Math.min(1, Math.max(0, reaction)) };
}

/** Setting mud needs its water until it has set: with half of it gone before, it bonds poorly. Common practice, no source. */
const isHalfDryBy = (coat: Application, clock: AirClock, setAt: number): boolean =>
  driedBetween(clock, coat.at, setAt) > effortOfMud(coat) / 2;

/** Until it is dry throughout: drying mud when its water has left, setting mud by its own rule. */
const effortToDry = (coat: Application): number =>
  coat.mud.kind === 'setting' ? effortOfSet(coat) : effortOfMud(coat);
