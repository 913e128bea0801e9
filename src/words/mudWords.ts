import { gallonsFromLitres, type LengthUnit, litresFromGallons } from '../core/measure/unit';

/** So much mud as one would say it: half a gallon, three litres; of little, quarts. */
export function mudVolumeWords(litres: number, unit: LengthUnit): string {
  if (unit === 'mm') return litres < 0.95 ? `${Math.max(0.1, litres).toFixed(1)} l` : `${litres.toFixed(1)} l`;
  const gallons = gallonsFromLitres(litres);
  return gallons < 0.5 ? `${Math.max(0.1, gallons * 4).toFixed(1)} qt` : `${gallons.toFixed(1)} gal`;
}

/** To the tenth of a gallon, or the litre, as a house is supplied; what is less is said to be so. */
export function roughMudWords(litres: number, unit: LengthUnit): string {
  const least = unit === 'in' ? litresFromGallons(0.1) : 1;
  if (litres > 0 && litres < least / 2) return unit === 'in' ? 'under 0.1 gal' : 'under 1 l';
  return unit === 'in' ? inGallons(litres) : `${litres.toFixed(0)} l`;
}

/** To the tenth of a gallon or a litre, as what is left in a store is told. */
export const storeVolumeWords = (litres: number, unit: LengthUnit): string =>
  unit === 'in' ? inGallons(litres) : `${litres.toFixed(1)} l`;

/** To the tenth of a quart or a litre: what small work takes is less than a gallon. */
export const quartsWords = (litres: number, unit: LengthUnit): string =>
  unit === 'in' ? `${(gallonsFromLitres(litres) * 4).toFixed(1)} qt` : `${litres.toFixed(1)} l`;

/** A pack's size, with a tenth where there is one: 4.5 gal, 17 l. */
export const packVolumeWords = (litres: number, unit: LengthUnit): string =>
  unit === 'in' ? `${Number(gallonsFromLitres(litres).toFixed(1))} gal` : `${litres} l`;

const inGallons = (litres: number): string => `${gallonsFromLitres(litres).toFixed(1)} gal`;
