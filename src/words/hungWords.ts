import type { HungDifference } from '../core/estimate/hungDifference';
import type { NotSo } from '../core/hang/foundEdits';
import type { LengthUnit } from '../core/measure/unit';
import { roughLength } from './lengthWords';
import { mudVolumeWords } from './mudWords';
import { plural } from './plural';
import { CLASS_NAMES } from './stateWords';
import { spanWords } from './when';

/** What there is more, or less, than was planned: butts +4 ft, +1 joint. */
export const hungRows = (
  { classes, factoryEdge }: HungDifference,
  unit: LengthUnit,
): readonly { readonly name: string; readonly words: string }[] => {
  const feet = (length: number) => signed(length, (mm) => roughLength(mm, unit));
  return [
    ...classes.map(({ class: kind, length, count }) => ({
      name: CLASS_NAMES[kind],
      words: [feet(length), ...(count === 0 ? [] : [signed(count, (joints) => plural(joints, 'joint'))])].join(', '),
    })),
    ...(Math.abs(factoryEdge) < LEAST_TOLD_MM ? [] : [{ name: 'Factory edge in an angle', words: feet(factoryEdge) }]),
  ];
};

/** What that takes: +0.3 qt of mud, +9 min. */
export const hungSumWords = ({ litres, hours, nights }: HungDifference, unit: LengthUnit): string =>
  [
    signed(litres, (volume) => `${mudVolumeWords(volume, unit)} of mud`),
    signed(hours, spanWords),
    ...(nights === 0 ? [] : [signed(nights, (count) => plural(count, 'night'))]),
  ].join(', ');

const LEAST_TOLD_MM = 1;
const signed = (by: number, words: (amount: number) => string): string => `${by < 0 ? '−' : '+'}${words(Math.abs(by))}`;

/** Why boards cannot hang so. */
export const NOT_SO_WORDS: Readonly<Record<NotSo, string>> = {
  noButt: 'that butt is not there any more',
  pastButt: 'a butt does not go past the next one',
  noCourse: 'there is no such course',
  noSeam: 'there is no such seam',
  pastSeam: 'a seam does not go past the next one',
  tooWide: 'wider than any board',
  tooNarrow: 'too narrow for a board',
  offFace: 'that is off the face',
  oneStrip: 'this face is narrower than a board: it takes one strip',
  noBoard: 'there is no board',
  tooShort: 'too short for a board',
  tooNear: 'the next butt is too near',
};
