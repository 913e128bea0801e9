import { type LengthUnit, litresFromGallons, MM_PER_FOOT, MM_PER_INCH } from '../measure/unit';
import type { MudProduct } from '../method/coat';

/** What is bought, and in what sizes: lengths in mm, volumes in litres, screws by count. */
export interface Packs {
  readonly tapeRoll: number;
  readonly meshRoll: number;
  readonly mudPail: number;
  /** What a bag of setting mud makes. */
  readonly settingBag: number;
  /** The sticks that are sold, for every profile. */
  readonly beadSticks: readonly number[];
  readonly screwBox: number;
  readonly sealerPail: number;
}

/** Packs where people measure in feet, and where they measure in metres. Common practice, no source. */
export const PACKS: Readonly<Record<LengthUnit, Packs>> = {
  in: {
    tapeRoll: 500 * MM_PER_FOOT,
    meshRoll: 300 * MM_PER_FOOT,
    mudPail: litresFromGallons(4.5),
    settingBag: litresFromGallons(2.4),
    beadSticks: [8, 9, 10, 12].map((feet) => feet * MM_PER_FOOT),
    screwBox: 2000,
    sealerPail: litresFromGallons(5),
  },
  mm: {
    tapeRoll: 150_000,
    meshRoll: 90_000,
    mudPail: 17,
    settingBag: 9,
    beadSticks: [2400, 3000],
    screwBox: 1000,
    sealerPail: 15,
  },
};

/** What a saw takes of a stick: 1/8 in, 3 mm. Common practice, no source. */
export const KERF_MM: Readonly<Record<LengthUnit, number>> = { in: MM_PER_INCH / 8, mm: 3 };

/** What is lost on the way, as a part of what goes on. Bead is cut piece by piece and needs none. Common practice, no source. */
export const WASTE = { tape: 0.1, mesh: 0.1, mud: 0.1, screws: 0.05, sealer: 0.1 } as const;

/** What a pail of ready-mixed or a bag of setting mud makes; litres. */
export const packOf = (product: MudProduct, unit: LengthUnit): number =>
  product === 'setting' ? PACKS[unit].settingBag : PACKS[unit].mudPail;

/** A gallon of sealer covers 300 ft². Common practice, no source. */
export const SEALER_MM2_PER_LITRE = (300 * MM_PER_FOOT ** 2) / litresFromGallons(1);
