import type { HungDifference } from '@/core/estimate/hungDifference';
import type { LengthUnit } from '@/core/measure/unit';
import { roughLength } from './lengthWords';
import { mudVolumeWords } from './mudWords';
import { plural } from './plural';
import { spanWords } from './when';

/** How much there is of a class more, or less, than was planned: +4 ft, +1 joint. */
export const hungClassWords = ({ length, count }: HungDifference['classes'][number], unit: LengthUnit): string =>
  [
    signed(length, (mm) => roughLength(mm, unit)),
    ...(count === 0 ? [] : [signed(count, (joints) => plural(joints, 'joint'))]),
  ].join(', ');

/** What that takes: +0.3 qt of mud, +9 min. */
export const hungSumWords = ({ litres, hours, nights }: HungDifference, unit: LengthUnit): string =>
  [
    signed(litres, (volume) => `${mudVolumeWords(volume, unit)} of mud`),
    signed(hours, spanWords),
    ...(nights === 0 ? [] : [signed(nights, (count) => plural(count, 'night'))]),
  ].join(', ');

const signed = (by: number, words: (amount: number) => string): string => `${by < 0 ? '−' : '+'}${words(Math.abs(by))}`;
