import { type LengthUnit, MM_PER_INCH } from '../core/measure/unit';
import type { School } from '../core/method/startingMethods';
import type { Question } from '../core/room/methodAnswers';
import { bladeWords } from './lengthWords';

/** What a method that ships is called, and what it is. */
export function schoolWords(school: School, unit: LengthUnit): { readonly name: string; readonly words: string } {
  switch (school) {
    case 'hand':
      return {
        name: 'Widening knives by hand',
        words: 'Paper from the belt, three coats with knives that widen, drying mud throughout, scraped between.',
      };
    case 'trowel':
      return {
        name: 'Hawk and trowel',
        words: `Wet-tape dispenser, covered while wet; fill and finish with ${bladeWords(14 * MM_PER_INCH, unit)} and ${bladeWords(16 * MM_PER_INCH, unit)} trowels, topping from the box.`,
      };
    case 'boxes':
      return {
        name: 'Flat boxes by a pair',
        words:
          'Wet-tape dispenser, applicator and angle head in corners; boxes for flats and butts, unbacked butts centered the same day.',
      };
    case 'setting':
      return {
        name: 'Setting mud first',
        words:
          'Tape and fill in setting mud on one day, drying mud last; mesh on the flats, paper in angles and on butts.',
      };
    case 'metric':
      return {
        name: 'Metric taper jointing',
        words:
          'The fill 50 mm past the tape coat on each side; two coats in angles in all, both sides at once with the corner tool; sealed over all.',
      };
  }
}

/** Why the safer answer to a question is. Common practice, no source. */
export const SAFER_WORDS: { readonly [Key in Question]?: string } = {
  tools: 'nothing to set up, and a hollow is felt as it is made',
  cover: 'nothing thick dries behind the tape',
  tape: 'it bonds in any mud and does not crack',
  mud: 'no clock runs in the pan',
  lastPass: 'the middle gets its last look too',
  angles: 'no knife ever touches a wet side',
  between: 'no dust under the next coat',
  order: 'what is soft is never crossed',
  centring: 'the box leaves a crest that only a knife takes down',
  beads: 'tape stops short of a bead that is already straight',
  beadStrip: 'the edge of the flange does not crack where people pass',
  hard: 'mud seals the joint',
  last: 'paper and mud take paint alike',
};
