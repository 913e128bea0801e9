import type { Air } from '../drying/air';
import { coatTimes, type Mud } from '../drying/coatTimes';
import { type AirFrom, dryAt } from '../drying/dryAt';
import { USUAL_THICKNESS_MM } from '../drying/dryingHours';
import type { CoatEntry } from '../log/entry';

const HOUR_MS = 3_600_000;

/** When a coat that was put on may be coated again and sanded; ms since 1970. */
export interface CoatClock {
  readonly recoatAt: number;
  readonly sandAt: number;
}

/**
 * The clock that an entry started, in the air that the room has had. Setting mud counts from mixing.
 *
 * @param history the air of the room, in order of time, at least one
 */
export function coatClock({ at, payload }: CoatEntry, history: readonly AirFrom[]): CoatClock {
  const thickness = payload.thickness ?? USUAL_THICKNESS_MM;
  const start = Date.parse(at);
  const hours = (pick: 'recoatHours' | 'sandHours', mud: Mud) => (air: Air) => coatTimes(mud, air, thickness)[pick];
  if (payload.mud.kind === 'drying') {
    const dry = dryAt(start, history, hours('recoatHours', payload.mud));
    return { recoatAt: dry, sandAt: dry };
  }
  const mixed = payload.mixedAt === undefined ? start : Date.parse(payload.mixedAt);
  const usual = history[0]?.air ?? { temperature: 20, humidity: 50 };
  const recoatAt = mixed + coatTimes(payload.mud, usual, thickness).recoatHours * HOUR_MS;
  return { recoatAt, sandAt: Math.max(recoatAt, dryAt(start, history, hours('recoatHours', { kind: 'drying' }))) };
}
