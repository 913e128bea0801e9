import type { CoatedClass } from '../method/coat';

/**
 * Mud that goes on, US gallons per 100 ft of joint (per side for the coats of angles), or per 100 fasteners.
 * Common practice, no source (from memory); the joint's section replaces it later.
 */
export const GALLONS_PER_100: Readonly<
  Record<Exclude<CoatedClass, 'surface'>, Readonly<Record<'tape' | 'fill' | 'finish', number>>>
> = {
  flat: { tape: 0.55, fill: 0.75, finish: 0.45 },
  butt: { tape: 0.55, fill: 2.2, finish: 1.3 },
  backedButt: { tape: 0.55, fill: 0.9, finish: 0.55 },
  mixed: { tape: 0.55, fill: 1.2, finish: 0.8 },
  angle: { tape: 0.6, fill: 0.3, finish: 0.3 },
  offAngle: { tape: 0.6, fill: 0.35, finish: 0.35 },
  bead: { tape: 1.2, fill: 0.8, finish: 0.5 },
  trim: { tape: 0.6, fill: 0.4, finish: 0.25 },
  existing: { tape: 0.55, fill: 1.2, finish: 0.8 },
  fasteners: { tape: 0.12, fill: 0.06, finish: 0.05 },
};

/** Gallons of a level 5 skim per 1,000 ft² of board. Common practice, no source. */
export const SKIM_GALLONS_PER_1000_FT2 = 5;

/** What is bought: pack sizes and what is lost on the way. Common practice, no source. */
export const PACKS = {
  tape: { feetPerRoll: 500, waste: 0.1 },
  mud: { gallonsPerPail: 4.5, waste: 0.1 },
  screws: { perBox: 2000, waste: 0.05 },
  bead: { feetPerStick: 10, waste: 0.1 },
} as const;
