import { gallonsFromLitres, type LengthUnit } from '@/core/measure/unit';

/** So much mud as one would say it: half a gallon, three litres; of little, quarts. */
export function mudVolumeWords(litres: number, unit: LengthUnit): string {
  if (unit === 'mm') return litres < 0.95 ? `${Math.max(0.1, litres).toFixed(1)} l` : `${litres.toFixed(1)} l`;
  const gallons = gallonsFromLitres(litres);
  return gallons < 0.5 ? `${Math.max(0.1, gallons * 4).toFixed(1)} qt` : `${gallons.toFixed(1)} gal`;
}
