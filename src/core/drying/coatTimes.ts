import { type Air, type AirTrouble, airTroubles } from '../air/air';
import { type AirClock, airClock } from '../air/airClock';
import { type CoatTrouble, milestones } from './milestones';
import type { WetMud } from './wetMud';

/** Hours from being put on; setting mud, mixed just then, for `set` and `recoat`. */
export interface CoatTimes {
  readonly setHours: number | undefined;
  readonly recoatHours: number;
  readonly sandHours: number;
  readonly troubles: readonly (AirTrouble | CoatTrouble)[];
}

const HOUR_MS = 3_600_000;

/**
 * When a coat may be coated again and when it may be sanded, in air that does not change, with what speaks against it.
 *
 * @example coatTimes({ mud: { kind: 'setting', minutes: 20 }, … }, air)  // setHours 1/3, recoatHours 1/2
 */
export function coatTimes(coat: WetMud, air: Air): CoatTimes {
  const { setAt, recoatAt, sandAt, troubles } = milestones({ ...coat, at: 0 }, airClock([{ from: 0, air }]));
  return {
    setHours: setAt === undefined ? undefined : setAt / HOUR_MS,
    recoatHours: recoatAt / HOUR_MS,
    sandHours: sandAt / HOUR_MS,
    troubles: [...airTroubles(air), ...troubles],
  };
}

/** Hours until a coat may be coated again, in the air of a clock that does not change. */
export const recoatHours = (coat: WetMud, clock: AirClock): number =>
  milestones({ ...coat, at: 0 }, clock).recoatAt / HOUR_MS;
