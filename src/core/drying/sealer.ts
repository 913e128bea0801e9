import { type AirClock, whenDried } from '../air/airClock';
import { USUAL_COAT_HOURS } from '../air/dryingHours';

/** Sealer that was put on. */
interface PutOnSealer {
  /** ISO */
  readonly at: string;
  /** Until it may be painted, by its label. */
  readonly dryHours: number | undefined;
}

/** Until sealer may be painted or textured where its label says nothing. Common practice, no source. */
const SEALER_HOURS = 1;
const HOUR_MS = 3_600_000;

/**
 * Returns when sealer may be painted or textured: by its label, longer in air that dries less than usual. ms since 1970; Infinity in
 * saturated air.
 *
 * @example sealerDryAt({ at: '2031-05-06T07:00:00Z', dryHours: 4, … }, clock)  // 11:00 at 70 °F and 50 %
 */
export function sealerDryAt({ at, dryHours = SEALER_HOURS }: PutOnSealer, air: AirClock): number {
  const start = Date.parse(at);
  return Math.max(start + dryHours * HOUR_MS, whenDried(air, start, dryHours / USUAL_COAT_HOURS));
}
