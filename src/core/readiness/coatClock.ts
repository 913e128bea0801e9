import { type AirFrom, dryAt } from '../drying/dryAt';
import { dryingHours, USUAL_THICKNESS_MM } from '../drying/dryingHours';
import type { CoatEntry } from '../log/entry';
import { SETTING_RECOAT_FACTOR } from '../method/coat';

const MINUTE_MS = 60_000;

/** When a coat that was put on may be coated again and sanded; ms since 1970. */
export interface CoatClock {
  readonly recoatAt: number;
  readonly sandAt: number;
}

/**
 * The clock that an entry started, in the air that the room has had. Setting mud may be coated
 * again by its label, counted from mixing, and is sanded once it is dry as well.
 *
 * @param history the air of the room, in order of time, at least one
 */
export function coatClock({ at, payload }: CoatEntry, history: readonly AirFrom[]): CoatClock {
  const thickness = payload.thickness ?? USUAL_THICKNESS_MM;
  const dry = dryAt(Date.parse(at), history, (air) => dryingHours(air, thickness));
  if (payload.mud.kind === 'drying') return { recoatAt: dry, sandAt: dry };
  const recoatAt = Date.parse(payload.mixedAt ?? at) + payload.mud.minutes * SETTING_RECOAT_FACTOR * MINUTE_MS;
  return { recoatAt, sandAt: Math.max(recoatAt, dry) };
}
