import type { Contradiction } from '../core/estimate/conflict';
import type { LengthUnit } from '../core/measure/unit';
import { FIRM_MINUTES } from '../core/method/coat';
import { coatName } from './coatWords';
import { roughLength } from './lengthWords';

/** Why choices contradict each other, or the joint. */
export function contradictionWords(why: Contradiction, unit: LengthUnit): string {
  switch (why.rule) {
    case 'meshInDryingMud':
      return 'mesh in drying mud cracks: it needs setting mud in the tape coat';
    case 'meshInAngle':
      return 'mesh has no crease: it will not lie in an angle, and a knife cuts it there';
    case 'meshOnButt':
      return 'over a butt mesh cracks sooner than paper';
    case 'driesBeforeItSets':
      return `in this air the ${coatName(why.coat).toLowerCase()} dries before ${why.coat.settingMinutes} min mud has set, and bonds poorly`;
    case 'settingMudLast':
      return 'setting mud as a thin last coat: its water leaves before it sets, and it is hard to sand';
    case 'textureUnsealed':
      return 'fine texture shows every joint that was not sealed first';
    case 'unsealed':
      return `paint at level ${why.level} without sealer: paper and mud take it differently, and joints show flat or not`;
    case 'hardTopCoat':
      return 'all-purpose is hard to sand as a top coat, in angles above all';
    case 'mudsOnOneAngle':
      return 'one side of each angle is coated while its tape is wet: use one mud for all coats of the angle';
    case 'bothSidesByKnife':
      return 'both sides wet with a plain knife: each pass gouges the side before';
    case 'wetSidesMeet':
      return `two wet sides meet in ${why.threeWays} three-ways when all left sides are run together`;
    case 'tooFewCoats':
      return `level ${why.level} asks for ${why.asked} after the tape, ${why.chosen} ${why.chosen === 1 ? 'is' : 'are'} chosen`;
    case 'buttsTooHigh':
      return 'the butts stand too high to float: cut them back and tape again, put backers in, or change the boards';
    case 'buttsInThisLight':
      return 'no width hides the butts in this light';
    case 'buttsTooNarrow':
      return 'the butts are floated narrower than their hump needs, and will show in this light';
    case 'crossedSoft':
      return 'what crosses a butt before it is firm cuts a line across it: mend it in the next coat';
    case 'tapeInBead':
      return 'tape run into a bead lifts its flange and stands proud under the first fill';
    case 'boxedUncentred':
      return 'a box leaves a crest on an unbacked butt: it has to be centred the same day';
    case 'tooSmallForTaper':
      return Number.isFinite(why.least)
        ? `${roughLength(why.tape, unit)} of tape: below ${roughLength(why.least, unit)} setting up and cleaning out the taper takes longer than it saves`
        : `${roughLength(why.tape, unit)} of tape: setting up and cleaning out the taper takes longer than it saves`;
  }
}

/** What is chosen instead, on the button that does. */
export function insteadWords(why: Contradiction, unit: LengthUnit): string {
  return why.rule === 'buttsTooNarrow' ? `${why.width} ${unit} wide` : INSTEAD[why.rule];
}

const INSTEAD: Readonly<Record<Exclude<Contradiction['rule'], 'buttsTooNarrow'>, string>> = {
  meshInDryingMud: 'Setting mud for tape and fill',
  meshInAngle: 'Paper there',
  meshOnButt: 'Paper there',
  driesBeforeItSets: 'Drying mud for the last coats',
  settingMudLast: 'Drying mud for the last coats',
  textureUnsealed: 'Seal first',
  unsealed: 'Seal first',
  hardTopCoat: 'Lightweight for everything',
  mudsOnOneAngle: 'Lightweight for every coat',
  bothSidesByKnife: 'With a corner tool',
  wetSidesMeet: 'One side at a time, opposite walls first',
  tooFewCoats: 'As the level asks',
  buttsTooHigh: 'Three coats after tape',
  buttsInThisLight: 'Skim the whole surface',
  crossedSoft: `Let butts firm for ${FIRM_MINUTES} min`,
  tapeInBead: 'Stop the tape short of it',
  boxedUncentred: 'Centre them the same day',
  tooSmallForTaper: 'Without the taper',
};
