import { gallonsFromLitres, type LengthUnit, MM_PER_INCH } from '../core/measure/unit';
import type { CoatedClass } from '../core/method/coat';
import type { Advice } from '../core/section/judgeSection';
import { coatName, longKnife } from './coatWords';
import { deepFillWords, smallWords } from './lengthWords';

const METRES_PER_100_FT = 30.48;

/** What a coat takes: per 100 ft of joint, per 100 screws, per 1,000 ft²; or the same in litres and metres. */
export function perLengthWords(litres: number, kind: CoatedClass, unit: LengthUnit): string {
  if (kind === 'fasteners')
    return unit === 'in'
      ? `${gallonsFromLitres(litres * 100).toFixed(2)} gal per 100`
      : `${(litres * 100).toFixed(2)} l per 100`;
  if (kind === 'surface')
    return unit === 'in'
      ? `${gallonsFromLitres(litres * 92.903).toFixed(1)} gal per 1,000 ft²`
      : `${litres.toFixed(2)} l/m²`;
  return unit === 'in'
    ? `${gallonsFromLitres(litres * METRES_PER_100_FT).toFixed(2)} gal per 100 ft`
    : `${litres.toFixed(3)} l/m`;
}

/** A width across a joint. */
export const widthWords = (mm: number, unit: LengthUnit): string =>
  unit === 'in' ? `${Math.round(mm / MM_PER_INCH)} in` : `${Math.round(mm / 10) * 10} mm`;

/** What to do about a joint. */
export function adviceWords(advice: Advice, unit: LengthUnit): string {
  switch (advice.kind) {
    case 'enough':
      return 'Wide enough: leave it.';
    case 'wider':
      return `Wider by ${widthWords(advice.by, unit)}: ${widthWords(advice.to, unit)} over all.`;
    case 'cutBack':
      return `${smallWords(advice.build, unit)} of build would take ${widthWords(advice.width, unit)}, too wide to float. Cut it back and tape it again, put a backer in, or change the board.`;
    case 'featherEdges':
      return 'The edges of the coats show. Feather them with a wider knife.';
    case 'squareCorner':
      return `The corner is ${smallWords(advice.full, unit)} full. Square it.`;
    case 'anotherCoat':
      return `One more coat: light shows ${smallWords(advice.gap, unit)} deep under a ${longKnife(unit)}.`;
    case 'edgesOnly':
      return 'The last coat may go on the edges only.';
    case 'prefill':
      return `A gap of ${smallWords(advice.gap, unit)}: pre-fill it with setting mud.`;
    case 'settingMud':
      return `Setting mud for the ${coatName(advice.coat).toLowerCase()}: it lies ${smallWords(advice.thickest, unit)} deep, over ${deepFillWords(unit)}.`;
  }
}
