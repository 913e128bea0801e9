import type { CoatedClass } from '../method/coat';

/**
 * What one person does in an hour by hand: feet of joint (both sides of an angle at once in the tape coat, one side
 * after), or fasteners. Bead in the tape round is set and filled. Common practice, no source (from memory).
 */
export const RATES_PER_HOUR: Readonly<
  Record<Exclude<CoatedClass, 'surface'>, Readonly<Record<'tape' | 'fill' | 'finish' | 'sand', number>>>
> = {
  flat: { tape: 90, fill: 120, finish: 150, sand: 200 },
  butt: { tape: 70, fill: 40, finish: 60, sand: 100 },
  backedButt: { tape: 70, fill: 100, finish: 120, sand: 150 },
  mixed: { tape: 85, fill: 80, finish: 100, sand: 150 },
  angle: { tape: 60, fill: 90, finish: 90, sand: 150 },
  offAngle: { tape: 45, fill: 70, finish: 70, sand: 150 },
  bead: { tape: 40, fill: 80, finish: 110, sand: 150 },
  trim: { tape: 40, fill: 100, finish: 120, sand: 150 },
  existing: { tape: 70, fill: 60, finish: 80, sand: 120 },
  fasteners: { tape: 500, fill: 700, finish: 700, sand: 800 },
};

/** Square feet of a level 5 skim, and of its sanding, in an hour. Common practice, no source. */
export const SKIM_FT2_PER_HOUR = 150;
export const SKIM_SAND_FT2_PER_HOUR = 300;

/** Walking in and setting up, per room and pass; mixing and cleaning, per person and day. Common practice, no source. */
export const ROOM_HOURS = 5 / 60;
export const DAY_HOURS = 30 / 60;
