import { litresFromGallons, MM_PER_FOOT } from '../measure/unit';

/** What is bought: pack sizes and what is lost on the way. Common practice, no source. */
export const PACKS = {
  tape: { feetPerRoll: 500, waste: 0.1 },
  mesh: { feetPerRoll: 300, waste: 0.1 },
  mud: { gallonsPerPail: 4.5, waste: 0.1 },
  settingMud: { gallonsPerBag: 2.4 },
  screws: { perBox: 2000, waste: 0.05 },
  bead: { feetPerStick: 10, waste: 0.1 },
  sealer: { gallonsPerPail: 5, waste: 0.1 },
} as const;

/** A gallon of sealer covers 300 ft². Common practice, no source. */
export const SEALER_MM2_PER_LITRE = (300 * MM_PER_FOOT ** 2) / litresFromGallons(1);
